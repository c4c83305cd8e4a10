import type { Cue, TimedStep, Timeline } from '@/core/timeline';

/** What is put behind the id of a line that is said once more. */
const AGAIN = '~again';

/** The id of a line as it was planned, whether or not it was said once more. */
export function plannedId(id: string): string {
  return id.endsWith(AGAIN) ? id.slice(0, -AGAIN.length) : id;
}

/**
 * A class as it may be given: the first step after a third of it that has rounds gives one of them again, and the first
 * after two thirds is left out. What comes after moves by as much.
 */
export function withLeaps(timeline: Timeline): Timeline {
  const { cues, steps, runtimeSeconds } = timeline;
  const after = (share: number): TimedStep | undefined =>
    steps.find((step) => step.startSeconds > share * runtimeSeconds && step.rounds >= 3 && step.roundSeconds > 0);
  const repeated = after(1 / 3);
  const out = after(2 / 3);
  const lines = repeated ? saidAgain([...cues], repeated) : [...cues];
  return { ...timeline, cues: out ? leftOut(lines, out, repeated) : lines };
}

/** With the second round of a step said once more after its end. */
function saidAgain(cues: readonly Cue[], step: TimedStep): Cue[] {
  const round = cues.filter((cue) => cue.step === step.step && cue.round === 2);
  const end = cues.findLastIndex((cue) => cue.step === step.step && cue.round === 2);
  if (round.length === 0) return [...cues];
  const by = step.roundSeconds;
  const again = round.map((cue) => ({ ...moved(cue, by), id: `${cue.id}${AGAIN}` }));
  return [...cues.slice(0, end + 1), ...again, ...cues.slice(end + 1).map((cue) => moved(cue, by))];
}

function leftOut(cues: readonly Cue[], step: TimedStep, repeated: TimedStep | undefined): Cue[] {
  if (step === repeated) return [...cues];
  const first = cues.findIndex((cue) => cue.step === step.step);
  const rest = cues.findIndex((cue, at) => at > first && cue.step !== step.step);
  if (first < 0 || rest < 0) return [...cues];
  const by = step.startSeconds - step.endSeconds;
  return [...cues.slice(0, first), ...cues.slice(rest).map((cue) => moved(cue, by))];
}

function moved(cue: Cue, by: number): Cue {
  return {
    ...cue,
    startSeconds: cue.startSeconds + by,
    endSeconds: cue.endSeconds + by,
    motionSeconds: cue.motionSeconds + by,
    dueSeconds: cue.dueSeconds + by,
  };
}
