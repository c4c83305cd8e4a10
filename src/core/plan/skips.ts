import { itemAt } from '@/core/units';
import type { SectionRole } from '@/core/movement';
import { findStep, setStep, type Edit } from './edit';
import { stepsInOrder } from './order';
import type { ClassPlan } from './schema';
import { contractOf, type Step } from './steps';

/** Sections whose steps are never left out: people arrive and are brought to a close whatever the length. */
const KEPT_ROLES: ReadonlySet<SectionRole> = new Set(['arrival', 'closing']);

/** Whether a fit may leave a step out by itself: its priority allows it, and it is no arrival, caution or closing. */
export function maySkip(step: Step, role: SectionRole): boolean {
  if (KEPT_ROLES.has(role) || step.priority === 'always') return false;
  return !contractOf(step).always(step);
}

/**
 * The steps that are left out together with each leading step, by its id: the talks, quiets and transitions that go
 * with it, in the order of the class. A pinned one and a spoken caution stand alone.
 */
export function companionsOf(plan: ClassPlan): ReadonlyMap<string, readonly Step[]> {
  const steps = stepsInOrder(plan);
  const found = new Map<string, Step[]>();
  steps.forEach(({ step, section }, index) => {
    if (!accompanies(step) || KEPT_ROLES.has(section.role)) return;
    let at = index;
    const direction = directionOf(step);
    while (steps[at] && accompanies(itemAt(steps, at).step) && directionOf(itemAt(steps, at).step) === direction)
      at += direction;
    const leader = steps[at]?.step;
    if (!leader || accompanies(leader)) return;
    found.set(leader.id, [...(found.get(leader.id) ?? []), step]);
  });
  return found;
}

function accompanies(step: Step): boolean {
  const contract = contractOf(step);
  return contract.companion(step) !== 'none' && !step.pinned && !contract.always(step);
}

function directionOf(step: Step): -1 | 1 {
  return contractOf(step).companion(step) === 'previous' ? -1 : 1;
}

/** The edit that leaves a step out by hand, with what goes with it, and pins that; or brings all of it back. */
export function skipEdit(plan: ClassPlan, stepId: string, out: boolean): Edit {
  const companions = companionsOf(plan).get(stepId) ?? [];
  const found = findStep(plan, stepId)?.step;
  return {
    kind: 'together',
    edits: [
      ...(found ? [setStep(found, 'skipped', out), setStep(found, 'pinned', out)] : []),
      ...companions.map((step) => setStep(step, 'skipped', out)),
    ],
  };
}
