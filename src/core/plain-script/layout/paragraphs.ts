import { itemAt } from '@/core/units';
import { isItem } from '../line-kinds/headings';
import { capitalised, indentOf } from '../model/line-words';
import { NUMBER_IN_WORDS } from '../tokens/tokens';

/*
 * Classes that are told in whole paragraphs: their lines broken where the page was narrow, and the sentences of each.
 */

const LINE_FROM = 38;
const LINE_TO = 120;
/** Of the breaks in a block so many stand within a sentence. */
const BROKEN_SHARE = 0.5;
const BREAKS_AT_LEAST = 2;
const SENTENCES = { min: 2, max: 120 } as const;
const PARAGRAPH_AT_MOST = 6000;
const SENTENCE_AT_MOST = 400;

/** Lines that were broken where the page ended put together in the first of them; the others are empty. */
export function withoutBreaks(lines: readonly string[]): readonly string[] {
  const out = [...lines];
  for (let from = 0; from < lines.length;) {
    let to = from;
    while (to < lines.length && isOfText(itemAt(lines, to))) to++;
    if (to - from > BREAKS_AT_LEAST && isBroken(lines.slice(from, to))) {
      out[from] = lines
        .slice(from, to)
        .map((line) => line.trim())
        .join(' ');
      for (let at = from + 1; at < to; at++) out[at] = '';
    }
    from = Math.max(to, from + 1);
  }
  return out;
}

function isOfText(line: string): boolean {
  return line.trim() !== '' && line.length <= LINE_TO && !/[\t|]/.test(line) && !isItem(line) && !/^\s*#/.test(line);
}

/** "cue: …", "“Soft knees” …": a line of its own, and none that the page broke. */
const BEGINS = /^\s*(?:\p{L}{2,12}:\s|["“])/u;

const NOTED = /\d ?[x×](?![\p{L}])|(?<!\p{L})[x×] ?\d|\d ?mins?\b/iu;

function isBroken(block: readonly string[]): boolean {
  const breaks = block.slice(0, -1);
  // What stands further in than the line above it tells of that.
  if (block.some((line, at) => at > 0 && (indentOf(line) > indentOf(itemAt(block, at - 1)) || BEGINS.test(line))))
    return false;
  // Lines with amounts are notes, and no text.
  if (block.filter((line) => NOTED.test(line)).length >= block.length / 2) return false;
  const within = breaks.filter((line, at) => {
    const next = itemAt(block, at + 1).trim();
    return line.trim().length >= LINE_FROM && !/[.!?:;)\d"”]$/.test(line.trim()) && /^\p{Ll}/u.test(next);
  });
  const long = breaks.every((line) => line.trim().length >= LINE_FROM);
  return long && within.length >= BREAKS_AT_LEAST && within.length >= BROKEN_SHARE * breaks.length;
}

/** A stop behind a word that is no abbreviation, and a small letter behind it. */
const SMALL_BEHIND =
  /(?<=(?:\p{L}{3}|\p{L}\))(?<!\b(?:approx|min|mins|sec|secs|etc|incl|max|reps|lbs|tel|opt|esp|ref))[.!?]) (?=\p{Ll})/giu;
const SMALL = { from: 100, atLeast: 3 } as const;

/** "so we begin in a circle. then rolling the shoulders. …": long lines in small letters, with a capital behind each stop. */
export function withCapitals(line: string): string {
  if (line.length < SMALL.from || line.length > PARAGRAPH_AT_MOST || /[.!?] \p{Lu}/u.test(line)) return line;
  const told = line.split(SMALL_BEHIND);
  return told.length <= SMALL.atLeast ? line : told.map(capitalised).join(' ');
}

const BETWEEN_SENTENCES = /(?<=[.!?]["”)]?)\s+(?=["“(]?\p{Lu}|\d)/u;

/** The sentences of a paragraph; none where it is one sentence, or too long to be told apart. */
export function sentencesOf(text: string): readonly string[] {
  if (text.length > PARAGRAPH_AT_MOST || !/[.!?;] /.test(text)) return [];
  if (!BETWEEN_SENTENCES.test(text)) return [];
  const found = text.split(BETWEEN_SENTENCES);
  const told = found.length >= SENTENCES.min && found.length <= SENTENCES.max;
  return told && found.every((sentence) => sentence.length <= SENTENCE_AT_MOST) ? found : [];
}

/** What leads on to another step within a sentence, and a name in marks behind "and". */
const LEADING_ON =
  /[,;] (?:and )?(?=(?:then(?! (?:(?:on|to|with) )?(?:the )?(?:left|right|other|same|with|without|adding|again|slower|faster|just|as|another|back)\b)|afterwards|after that|at the (?:very )?end|right at the end|finally|lastly|followed by)\b)|, and (?=["“]\p{Lu}|the one (?:where|with|that)\b)/iu;
/** "We get up and I do the rolls": going somewhere, then a step. */
const GOING =
  /^((?:(?:then|and|so|now|next) )*(?:we|they|you|everybody|everyone) (?:all )?(?:get|stand|sit|lie) (?:back )?(?:up|down)) and (?:then )?(?=(?:we|I|they|you|do|then|start|begin)\b)/iu;
const AN_AMOUNT = new RegExp(`\\d|(?<!\\p{L})(?:${NUMBER_IN_WORDS}|half an?|an? (?:minute|few|couple)|twice|once)(?!\\p{L})`, 'iu'); // prettier-ignore

/** Whether a sentence counts or times anything. */
export const hasAmountIn = (text: string): boolean => AN_AMOUNT.test(text);

/** The steps that a sentence tells one after the other, each with its amount; the sentence itself where it is one. */
export function stepsTold(sentence: string): readonly string[] {
  const parts = isItem(sentence) ? [] : sentence.split(LEADING_ON);
  const told = parts.length > 1 && parts.every(hasAmountIn) ? parts : [sentence];
  return told.flatMap((part) => {
    const went = hasAmountIn(part) ? GOING.exec(part)?.[1] : undefined;
    return went === undefined ? [part] : [`${went}.`, part.replace(GOING, '')];
  });
}
