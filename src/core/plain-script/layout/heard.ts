import { isItem } from '../line-kinds/headings';
import { asSentence, wordCount } from '../model/line-words';
import { clausesOf } from './clauses';

/*
 * A class as a machine heard it: lines of spoken words in small letters, without stops or apostrophes. Each line is read
 * as a sentence.
 */

const LINES_AT_LEAST = 6;
const SENTENCE_WORDS = 4;
const SHARE = { bare: 0.9, small: 0.8, spoken: 0.6 } as const;
const ENDED = /[.!?…:;,)\]]["”')\]]*\s*$/;
/** Notes have these, and nobody hears them. */
const NOTED = /[\d/×&+=→|()[\]–—"“*#]|\s-\s/;
const SPOKEN =
  /\b(?:you|your|we|were|lets?|okay|ok|so|now|and|just|going to|gonna|thats|its|dont|i|im|alright|right|good|well)\b/i;
const APOSTROPHES: readonly (readonly [RegExp, string])[] = [
  [
    /\bwere (?=(?:just |now |all )?(?:going|gonna|doing|coming|moving|starting|finishing|standing|sitting|ready|here|done))/gi,
    "we're ",
  ],
  [
    /\bwell (?=(?:just |now |all )?(?:do|start|move|go|begin|finish|stay|hold|repeat|take|be|come|try|rest|stand|sit)\b)/gi,
    "we'll ",
  ],
  [/\blets\b/gi, "let's"],
  [/\b(that|it|here|there|what)s\b/gi, "$1's"],
  [/\b(do|ca|wo|is|are|does)nt\b/gi, "$1n't"],
  [/\b(i|you|they)(ll|m|re|ve)\b(?<!\bill)/gi, "$1'$2"],
];

/** "Dont", "lets": with what a machine leaves out of them. */
export const withApostrophes = (words: string): string =>
  APOSTROPHES.reduce((text, [from, to]) => text.replace(from, to), words);

/** The lines as sentences with their stops, where a machine heard them; else as they are. */
export function asSentencesHeard(lines: readonly string[]): readonly string[] {
  const written = lines.filter((line) => /\p{L}{2}/u.test(line));
  const long = written.filter((line) => wordCount(line.trim()) >= SENTENCE_WORDS);
  if (long.length < LINES_AT_LEAST || long.length < SHARE.spoken * written.length) return lines;
  if (written.some((line) => NOTED.test(line) || isItem(line))) return lines;
  const share = (is: (line: string) => boolean): number => long.filter(is).length / long.length;
  if (share((line) => !ENDED.test(line)) < SHARE.bare || share((line) => /^\s*\p{Ll}/u.test(line)) < SHARE.small)
    return lines;
  if (share((line) => SPOKEN.test(line)) < SHARE.spoken) return lines;
  return lines.map((line) => {
    const told = withApostrophes(line.trimEnd());
    return /\p{L}/u.test(told) && !ENDED.test(told) ? clausesOf(told).map(asSentence).join(' ') : told;
  });
}
