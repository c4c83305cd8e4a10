import {
  applyEdit,
  isMovement,
  stepsInOrder,
  type Applied,
  type ClassPlan,
  type Edit,
  type EditProblem,
} from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { ok, type Result } from '@/core/units';
import { fitWords } from './fit-words';

/**
 * Applies an edit and, in a class whose words are kept fitted, fits the words of every movement that it changes; both
 * are undone as one. An edit that sets forms by hand is left as it was set, and one of the class that touches every
 * movement fits them all.
 */
export function applyFitted(plan: ClassPlan, edit: Edit): Result<Applied, EditProblem> {
  const applied = applyEdit(plan, edit);
  if (!applied.ok || !applied.value.plan.keepWordsFitted || setsForms(edit)) return applied;
  let { plan: after, inverse } = applied.value;
  const timeline = expandPlan(after);
  for (const stepId of touched(plan, after)) {
    const fitted = fitWords(after, timeline, { stepId, manner: 'fullest' }).edit;
    const next = fitted && applyEdit(after, fitted);
    if (!next?.ok) continue;
    after = next.value.plan;
    inverse = { kind: 'together', edits: [next.value.inverse, inverse] };
  }
  return ok({ plan: after, inverse });
}

function setsForms(edit: Edit): boolean {
  if (edit.kind === 'together') return edit.edits.some(setsForms);
  return edit.kind === 'set-step' && (edit.field === 'fade' || edit.field === 'fadePins');
}

/** Movements whose words an edit can have made too long or given more time. */
function touched(before: ClassPlan, after: ClassPlan): (string | null)[] {
  const all =
    before.voice !== after.voice ||
    before.pace !== after.pace ||
    before.style !== after.style ||
    before.silenceShare !== after.silenceShare ||
    before.keepWordsFitted !== after.keepWordsFitted ||
    before.themeId !== after.themeId ||
    before.themes !== after.themes;
  if (all) return [null];
  const kept = new Set(stepsInOrder(before).map(({ step }) => step));
  return stepsInOrder(after).flatMap(({ step }) => (isMovement(step) && !kept.has(step) ? [step.id] : []));
}
