import { lastStartedAt, overlapSeconds, wholeMilliseconds, type Seconds } from '@/core/units';

/**
 * Likelier than this is a voice: in a recording where voices stand far out of what is else heard, and in any other.
 * Found on the tuned half of the takes of `docs/alignment.md`; there is told how `faint` and `SHORT` were found.
 */
export const LIKELY = { inQuiet: 0.1, inNoise: 0.25, faint: 0.06 };
/** A voice so much louder than what lies between is said in quiet; the takes of the tuned half have 43 or 6 to 16. */
const QUIET_DECIBELS = 25;
/**
 * Short words are doubted by the model. What is no further below the middle of the voice than this is a voice too where
 * nothing else is so loud, unless the model rules it out (decibels; likelihood). Found on the takes of `docs/perform.md`.
 */
export const AS_LOUD = { below: 14, likely: 0.01 };
/** Steps likelier than this are surely a voice, and less likely than this surely none. */
export const SURELY = { voice: 0.8, none: 0.02 };
/**
 * A stretch no longer than this may be part of a word. It stands out by so many decibels from the quarter of what is
 * about it that is the quietest, and holds what is no more below its loudest step and no less above that quarter; it
 * grows by so much at most, and leaves a gap to its neighbours.
 */
const SHORT = { longest: 0.3, about: 1.28, standsOut: 10, below: 12, above: 5, grows: 0.256, gap: 0.128 };
/** Gaps shorter than this lie inside a word. */
export const BRIDGED: Seconds = 0.1;
export const SHORTEST: Seconds = 0.1;

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

/**
 * Stretches of voice from the likelihood of each step. In noise a short word is often half taken for it: where it stands
 * out of what is about it, its ends are told by how loud it is, and it may be faint.
 */
export function voiceStretches(steps: VoiceSteps): VoiceStretch[] {
  const voice = voiceLevel(steps);
  const none = noneLevel(steps);
  if (voice !== null && none !== null && voice - none > QUIET_DECIBELS)
    return likelierThan(LIKELY.inQuiet, withLoud(steps, voice - AS_LOUD.below));
  const clear = likelierThan(LIKELY.inNoise, steps);
  const faint = likelierThan(LIKELY.faint, steps).filter((one) => apartFromAll(one, clear));
  const mayGo = new Set(faint);
  const all = [...clear, ...faint].sort((a, b) => a.startSeconds - b.startSeconds);
  return all.flatMap((one, at) => {
    if (one.endSeconds - one.startSeconds > SHORT.longest) return [one];
    const grown = grownByLevel(one, all[at - 1], all[at + 1], steps);
    return grown ?? (mayGo.has(one) ? [] : [one]);
  });
}

function apartFromAll(one: VoiceStretch, others: readonly VoiceStretch[]): boolean {
  const at = lastStartedAt(others, one.startSeconds);
  return [others[at], others[at + 1]].every((other) => !other || overlapSeconds(one, other) === 0);
}

/** A stretch with the steps on either side that are nearly as loud; `null` where it does not stand out. */
function grownByLevel(
  one: VoiceStretch,
  before: VoiceStretch | undefined,
  after: VoiceStretch | undefined,
  { likely, decibels, stepSeconds }: VoiceSteps,
): VoiceStretch | null {
  const stepAt = (seconds: Seconds): number => Math.round(seconds / stepSeconds);
  const count = Math.min(decibels.length, likely.length);
  let from = stepAt(one.startSeconds);
  let to = stepAt(one.endSeconds);
  const about = stepAt(SHORT.about);
  const around = decibels.slice(Math.max(0, from - about), Math.min(count, to + about)).sort();
  const floor = around[around.length >> 2] ?? 0;
  const loudest = decibels.subarray(from, to).reduce((max, level) => Math.max(max, level), -Infinity);
  if (loudest - floor < SHORT.standsOut) return null;
  const min = Math.max(loudest - SHORT.below, floor + SHORT.above);
  const first = Math.max(before ? stepAt(before.endSeconds + SHORT.gap) : 0, from - stepAt(SHORT.grows));
  const last = Math.min(after ? stepAt(after.startSeconds - SHORT.gap) : count, to + stepAt(SHORT.grows));
  while (from > first && (decibels[from - 1] ?? 0) >= min) from--;
  while (to < last && (decibels[to] ?? 0) >= min) to++;
  return {
    startSeconds: wholeMilliseconds(from * stepSeconds),
    endSeconds: wholeMilliseconds(to * stepSeconds),
    likely: one.likely,
  };
}

/** Steps as they are, but that what is so loud is as likely as a voice in quiet has to be. */
function withLoud(steps: VoiceSteps, least: number): VoiceSteps {
  const isLoud = (step: number): boolean => (steps.decibels[step] ?? -Infinity) >= least;
  const likely = steps.likely.map((one, step) =>
    one > AS_LOUD.likely && isLoud(step) ? Math.max(one, LIKELY.inQuiet) : one,
  );
  return { ...steps, likely };
}

/** The middle of how loud what is surely a voice is; `null` where there is none. */
function voiceLevel({ likely, decibels }: VoiceSteps): number | null {
  return middle(decibels.filter((_, step) => (likely[step] ?? 0) > SURELY.voice));
}

/** The same of what is surely none. */
function noneLevel({ likely, decibels }: VoiceSteps): number | null {
  return middle(decibels.filter((_, step) => (likely[step] ?? 0) < SURELY.none));
}

function middle(values: Float32Array): number | null {
  return values.sort().at(values.length >> 1) ?? null;
}

function likelierThan(min: number, { likely, stepSeconds }: VoiceSteps): VoiceStretch[] {
  const bridged = Math.round(BRIDGED / stepSeconds);
  const found: { from: number; to: number }[] = [];
  for (let step = 0; step < likely.length; step++) {
    if ((likely[step] ?? 0) < min) continue;
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
