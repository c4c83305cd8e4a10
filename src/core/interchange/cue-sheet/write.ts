import { performedSteps, placeName, sourceStepId, textsOf, type ClassPlan } from '@/core/plan';
import type { Timeline } from '@/core/timeline';
import { formatExactClock, type Seconds } from '@/core/units';
import { writeCsv } from '../csv';
import { COLUMNS } from './model';

/** When a cue was really said; `null` where it was not. */
export type ActualTimes = ReadonlyMap<string, { readonly startSeconds: Seconds; readonly endSeconds: Seconds } | null>;

/**
 * Every cue of a class as a row, with planned times and, with a reading, actual ones. `said` is the line as spoken;
 * `line` is what is written in the plan, with its tokens, and is read back by its `line id`. Text that a spreadsheet
 * would take for a formula has an apostrophe before it.
 */
export function writeCueSheet(plan: ClassPlan, timeline: Timeline, actual: ActualTimes | null = null): string {
  const steps = new Map(performedSteps(plan).map((entry) => [entry.step.id, entry]));
  const lines = new Map<string, string>();
  for (const { source } of steps.values()) {
    for (const { text, place } of textsOf(source)) lines.set(`${source.id} ${placeName(place)}`, text);
  }
  const rows = timeline.cues.map((cue) => {
    const entry = steps.get(cue.step);
    const id = `${sourceStepId(cue.step)} ${placeName(cue.source)}`;
    const line = lines.get(id);
    const times = actual?.get(cue.id);
    return [
      formatExactClock(cue.startSeconds),
      formatExactClock(cue.endSeconds),
      guarded(entry?.section.title ?? ''),
      guarded(entry?.step.name ?? ''),
      cue.round === 0 ? '' : cue.round,
      cue.side ?? '',
      cue.source.part === 'phase' ? cue.source.form : cue.source.part,
      guarded(cue.text),
      formatExactClock(cue.motionSeconds),
      Math.max(0, cue.endSeconds - cue.dueSeconds).toFixed(1),
      times ? formatExactClock(times.startSeconds) : '',
      times ? formatExactClock(times.endSeconds) : '',
      line === undefined ? '' : id,
      line === undefined ? '' : guarded(line),
    ];
  });
  return writeCsv([[...COLUMNS], ...rows]);
}

/** Kept from being run as a formula where it is opened. */
function guarded(text: string): string {
  return /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
}
