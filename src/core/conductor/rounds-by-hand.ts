import { asksRounds, MOVEMENT_LIMITS } from '@/core/movement';
import { findPerformed, isMovement, planAfter, setFields, type ClassPlan } from '@/core/plan';
import { expandPlan, phaseAt, stepAt, type Timeline } from '@/core/timeline';
import { itemAt, type Seconds } from '@/core/units';

/** A plan as it is performed from now on, with its timeline. */
export interface Performed {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
}

/**
 * One round more or fewer of the movement that runs; `null` where that cannot be: it counts no rounds, the round that
 * runs would be taken away, or one side was already done with the rounds as they are.
 */
export function roundsBy({ plan, timeline }: Performed, placeSeconds: Seconds, by: 1 | -1): Performed | null {
  const timed = stepAt(timeline, placeSeconds);
  const performed = timed ? findPerformed(plan, timed.step) : null;
  if (!timed || !performed || performed.pass === 2) return null;
  const step = performed.source;
  if (!isMovement(step) || !asksRounds(step.pacedBy)) return null;
  const phases = timeline.phases.slice(...timed.phaseRange);
  const now = phaseAt(timeline, placeSeconds);
  const round = now?.step === timed.step ? now.round : 0;
  // In the second of two sides, or ways, the first has had its rounds.
  const firstSide = phases.find(({ round: of }) => of > 0)?.side ?? null;
  const turns = step.sides === 'alternating' || step.sides === 'turn-by-turn' || step.sides === 'together';
  if (!turns && now?.side && now.side !== firstSide) return null;
  const rounds = timed.rounds + by;
  if (rounds < Math.max(1, round) || rounds > MOVEMENT_LIMITS.rounds) return null;
  const edit = setFields(step, { rounds });
  if (!edit) return null;
  const after = planAfter(plan, edit);
  const changed = expandPlan(after);
  const same = itemAt(changed.steps, timeline.steps.indexOf(timed));
  return same.rounds === timed.rounds ? null : { plan: after, timeline: changed };
}
