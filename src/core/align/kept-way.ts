import type { Cue } from '@/core/timeline';
import { PART, placed, type SpeechMatch } from './match-costs';
import type { KeptWay, SpeechStretch } from './model';

/** A way through a take's speech with how sure each cue is, 0 to 1. */
export interface FoundWay {
  /** In order. */
  readonly path: readonly SpeechMatch[];
  readonly confidences: readonly number[];
  readonly slowness: number;
}

const NUMBERS = 6;
/** Whole numbers are kept: this one for `PART`. */
const PART_KEPT = -1;

export function keepWay({ path, confidences, slowness }: FoundWay): KeptWay {
  return {
    slowness: Math.round(1000 * slowness) / 1000,
    matches: path.flatMap(({ cueFrom, cueTo, from, to, led, own }) => [
      cueFrom,
      cueTo - cueFrom,
      from,
      to - from,
      led === PART ? PART_KEPT : led,
      Math.round(100 * own),
    ]),
    confidences: confidences.map((confidence) => Math.round(100 * confidence)),
  };
}

/** A way as it was kept; `null` where it does not fit these cues and stretches. */
export function wayKept(
  { slowness, matches, confidences }: KeptWay,
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
): FoundWay | null {
  if (confidences.length !== cues.length || matches.length % NUMBERS > 0) return null;
  const path: SpeechMatch[] = [];
  for (let at = 0; at < matches.length; at += NUMBERS) {
    const [cueFrom, cueCount, from, count, leading, own] = matches.slice(at, at + NUMBERS);
    const led = leading === PART_KEPT ? PART : leading;
    const last = path.at(-1);
    const inOrder = cueFrom >= (last?.cueTo ?? 0) && from >= (last?.to ?? 0);
    const whole = cueCount > 0 && count > 0 && led >= 0 && led < count;
    if (!inOrder || !whole || cueFrom + cueCount > cues.length || from + count > speech.length) return null;
    const match = { cueFrom, cueTo: cueFrom + cueCount, from, to: from + count, led, own: own / 100 };
    path.push(placed({ cues, speech }, match));
  }
  return { path, confidences: confidences.map((confidence) => confidence / 100), slowness };
}
