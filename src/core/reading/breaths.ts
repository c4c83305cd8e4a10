import type { Timeline } from '@/core/timeline';
import { median, type Seconds } from '@/core/units';
import type { CueReading } from './model';

/** Fewer pairs of lines than this tell no breath; one further off the middle of them than this share is no breath. */
const FEWEST_PAIRS = 2;
const UNEVEN = 0.25;
/** Lines planned nearer than this lead one round. */
const LEAST_GAP: Seconds = 1;

/** How one step was breathed. */
export interface StepBreaths {
  readonly step: string;
  readonly plannedSeconds: Seconds;
  /** The breaths as they were taken, one for each pair of lines that tells one. */
  readonly actualSeconds: readonly Seconds[];
}

/**
 * The breath as it was taken, step by step: between two lines that were said and lead the same phase of rounds, the
 * planned breath times how much longer the gap was. Gaps that hold more than a breath's unevenness are left out, and
 * steps of which too little was said.
 */
export function breathsTaken(timeline: Timeline, cues: readonly CueReading[]): StepBreaths[] {
  const said = new Map(cues.map((cue) => [cue.id, cue.actualStart]));
  return timeline.steps.flatMap(({ step, breathSeconds, cueRange, phaseRange }): StepBreaths[] => {
    // Rounds at a natural breath tell none.
    if (!timeline.phases.slice(...phaseRange).some(({ kind }) => kind === 'inhale')) return [];
    const before = new Map<string, { readonly planned: Seconds; readonly taken: Seconds }>();
    const ratios: number[] = [];
    for (const cue of timeline.cues.slice(...cueRange)) {
      const taken = said.get(cue.id) ?? null;
      if (cue.source.part !== 'phase' || taken === null) continue;
      const last = before.get(cue.source.phaseId);
      const gap = cue.startSeconds - (last?.planned ?? cue.startSeconds);
      if (last && gap > LEAST_GAP) ratios.push((taken - last.taken) / gap);
      if (!last || gap > LEAST_GAP) before.set(cue.source.phaseId, { planned: cue.startSeconds, taken });
    }
    if (ratios.length < FEWEST_PAIRS) return [];
    const usual = median(ratios);
    const even = ratios.filter((ratio) => ratio > 0 && Math.abs(ratio - usual) < UNEVEN * usual);
    if (breathSeconds === 0 || even.length < FEWEST_PAIRS) return [];
    return [{ step, plannedSeconds: breathSeconds, actualSeconds: even.map((ratio) => breathSeconds * ratio) }];
  });
}
