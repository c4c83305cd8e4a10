import { findStep, type ClassPlan, type Edit } from '@/core/plan';

/** The edit that moves a step one place up or down, over the border of its section where it must; `null` at the ends. */
export function moveStepBy(plan: ClassPlan, stepId: string, by: -1 | 1): Edit | null {
  const found = findStep(plan, stepId);
  if (!found) return null;
  const { section, index } = found;
  const to = index + by;
  if (to >= 0 && to < section.steps.length) return { kind: 'move-step', stepId, toSectionId: section.id, toIndex: to };
  const next = plan.sections[plan.sections.indexOf(section) + by];
  if (!next) return null;
  return { kind: 'move-step', stepId, toSectionId: next.id, toIndex: by < 0 ? next.steps.length : 0 };
}

/** The edit for a step dropped on another step, or on the head of a section. */
export function dropStep(plan: ClassPlan, stepId: string, overId: string): Edit | null {
  const section = plan.sections.find((one) => one.id === overId);
  if (section) return { kind: 'move-step', stepId, toSectionId: section.id, toIndex: 0 };
  const over = findStep(plan, overId);
  if (!over || overId === stepId) return null;
  return { kind: 'move-step', stepId, toSectionId: over.section.id, toIndex: over.index };
}
