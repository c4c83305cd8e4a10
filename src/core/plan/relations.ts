import type { Issue } from '@/core/units';
import { LIMITS } from './limits';
import { stepsInOrder } from './order';
import type { ClassPlan } from './schema';
import { contractOf } from './steps';
import { boundsInOrder } from './steps/bounds';

/**
 * What a schema of single fields cannot say: bounds in order, ids used once, phases with a length, not too many
 * cues. Every problem with its place.
 */
export function checkRelations(plan: ClassPlan): Issue[] {
  const issues: Issue[] = [];
  const { pace } = plan;
  issues.push(...boundsInOrder('pace.minBreathSeconds', pace.minBreathSeconds, pace.maxBreathSeconds));
  const seen = new Set<string>();
  const once = (id: string, at: string): void => {
    if (seen.has(id)) issues.push({ code: 'id-twice', at: `${at}.id`, facts: { id } });
    seen.add(id);
  };
  plan.sections.forEach((section, sectionIndex) => {
    const sectionAt = `sections[${sectionIndex}]`;
    once(section.id, sectionAt);
    section.steps.forEach((step, stepIndex) => {
      const at = `${sectionAt}.steps[${stepIndex}]`;
      once(step.id, at);
      issues.push(...contractOf(step).check(step, at, once));
    });
  });
  plan.lengths.forEach((length, index) => once(length.id, `lengths[${index}]`));
  const steps = plan.sections.reduce((total, section) => total + section.steps.length, 0);
  if (steps > LIMITS.stepsInPlan)
    issues.push({ code: 'too-many-steps', at: 'sections', facts: { max: LIMITS.stepsInPlan, found: steps } });
  const cues = mostCues(plan);
  if (cues > LIMITS.cues)
    issues.push({ code: 'too-many-cues', at: 'sections', facts: { max: LIMITS.cues, found: cues } });
  return issues;
}

/** At most how many cues the timeline of a plan can hold. */
function mostCues(plan: ClassPlan): number {
  return stepsInOrder(plan).reduce((total, { step }) => total + contractOf(step).mostCues(step), 0);
}
