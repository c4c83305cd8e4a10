import { LIMITS, type ClassPlan } from '@/core/plan';
import { cut } from '../model/line-words';
import type { Counts } from '../model/model';
import type { Reading } from '../model/reading';

/** How long a class is meant to be where its script does not say, in seconds. */
export const USUAL_SECONDS = 600;

/**
 * The plan with what a line tells of the class as a whole. What is summed up below its steps is its length only where
 * nothing said that before.
 */
export function toldOfClass(plan: ClassPlan, about: Reading['about'] & {}, words: string, counts: Counts): ClassPlan {
  if (about !== 'length') return { ...plan, [about]: cut(words, LIMITS.noteCharacters) };
  const [seconds = 0] = counts.seconds ?? [];
  return plan.targetSeconds === USUAL_SECONDS && seconds > 0 ? { ...plan, targetSeconds: seconds } : plan;
}
