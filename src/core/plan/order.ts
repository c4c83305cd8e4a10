import type { ClassPlan, Section } from './schema';
import type { Step } from './steps';

/** Every step in order, with the section it stands in. */
export function stepsInOrder(plan: ClassPlan): { readonly step: Step; readonly section: Section }[] {
  return plan.sections.flatMap((section) => section.steps.map((step) => ({ step, section })));
}
