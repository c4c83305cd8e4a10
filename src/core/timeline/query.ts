import { lastStartedAt, type Seconds } from '@/core/units';
import type { Cue, TimedPhase, TimedStep, Timeline } from './model';

/** The phase at a time, `null` before the start and from the end on. O(log n). */
export function phaseAt(timeline: Timeline, seconds: Seconds): TimedPhase | null {
  const phase = timeline.phases[lastStartedAt(timeline.phases, seconds)];
  return phase && seconds < phase.endSeconds ? phase : null;
}

/** The step at a time; steps of no length are passed over. O(log n). */
export function stepAt(timeline: Timeline, seconds: Seconds): TimedStep | null {
  const step = timeline.steps[lastStartedAt(timeline.steps, seconds)];
  return step && seconds < step.endSeconds ? step : null;
}

/** The line that was last begun at a time, whether or not it is still being said; `null` before the first. O(log n). */
export function cueAt(timeline: Timeline, seconds: Seconds): Cue | null {
  return timeline.cues[lastStartedAt(timeline.cues, seconds)] ?? null;
}

/** The first line that begins after a time. O(log n). */
export function nextCue(timeline: Timeline, seconds: Seconds): Cue | null {
  return timeline.cues[lastStartedAt(timeline.cues, seconds) + 1] ?? null;
}
