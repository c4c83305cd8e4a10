import { LIMITS, placeName, stepsInOrder, textsOf, type ClassPlan, type Reworded } from '@/core/plan';

/** What to look for in the lines of a class. */
export interface Search {
  readonly find: string;
  readonly replace: string;
  readonly matchCase: boolean;
  readonly wholeWords: boolean;
}

/** Every line of a class that holds what is looked for, with how it would read. Nothing looked for is found nowhere. */
export function findAndReplace(plan: ClassPlan, search: Search): readonly Reworded[] {
  const replaced = replacer(search);
  if (!replaced) return [];
  return stepsInOrder(plan).flatMap(({ step }) =>
    textsOf(step).flatMap(({ text, place }) => {
      const to = replaced(text);
      return to === null ? [] : [{ stepId: step.id, place: placeName(place), from: text, to }];
    }),
  );
}

/** A text with everything found replaced; `null` where nothing is found. As typed where capitals count, else in the capitals of what it replaces. */
function replacer({ find, replace, matchCase, wholeWords }: Search): ((text: string) => string | null) | null {
  // What is longer than any line stands in none.
  if (find === '' || find.length > LIMITS.lineCharacters) return null;
  const plain = find.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  const edge = '[\\p{L}\\p{N}]';
  const source = wholeWords ? `(?<!${edge})${plain}(?!${edge})` : plain;
  const pattern = new RegExp(source, matchCase ? 'gu' : 'giu');
  return (text) => {
    pattern.lastIndex = 0;
    return pattern.test(text)
      ? text.replace(pattern, (found) => (matchCase ? replace : inCapitalsOf(found, replace)))
      : null;
  };
}

/** Words in the capitals of those that they stand for: all of them, the first, or as they were typed. */
function inCapitalsOf(found: string, words: string): string {
  const letters = found.replace(/[^\p{L}]/gu, '');
  const hasCase = letters.toUpperCase() !== letters.toLowerCase();
  if (letters.length > 1 && hasCase && letters === letters.toUpperCase()) return words.toUpperCase();
  const begins = /^[^\p{L}]*\p{Lu}/u.test(found);
  return begins ? words.replace(/\p{L}/u, (first) => first.toUpperCase()) : words;
}
