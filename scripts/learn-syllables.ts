/**
 * Learns `src/core/speech/nucleus-table.ts` from the CMU Pronouncing Dictionary: for each letter that may carry a
 * syllable, the surrounding letters in which it does. Run with `npx tsx scripts/learn-syllables.ts`; every fifth
 * word is kept apart from learning and its agreement printed, so that the figure is not of words learnt by heart.
 */
import { writeFileSync } from 'node:fs';
import { dictionary } from 'cmu-pronouncing-dictionary';
import { windowOf, WINDOWS } from '../src/core/speech/letter-window';

const CARRIERS = 'aeiouymc';
const FEWEST = 2;

interface Entry {
  readonly word: string;
  readonly vowels: number;
}

function entries(): Entry[] {
  return Object.entries(dictionary)
    .filter(([word]) => /^[a-z']+$/.test(word))
    .map(([word, phones]) => ({
      word: word.replaceAll("'", ''),
      vowels: phones.split(' ').filter((phone) => /\d$/.test(phone)).length,
    }));
}

/** The likeliest letters to carry `vowels` syllables, under the present chances. */
function assign({ word, vowels }: Entry, chance: (word: string, at: number) => number): boolean[] | null {
  const places = [...word].map((letter, at) => (CARRIERS.includes(letter) ? at : -1)).filter((at) => at >= 0);
  if (places.length < vowels) return null;
  const ranked = places.map((at) => ({ at, chance: chance(word, at) })).sort((a, b) => b.chance - a.chance);
  const carried = new Set(ranked.slice(0, vowels).map((place) => place.at));
  return places.map((at) => carried.has(at));
}

type Counts = Map<string, [number, number]>;

function count(words: readonly Entry[], chance: (word: string, at: number) => number, widths: number): Counts {
  const counts: Counts = new Map();
  for (const entry of words) {
    const carried = assign(entry, chance);
    if (!carried) continue;
    let place = 0;
    for (let at = 0; at < entry.word.length; at++) {
      if (!CARRIERS.includes(entry.word.charAt(at))) continue;
      const yes = carried[place++] ? 1 : 0;
      for (let width = 0; width < widths; width++) {
        const key = windowOf(entry.word, at, width);
        const pair = counts.get(key) ?? [0, 0];
        pair[yes]++;
        counts.set(key, pair);
      }
    }
  }
  return counts;
}

function firstGuess(word: string, at: number): number {
  const letter = word[at];
  if (letter === 'm' || letter === 'c') return 0.05;
  const afterVowel = at > 0 && 'aeiou'.includes(word.charAt(at - 1));
  if (letter === 'e' && at === word.length - 1) return 0.2;
  return afterVowel ? 0.3 : 0.9;
}

const all = entries();
const learning = all.filter((_, index) => index % 5 !== 0);
const apart = all.filter((_, index) => index % 5 === 0);

let chance = firstGuess;
for (let pass = 0; pass < 6; pass++) {
  const counts = count(learning, chance, 7);
  chance = (word, at) => {
    for (let width = 6; width >= 0; width--) {
      const pair = counts.get(windowOf(word, at, width));
      if (pair && pair[0] + pair[1] >= 3) return (pair[1] + 0.2) / (pair[0] + pair[1] + 0.4);
    }
    return 0.5;
  };
}

const counts = count(learning, chance, WINDOWS);
const kept = new Map<string, boolean>();
const decide = (word: string, at: number, below: number): boolean => {
  for (let width = below; width >= 0; width--) {
    const known = kept.get(windowOf(word, at, width));
    if (known !== undefined) return known;
  }
  return false;
};
for (let width = 0; width < WINDOWS; width++) {
  const seen = new Set<string>();
  const gain = new Map<string, number>();
  for (const entry of learning) {
    for (let at = 0; at < entry.word.length; at++) {
      if (!CARRIERS.includes(entry.word.charAt(at))) continue;
      const key = windowOf(entry.word, at, width);
      if (seen.has(key)) continue;
      seen.add(key);
      const pair = counts.get(key);
      if (!pair) continue;
      const parent = width > 0 ? decide(entry.word, at, width - 1) : false;
      const says = pair[1] > pair[0];
      const by = Math.abs(pair[1] - pair[0]);
      if (says !== parent && by >= FEWEST) gain.set(key, says ? 1 : 0);
      else if (width === 0) gain.set(key, says ? 1 : 0);
    }
  }
  for (const [key, yes] of gain) kept.set(key, yes === 1);
}

const countIn = (word: string): number => {
  let total = 0;
  for (let at = 0; at < word.length; at++)
    if (CARRIERS.includes(word.charAt(at)) && decide(word, at, WINDOWS - 1)) total++;
  return Math.max(1, total);
};
const agreement = (words: readonly Entry[]): string =>
  ((100 * words.filter((entry) => countIn(entry.word) === entry.vowels).length) / words.length).toFixed(2);

const yes = [...kept].filter(([, value]) => value).map(([key]) => key);
const no = [...kept].filter(([, value]) => !value).map(([key]) => key);
const text = `// Made by scripts/learn-syllables.ts; do not edit.
/** Letter windows whose middle letter carries a syllable; see \`letter-window.ts\`. */
export const CARRIES =
  '${yes.sort().join(' ')}';

/** Letter windows whose middle letter carries none. */
export const CARRIES_NOT =
  '${no.sort().join(' ')}';
`;
writeFileSync(new URL('../src/core/speech/nucleus-table.ts', import.meta.url), text);
console.log(`windows ${kept.size}, ${text.length} bytes`);
console.log(
  `agreement: learnt from ${agreement(learning)} %, kept apart ${agreement(apart)} %, all ${agreement(all)} % of ${all.length}`,
);
