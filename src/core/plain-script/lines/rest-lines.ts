import { findCounts } from '../phrases/counts';
import { withoutFrame } from '../phrases/frames';
import { LONGEST_PAUSE } from './lasting';
import { secondsFrom, type LineKind } from '../model/model';
import { drinkIn, isRest, pauseIn, restNamed } from '../line-kinds/pauses';
import { reading, type Reading } from '../model/reading';

/* Lines that are a rest and nothing else: a pause of the step above, a silence before any, a rest to drink in. */

/** So long nobody pauses before a class has begun. */
const SILENCE_FROM = 20;

/** Where a line stands: under what, whether it is one of a list, and how long a column of times leaves it. */
interface Place {
  readonly under: LineKind;
  readonly item: boolean;
  readonly lastsSeconds: number | null;
}

/** The rest that a line is; `null` for any other. */
export function restLine(body: string, { under, item, lastsSeconds }: Place): Reading | null {
  const pause = pauseIn(body);
  if (pause !== null && !(item && /^(?:rest|silence)\b/i.test(body))) return pauseOf(body, pause, under, false);
  const told = withoutFrame(body) ?? '';
  const asked = pauseIn(told);
  if (asked !== null && (asked <= LONGEST_PAUSE || isRest(told, asked))) return pauseOf(told, asked, under, true);
  return under === 'nothing' ? null : drinkIn(body, lastsSeconds);
}

/** A pause of the step above; before any step, or where a minute of silence is written, it is a silence. */
function pauseOf(body: string, seconds: number, under: LineKind, unsure: boolean): Reading {
  const { counts, rest } = findCounts(body);
  const silence =
    /^silence\b/i.test(body) || (/^(?:of )?(?:silence|quiet|stillness)[.]?$/i.test(rest) && seconds >= LONGEST_PAUSE);
  const before = seconds >= SILENCE_FROM && (under === 'nothing' || (seconds >= LONGEST_PAUSE && silence));
  if (before)
    return reading('silence', 'Silence', { seconds: (silence ? counts.seconds : undefined) ?? secondsFrom([seconds, seconds], 1) }, unsure); // prettier-ignore
  return reading('pause', restNamed(rest), { seconds: [seconds, seconds, seconds] }, unsure);
}
