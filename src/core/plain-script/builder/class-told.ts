import { LIMITS, planMilliseconds, type ClassPlan } from '@/core/plan';
import { toSeconds } from '@/core/units';
import { cut } from '../model/line-words';
import type { Counts } from '../model/model';
import type { Reading } from '../model/reading';

/** How long a class without a step is meant to be where its script does not say, in seconds. */
const USUAL_SECONDS = 600;
/** The target while nothing has told it. */
export const UNTOLD = 0;

/** The plan with the target that was told; where none was, it is to last as long as what is written takes. */
export function withTarget(plan: ClassPlan): ClassPlan {
  if (plan.targetSeconds !== UNTOLD) return plan;
  const seconds = Math.round(toSeconds(planMilliseconds(plan)));
  const { min, max } = LIMITS.targetSeconds;
  return { ...plan, targetSeconds: seconds === 0 ? USUAL_SECONDS : Math.min(max, Math.max(min, seconds)) };
}

/**
 * The plan with what a line tells of the class as a whole. What is summed up below its steps is its length only where
 * nothing said that before.
 */
export function toldOfClass(plan: ClassPlan, about: Reading['about'] & {}, words: string, counts: Counts): ClassPlan {
  if (about !== 'length') return { ...plan, [about]: cut(words, LIMITS.noteCharacters) };
  const [seconds = 0] = counts.seconds ?? [];
  return plan.targetSeconds === UNTOLD && seconds > 0 ? { ...plan, targetSeconds: seconds } : plan;
}
