import type { Seconds } from '@/core/units';
import { breathsPerRound, phaseSeconds, type Pace, type PhaseLength } from './pattern';

/** Something worth knowing about a pattern at a pace; a remark, never a verdict. */
export type PatternNote =
  | { readonly code: 'slower-than-slow' | 'quicker-than-slow' | 'quicker-than-resting'; readonly perMinute: number }
  | { readonly code: 'long-rest'; readonly index: number; readonly seconds: Seconds };

/**
 * Breaths a minute that are called slow breathing, both ends included: 4 to 10 (Russo, Santarelli, O'Rourke 2017,
 * Breathe 13:298–309).
 */
export const SLOW_BREATHING = { min: 4, max: 10 } as const;
/** Resting breaths a minute of adults that score 0, at most (Royal College of Physicians, NEWS2, 2017). */
export const RESTING_AT_MOST = 20;
/** A rest of more seconds than this is remarked on. Common practice, no published source: rests are short. */
export const LONG_REST: Seconds = 4;

/** Breaths a minute of a pattern at a pace; 0 where it has no breath of its own. */
export function patternBreathsPerMinute(pattern: readonly PhaseLength[], pace: Pace): number {
  const seconds = pattern.reduce((total, phase) => total + phaseSeconds(phase, pace), 0);
  if (seconds <= 0 || !pattern.some((phase) => phase.kind === 'inhale' || phase.kind === 'exhale')) return 0;
  return (breathsPerRound(pattern) * 60) / seconds;
}

/** Remarks on a pattern: where it leaves the slow-breathing range, and where its rests grow long. */
export function patternNotes(pattern: readonly PhaseLength[], pace: Pace): PatternNote[] {
  const notes: PatternNote[] = [];
  const perMinute = patternBreathsPerMinute(pattern, pace);
  if (perMinute > RESTING_AT_MOST) notes.push({ code: 'quicker-than-resting', perMinute });
  else if (perMinute > SLOW_BREATHING.max + 1e-9) notes.push({ code: 'quicker-than-slow', perMinute });
  else if (perMinute > 0 && perMinute < SLOW_BREATHING.min - 1e-9) notes.push({ code: 'slower-than-slow', perMinute });
  pattern.forEach((phase, index) => {
    const seconds = phaseSeconds(phase, pace);
    if (phase.kind === 'hold' && seconds > LONG_REST) notes.push({ code: 'long-rest', index, seconds });
  });
  return notes;
}
