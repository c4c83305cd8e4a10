import { breathsTaken, type Reading } from '@/core/reading';
import type { TimedStep, Timeline } from '@/core/timeline';
import { median, wholeMilliseconds, type Seconds } from '@/core/units';
import type { Difference, StepReading } from './model';
import { countRounds } from './rounds';
import type { SaidCue } from './said';

/** Teaching shorter than this is not measured. */
const LEAST_TEACHING: Seconds = 4;

/** Every step as it was performed, and where its rounds differ from the plan. */
export function readSteps(
  timeline: Timeline,
  said: readonly SaidCue[],
  reading: Reading,
): { readonly steps: readonly StepReading[]; readonly differences: readonly Difference[] } {
  const differences: Difference[] = [];
  const breaths = new Map(breathsTaken(timeline, reading.cues).map((one) => [one.step, median(one.actualSeconds)]));
  const steps = timeline.steps.map((step): StepReading => {
    const [from, to] = step.cueRange;
    const own = said.filter(({ at }) => at >= from && at < to);
    const counted = countRounds(timeline, step, said, reading);
    differences.push(...counted.differences);
    const first = own.at(0);
    const breath = breaths.get(step.step);
    const teaching = teachingOf(step, own);
    return {
      step: step.step,
      cues: to - from,
      said: own.length,
      startsAtSeconds: first
        ? wholeMilliseconds(Math.max(0, first.saidSeconds - (first.cue.startSeconds - step.startSeconds)))
        : null,
      plannedStartSeconds: step.startSeconds,
      rounds: counted.rounds,
      breathPlannedSeconds: step.breathSeconds > 0 && step.rounds > 0 ? step.breathSeconds : null,
      breathActualSeconds: breath === undefined ? null : wholeMilliseconds(breath),
      teachPlannedSeconds: step.teachSeconds >= LEAST_TEACHING ? step.teachSeconds : null,
      teachTakenSeconds: teaching === null ? null : wholeMilliseconds(teaching),
    };
  });
  return { steps, differences };
}

/** From the beginning of a step to its first counted round, as the lines on either side of it tell. */
function teachingOf(step: TimedStep, own: readonly SaidCue[]): Seconds | null {
  if (step.teachSeconds < LEAST_TEACHING) return null;
  const first = own.find(({ cue }) => cue.round === 0);
  const counted = own.find(({ cue }) => cue.round === 1);
  const begins = step.startSeconds + step.teachSeconds;
  if (!first || !counted || first.cue.startSeconds >= begins) return null;
  const missed = first.cue.startSeconds - step.startSeconds + begins - counted.cue.startSeconds;
  return Math.max(0, counted.saidSeconds - first.saidSeconds + missed);
}
