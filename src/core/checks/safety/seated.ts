import type { ClassPlan } from '@/core/plan';
import { saidBeforeMoving } from '../context';
import type { StepContext } from '../model';

/** A class that is seated by its name, or by whom it is for. */
const SEATED = /\b(?:seated|sitting|chairs?|chair[- ]based|wheelchairs?)\b/i;

/** Who begins on a chair or on the floor stays there. */
const SITS =
  /\b(?:sit (?:tall|on|at|towards|near)|sit (?:down|forward|back) (?:on|in|at|where)|sit up(?: \w+){0,3}(?=[,.!;]|$)|sit (?:in|with) (?:a|the|your)\b|(?:front|edge) (?:half )?of (?:the|your) (?:chair|seat|bed|stool|bench)|seated|lie (?:down|on your)|lying (?:down|on))\b/i;

/** Whether a class is done on chairs or lying, by what it is called or how it begins. */
export function isSeated(plan: ClassPlan, steps: readonly StepContext[]): boolean {
  const { before, taught } = saidBeforeMoving(steps);
  return (
    SEATED.test(`${plan.title}. ${plan.focus}. ${plan.audience}`) ||
    [...before, ...taught].some((said) => SITS.test(said))
  );
}
