import { itemAt } from '@/core/units';
import { captionsOf } from './layout/dictated';
import { sentencesOf, withoutBreaks } from './layout/paragraphs';
import { isItem } from './line-kinds/headings';
import type { ReadLine } from './model/model';

/*
 * A class that is told in one long line, in paragraphs or in captions, with a line for each sentence: each is seen then
 * as it was understood, and can be corrected.
 */

/** A line of so many characters that names several steps is long; of so many it is, whatever it names. */
const LONG_FROM = { ofSteps: 160, ofAny: 600 } as const;

/**
 * The text of lines with each long one that names several steps as its sentences, a line each; `null` where none is told
 * so. `told` are the lines with the stops of their sentences, `read` as they were read.
 */
export function withSentencesApart(
  lines: readonly string[],
  told: readonly string[],
  read: readonly ReadLine[],
): string | null {
  const captions = captionsOf(lines);
  if (captions) return captions.flatMap(sentencesIn).join('\n');
  const whole = withoutBreaks(told);
  const apart = whole.map((line, at) => (isLong(line, read[at]?.steps) ? sentencesOf(line) : []));
  if (apart.every((sentences) => sentences.length < 2)) return null;
  let within = false;
  return lines
    .flatMap((line, at) => {
      const sentence = itemAt(whole, at);
      if (within && sentence === '' && line.trim() !== '') return [];
      const sentences = itemAt(apart, at);
      within = sentences.length > 1;
      return within ? sentences : [sentence === '' ? line : sentence];
    })
    .join('\n');
}

function isLong(line: string, steps = 1): boolean {
  return !isItem(line) && line.length >= (steps > 1 ? LONG_FROM.ofSteps : LONG_FROM.ofAny);
}

function sentencesIn(line: string): readonly string[] {
  const sentences = sentencesOf(line);
  return sentences.length > 1 ? sentences : [line].filter((one) => one.trim() !== '');
}
