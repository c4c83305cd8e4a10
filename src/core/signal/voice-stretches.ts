import { wholeMilliseconds, type Seconds } from '@/core/units';

/**
 * Likelier than this is a voice: in a quiet recording, and in one where much is hardly a voice, which noises are. Found,
 * with the share below, on the tuned half of the takes of `docs/alignment.md`.
 */
const LIKELY = { inQuiet: 0.1, inNoise: 0.25 };
/** A stretch less likely than this on the whole is hardly a voice; with more of them than this share it is noisy. */
const HARDLY = 0.35;
const NOISY_SHARE = 0.04;
/** Gaps shorter than this lie inside a word. */
const BRIDGED: Seconds = 0.1;
const SHORTEST: Seconds = 0.1;

/** A stretch of sound that is likely a voice, with the mean likelihood, 0 to 1. */
export interface VoiceStretch {
  readonly startSeconds: Seconds;
  readonly endSeconds: Seconds;
  readonly likely: number;
}

/** Stretches of voice from the likelihood of each step of `stepSeconds`, the first of which begins the sound. */
export function voiceStretches(likely: Float32Array, stepSeconds: Seconds): VoiceStretch[] {
  const quiet = likelierThan(LIKELY.inQuiet, likely, stepSeconds);
  const hardly = quiet.filter((stretch) => stretch.likely < HARDLY).length;
  return hardly < NOISY_SHARE * quiet.length ? quiet : likelierThan(LIKELY.inNoise, likely, stepSeconds);
}

function likelierThan(least: number, likely: Float32Array, stepSeconds: Seconds): VoiceStretch[] {
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
