import { namesPart } from '../line-kinds/headings';
import { isStill } from '../line-kinds/line-signs';
import { secondsFrom } from '../model/model';
import type { Reading } from '../model/reading';

/*
 * Scripts in which a number alone is minutes: "shaking 3", "falling leaf x9", "sit 5". What is counted is written with an x
 * there, and what lasts, parts of the class and stillness among it, is not.
 */

const COUNTED = /(?<![\p{L}\d])[x×] ?\d|\d ?[x×](?![\p{L}\d])|\d (?:times|reps|rounds|breaths|br)\b/iu;
const NUMBER_ALONE = /^\s*(?:[-*•] )?(\p{L}[^\d:,;()]{2,40}?) (\d{1,2})(?=$| [–-] \p{L})/u;
const RESTS = /\b(?:rest|break|pause|walk|arrive|settle|sit|stand|lie)\b/i;
const LEAST = { counted: 2, alone: 3, lasting: 2 } as const;
const MINUTES_AT_MOST = 30;

/** Whether a number alone is minutes in a script. */
export function isInMinutes(lines: readonly string[]): boolean {
  const counted = lines.filter((line) => COUNTED.test(line));
  const alone = lines.flatMap((line) => (COUNTED.test(line) ? [] : (NUMBER_ALONE.exec(line)?.[1] ?? [])));
  const lasting = alone.filter((name) => isStill(name) || namesPart(name) || RESTS.test(name));
  return counted.length >= LEAST.counted && alone.length >= LEAST.alone && lasting.length >= LEAST.lasting;
}

/** The readings of such a line, with its number as minutes; a guess. */
export function minutesAlone(text: string, readings: readonly Reading[]): readonly Reading[] {
  const [step, ...beside] = readings;
  const minutes = Number(NUMBER_ALONE.exec(text)?.[2] ?? 0);
  if (step?.kind !== 'movement' || step.counts.rounds !== minutes || minutes > MINUTES_AT_MOST || COUNTED.test(text))
    return readings;
  const still =
    isStill(step.words) ||
    /^(?:sit|stand|lie)(?:t?ing)?$/i.test(step.words) ||
    /\b(?:rest|break|pause)$/i.test(step.words);
  const seconds = secondsFrom([60 * minutes, 60 * minutes], 1);
  return [{ ...step, kind: still ? 'silence' : 'movement', counts: { seconds }, unsure: true }, ...beside];
}
