import { wholeMilliseconds, type Seconds } from '@/core/units';

/**
 * Likelier than this is a voice: in a recording where voices stand far out of what is else heard, and in any other.
 * Found on the tuned half of the takes of `docs/alignment.md`.
 */
export const LIKELY = { inQuiet: 0.1, inNoise: 0.25 };
/** A voice so much louder than what lies between is said in quiet; the takes of the tuned half have 43 or 6 to 16. */
const QUIET_DECIBELS = 25;
/** Steps likelier than this are surely a voice, and less likely than this surely none. */
const SURELY = { voice: 0.8, none: 0.02 };
/** Gaps shorter than this lie inside a word. */
const BRIDGED: Seconds = 0.1;
const SHORTEST: Seconds = 0.1;

/** A stretch of sound that is likely a voice, with the mean likelihood, 0 to 1. */
export interface VoiceStretch {
  readonly startSeconds: Seconds;
  readonly endSeconds: Seconds;
  readonly likely: number;
}

/** Steps of a sound, from its beginning on: how likely each is a voice, and how loud it is in decibels. */
export interface VoiceSteps {
  readonly likely: Float32Array;
  readonly decibels: Float32Array;
  readonly stepSeconds: Seconds;
}

/** Stretches of voice from the likelihood of each step. */
export function voiceStretches(steps: VoiceSteps): VoiceStretch[] {
  const least = standsOutBy(steps) > QUIET_DECIBELS ? LIKELY.inQuiet : LIKELY.inNoise;
  return likelierThan(least, steps);
}

/** Decibels between the middle of what is surely a voice and of what is surely none; 0 where either is missing. */
function standsOutBy({ likely, decibels }: VoiceSteps): number {
  const voice = middle(decibels.filter((_, step) => likely[step] > SURELY.voice));
  const none = middle(decibels.filter((_, step) => likely[step] < SURELY.none));
  return voice === null || none === null ? 0 : voice - none;
}

function middle(values: Float32Array): number | null {
  return values.sort().at(values.length >> 1) ?? null;
}

function likelierThan(least: number, { likely, stepSeconds }: VoiceSteps): VoiceStretch[] {
  const bridged = Math.round(BRIDGED / stepSeconds);
  const found: { from: number; to: number }[] = [];
  for (let step = 0; step < likely.length; step++) {
    if (likely[step] < least) continue;
    const last = found.at(-1);
    if (last && step - last.to <= bridged) last.to = step + 1;
    else found.push({ from: step, to: step + 1 });
  }
  return found
    .filter(({ from, to }) => (to - from) * stepSeconds >= SHORTEST)
    .map(({ from, to }) => ({
      startSeconds: wholeMilliseconds(from * stepSeconds),
      endSeconds: wholeMilliseconds(to * stepSeconds),
      likely: Math.round((1000 * likely.subarray(from, to).reduce((sum, one) => sum + one, 0)) / (to - from)) / 1000,
    }));
}
