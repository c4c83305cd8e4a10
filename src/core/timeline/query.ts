import { sideCount, stretchCount } from '@/core/movement';
import { lastStartedAt, type Interval, type Seconds } from '@/core/units';
import type { MovementStep } from '@/core/plan';
import { spelled, type Spelling } from '@/core/words';
import type { TimedStep, Timeline } from './model';

/** The phase at a time, `null` before the start and from the end on. O(log n). */
export function phaseAt<Phase extends Interval>(
  timeline: { readonly phases: readonly Phase[] },
  seconds: Seconds,
): Phase | null {
  const phase = timeline.phases[lastStartedAt(timeline.phases, seconds)];
  return phase && seconds < phase.endSeconds ? phase : null;
}

/** The step at a time; steps of no length are passed over. O(log n). */
export function stepAt<Step extends Interval>(
  timeline: { readonly steps: readonly Step[] },
  seconds: Seconds,
): Step | null {
  const step = timeline.steps[lastStartedAt(timeline.steps, seconds)];
  return step && seconds < step.endSeconds ? step : null;
}

/** The line that was last begun at a time, whether or not it is still being said; `null` before the first. O(log n). */
export function cueAt<Line extends Interval>(
  timeline: { readonly cues: readonly Line[] },
  seconds: Seconds,
): Line | null {
  return timeline.cues[lastStartedAt(timeline.cues, seconds)] ?? null;
}

/** The first line that begins after a time. O(log n). */
export function nextCue<Line extends Interval>(
  timeline: { readonly cues: readonly Line[] },
  seconds: Seconds,
): Line | null {
  return timeline.cues[lastStartedAt(timeline.cues, seconds) + 1] ?? null;
}

/** A timeline whose lines are in a studio's spelling; times stay, since spellings of a term are said alike. */
export function spellTimeline(timeline: Timeline, spelling: Spelling): Timeline {
  if (Object.keys(spelling.chosen).length === 0) return timeline;
  const inSpelling = (text: string): string => spelled(text, spelling);
  return {
    ...timeline,
    cues: timeline.cues.map((cue) => ({ ...cue, text: inSpelling(cue.text), announced: inSpelling(cue.announced) })),
  };
}

/** Rounds performed in all, both sides counted. */
export function roundsPerformed(step: MovementStep, timed: TimedStep): number {
  return timed.rounds * sideCount(step.sides);
}

/** A step's share of the runtime, in whole hundredths; 0 in a class of no length. */
export function sharePercent(timeline: Timeline, timed: TimedStep): number {
  if (timeline.runtimeSeconds <= 0) return 0;
  return Math.round((100 * (timed.endSeconds - timed.startSeconds)) / timeline.runtimeSeconds);
}

/** What the next count that its multiple allows, on every side, would add to a movement, in seconds. */
export function moreRoundsSeconds(step: MovementStep, timed: TimedStep): Seconds {
  // In an alternating movement one count is a round on both sides already.
  return timed.roundSeconds * step.multiple * stretchCount(step.sides);
}
