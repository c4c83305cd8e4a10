/**
 * Writes `src/core/plain-script/tokens/near-words.ts`: the words of the CMU Pronouncing Dictionary that are one slip of the
 * fingers away from a word by which scripts are read, and so no slips. Run with `npx tsx scripts/learn-near-words.ts`.
 */
import { writeFileSync } from 'node:fs';
import { dictionary } from 'cmu-pronouncing-dictionary';
import { isSlipOf, KEY_WORDS } from '../src/core/plain-script/tokens/slips';

const keys = new Set(KEY_WORDS);
const near = Object.keys(dictionary)
  .filter((word) => /^[a-z]{3,}$/.test(word) && !keys.has(word) && KEY_WORDS.some((key) => isSlipOf(word, key)))
  .sort();
const text = `// Made by scripts/learn-near-words.ts; do not edit.
/** Words that are one slip away from a key word, and are none. */
export const NEAR_WORDS: ReadonlySet<string> = new Set(
  '${near.join(' ')}'.split(
    ' ',
  ),
);
`;
writeFileSync(new URL('../src/core/plain-script/tokens/near-words.ts', import.meta.url), text);
console.log(`${near.length} words, ${text.length} bytes`);
