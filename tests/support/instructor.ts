import type { ClassPlan } from '@/core/plan';
import { readTake, type Reading } from '@/core/reading';
import { lineWeight } from '@/core/speech';
import { expandPlan } from '@/core/timeline';
import { itemAt, type Random } from '@/core/units';

/** How a synthetic instructor gives classes, whatever the plan says. */
export interface Manner {
  readonly syllablesPerMinute: number;
  /** The opening breath. */
  readonly breathSeconds: number;
  /** Teaching over its words. */
  readonly teaching: number;
  /** Quiet and own-pace time over the plan's. */
  readonly quiet: number;
  /** Seconds lost in each step, at most: ad-libs, a cough, waiting for somebody. */
  readonly lost: number;
  /** How uneven the breath is, as a share. */
  readonly uneven: number;
}

/** A take of a class by an instructor of known habits, read by its words. */
export function give(plan: ClassPlan, manner: Manner, chance: Random): Reading {
  const timeline = expandPlan(plan);
  const speaking = plan.voice.syllablesPerMinute / manner.syllablesPerMinute;
  const breathing = manner.breathSeconds / plan.pace.breathSeconds;
  const marks: { readonly planned: number; readonly taken: number }[] = [];
  let now = 3 + 5 * chance.next();
  for (const step of timeline.steps) {
    const teachUntil = step.startSeconds + step.teachSeconds;
    for (const phase of timeline.phases.slice(...step.phaseRange)) {
      marks.push({ planned: phase.startSeconds, taken: now });
      const uneven = 1 + manner.uneven * (2 * chance.next() - 1);
      const factor =
        phase.kind === 'spoken'
          ? speaking * (phase.startSeconds < teachUntil ? manner.teaching : 1)
          : phase.round > 0 && step.rounds > 0
            ? breathing * uneven
            : manner.quiet;
      now += (phase.endSeconds - phase.startSeconds) * factor;
    }
    now += manner.lost * chance.next();
  }
  marks.push({ planned: timeline.runtimeSeconds, taken: now });
  const at = (planned: number): number => {
    const index = Math.max(
      0,
      marks.findLastIndex((mark) => mark.planned <= planned),
    );
    const from = itemAt(marks, index);
    const to = marks.at(index + 1) ?? from;
    const share = to.planned > from.planned ? (planned - from.planned) / (to.planned - from.planned) : 0;
    return from.taken + share * (to.taken - from.taken);
  };
  const captions = timeline.cues.map(({ startSeconds, text }) => {
    const start = at(startSeconds) + 0.1 * chance.next();
    const length = (lineWeight(text) * 60) / manner.syllablesPerMinute;
    return { startSeconds: start, endSeconds: start + length * (0.96 + 0.08 * chance.next()), text };
  });
  return readTake(timeline, { captions, speech: null, lengthSeconds: now + 4 });
}
