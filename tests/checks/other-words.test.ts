import { describe, expect, it } from 'vitest';
import { foundFor, handLines } from './hands';

/*
 * What a line means to the checks stays as it is when it is said of us and not of you, in small letters, without commas,
 * or behind a word that only leads on. The lines are those that were looked at.
 */

const lines = handLines()
  .filter(({ kept }) => !kept)
  .map((line) => ({ line, found: foundFor(line) }));

const afterWord = (text: string): string =>
  /^(?:I\b|\[|\p{Lu}{2})/u.test(text) ? text : text.charAt(0).toLowerCase() + text.slice(1);
const withoutStop = (text: string): string => text.replace(/[.!]$/, '');

const CONTRACTED: readonly (readonly [RegExp, string])[] = [
  [/\bdon['’]t\b/gi, 'do not'],
  [/\b(?:can['’]t)\b/gi, 'cannot'],
  [/\b(it|that|there)['’]s\b/gi, '$1 is'],
  [/\b(you|we|they)['’]re\b/gi, '$1 are'],
  [/\b(is|are|does|should|need|must)n['’]t\b/gi, '$1 not'],
  [/\b(you|we|they|it)['’]ll\b/gi, '$1 will'],
];

const OTHERWISE: Readonly<Record<string, (text: string) => string>> = {
  'of us': (text) => text.replace(/\byou\b/gi, 'we').replace(/\byour\b/gi, 'our'),
  'of them': (text) => text.replace(/\byou\b/gi, 'they').replace(/\byour\b/gi, 'their'),
  'of the knee for your knee': (text) => text.replace(/\byour\b/gi, 'the'),
  'of your knee for the knee': (text) =>
    text.replace(/\bthe (?=(?:knees?|hips?|back|neck|shoulders?|head|spine|belly|breath|arms?|legs?|chest|eyes)\b)/gi, 'your '), // prettier-ignore
  'in small letters': (text) => text.toLowerCase(),
  'without a sign': (text) => text.replace(/[.,;:!?“”"–—]/g, '').replace(/ {2,}/g, ' '),
  'without an apostrophe': (text) => text.replace(/['’]/g, ''),
  'with all words in full': (text) => CONTRACTED.reduce((all, [short, long]) => all.replace(short, long), text),
  'behind "okay"': (text) => `Okay, ${afterWord(text)}`,
  'before "everyone"': (text) => (text.startsWith('[') ? text : `${withoutStop(text)}, everyone.`),
};

describe('what is found in a line', () => {
  it.each(Object.entries(OTHERWISE))('is found when it is said %s', (_, change) => {
    let [right, lost, others, changed] = [0, 0, 0, 0];
    for (const { line, found } of lines) {
      const text = change(line.text);
      // A name in brackets is no sentence, and right as a word alone is a side wherever another stands before it.
      if (text === line.text || /\[|^right\b/i.test(line.text)) continue;
      changed++;
      const again = foundFor({ ...line, text });
      const meant = found.filter((one) => line.wanted.includes(one));
      right += meant.length;
      lost += meant.filter((one) => !again.includes(one)).length;
      others += again.filter((one) => !found.includes(one) && !line.wanted.includes(one)).length;
    }
    expect(changed).toBeGreaterThan(40);
    expect(lost / right).toBeLessThan(0.03);
    // One in a hundred, and one of few.
    expect(others).toBeLessThanOrEqual(Math.max(1, 0.01 * changed));
  });
});

/** What is asked for in a first sentence, by its verb. */
const ASKED =
  /^(?:squeeze|push|force|hold|suck|blow|fill|empty|pull|press|drop|let|fold|bend|hang|tap|drum|knock|beat|slap|shake|stand|lift|balance|look|roll|flop|stop|breathe|pump|bounce|swing)\b/i;
const DONE = /^(?:breath-forced|head-low|caution-untagged)/;

const DENIED: Readonly<Record<string, (text: string) => string>> = {
  never: (text) => `Never ${afterWord(text)}`,
  'do not': (text) => `Do not ${afterWord(text)}`,
  'no need to': (text) => `There is no need to ${afterWord(text)}`,
  'nobody has to': (text) => `Nobody has to ${afterWord(text)}`,
  'I would rather you did not': (text) => `I’d rather you did not ${afterWord(text)}`,
};

describe('what is done', () => {
  it.each(Object.entries(DENIED))('is not found behind "%s"', (_, deny) => {
    let [asked, still] = [0, 0];
    for (const { line } of lines) {
      const first = line.text.split(/(?<=[.!?])\s/)[0] ?? '';
      if (line.place !== 'teach' || !ASKED.test(first) || /\b(?:not|never|no|don['’]t)\b/i.test(first)) continue;
      const done = foundFor({ ...line, text: first }).filter((one) => DONE.test(one) && line.wanted.includes(one));
      if (done.length === 0) continue;
      asked++;
      if (foundFor({ ...line, text: deny(first) }).some((one) => done.includes(one))) still++;
    }
    expect(asked).toBeGreaterThan(25);
    // Measured: 7 of 37, mostly behind a comma that ends what is denied.
    expect(still / asked).toBeLessThan(0.2);
  });
});
