import { remembered } from '@/core/units';
import { matchAt, pattern, type Pattern } from './pattern';
import { MEANINGS, type Meaning } from './table';
import { readWords } from './words';

/** Where a text says something, and how. */
export interface Found<Of> {
  readonly of: Of;
  readonly from: number;
  readonly to: number;
  readonly negated: boolean;
  readonly supposed: boolean;
}

/** Finds the patterns of a table in a text, in the order of the text; each text once. */
export function patternsFor<Of>(
  table: readonly (readonly [written: string, of: Of])[],
): (text: string) => readonly Found<Of>[] {
  const byWord = new Map<string, { pattern: Pattern; of: Of }[]>();
  for (const [written, of] of table) {
    const compiled = pattern(written);
    for (const key of beginnings(compiled)) byWord.set(key, [...(byWord.get(key) ?? []), { pattern: compiled, of }]);
  }
  return remembered((text) => findIn(text, byWord));
}

/** The stems and words that a pattern may begin with. */
function beginnings({ slots }: Pattern): Set<string> {
  const keys = new Set<string>();
  for (const { stems, exact, optional } of slots) {
    for (const stem of stems) keys.add(stem);
    for (const word of exact) keys.add(`=${word}`);
    if (!optional) break;
  }
  return keys;
}

/** "You will want to hold it; please don't.", "They say that it heals everything, and I would not say that." */
const DENIED_AFTER =
  /^(?:(?: here| there| now)?[\s;,.:–—-]+(?:but |so )?(?:please )?(?:don['’]?t|do not|try not to)|[^.!?]{0,40}[;,–—-] ?(?:and|but|though) i (?:would not|wouldn['’]?t|do not|don['’]?t|cannot|can['’]?t) (?:say|claim|promise|believe) (?:that|so|it))[.!\s]*$/i;

function findIn<Of>(text: string, byWord: ReadonlyMap<string, readonly { pattern: Pattern; of: Of }[]>) {
  const words = readWords(text);
  const found: (Found<Of> & { readonly cancels: boolean })[] = [];
  words.forEach((word, at) => {
    for (const key of [word.stem, `=${word.plain}`]) {
      for (const one of byWord.get(key) ?? []) {
        const end = matchAt(one.pattern.slots, words, at);
        if (end === null) continue;
        const inside = words.slice(at, end);
        found.push({
          of: one.of,
          from: word.from,
          to: inside.at(-1)?.to ?? word.to,
          cancels: one.pattern.cancels,
          // A denial that is the pattern's own first word is what it asks for.
          negated:
            inside.some(({ deniedBy }) => deniedBy !== null && deniedBy !== at) ||
            DENIED_AFTER.test(text.slice(inside.at(-1)?.to ?? word.to)),
          supposed: inside.some(({ supposed }) => supposed),
        });
      }
    }
  });
  const exceptions = found.filter(({ cancels }) => cancels);
  return found.filter(
    (one) => !one.cancels && !exceptions.some(({ of, from, to }) => of === one.of && from < one.to && one.from < to),
  );
}

const find = patternsFor(
  Object.entries(MEANINGS).flatMap(([meaning, written]) => written.map((one) => [one, meaning as Meaning] as const)),
);

/** Whether a text says something outright: not denied, not only supposed. */
export function says(text: string, meaning: Meaning): boolean {
  return find(text).some(({ of, negated, supposed }) => of === meaning && !negated && !supposed);
}

/** Whether a text speaks of something, for it or against it. */
export function saysOrDenies(text: string, meaning: Meaning): boolean {
  return find(text).some(({ of }) => of === meaning);
}

/** Whether a text says something and does not deny it; a condition is as good. */
export function offers(text: string, meaning: Meaning): boolean {
  return find(text).some(({ of, negated }) => of === meaning && !negated);
}
