import type { Issue } from '@/core/units';
import { checkContent, sideCount } from '@/core/movement';
import { LIMITS } from './limits';
import { stepsInOrder, type ClassPlan, type Step } from './model';

/**
 * What a schema of single fields cannot say: bounds in order, ids used once, phases with a length, not too many
 * cues. Every problem with its place.
 */
export function checkRelations(plan: ClassPlan): Issue[] {
  const issues: Issue[] = [];
  const { pace } = plan;
  if (pace.leastBreathSeconds > pace.mostBreathSeconds) {
    issues.push(bounds('pace.leastBreathSeconds', pace.leastBreathSeconds, pace.mostBreathSeconds));
  }
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
      issues.push(...checkStep(step, at, once));
    });
  });
  plan.lengths.forEach((length, index) => once(length.id, `lengths[${index}]`));
  const steps = plan.sections.reduce((total, section) => total + section.steps.length, 0);
  if (steps > LIMITS.stepsInPlan)
    issues.push({ code: 'too-many-steps', at: 'sections', facts: { most: LIMITS.stepsInPlan, found: steps } });
  const cues = mostCues(plan);
  if (cues > LIMITS.cues)
    issues.push({ code: 'too-many-cues', at: 'sections', facts: { most: LIMITS.cues, found: cues } });
  return issues;
}

function checkStep(step: Step, at: string, once: (id: string, at: string) => void): Issue[] {
  const issues: Issue[] = [];
  if (step.kind === 'movement') issues.push(...checkContent(step, at, once));
  if (step.kind === 'talk') {
    step.lines.forEach((line, index) => once(line.id, `${at}.lines[${index}]`));
    if (step.leastTempo > step.mostTempo) issues.push(bounds(`${at}.leastTempo`, step.leastTempo, step.mostTempo));
  }
  if (step.kind === 'quiet' && step.leastSeconds > step.mostSeconds) {
    issues.push(bounds(`${at}.leastSeconds`, step.leastSeconds, step.mostSeconds));
  }
  return issues;
}

/** At most how many cues the timeline of a plan can hold. */
function mostCues(plan: ClassPlan): number {
  let total = 0;
  for (const { step } of stepsInOrder(plan)) {
    if (step.kind === 'movement') {
      total += step.teach.length + sideCount(step.sides) * (step.rounds * step.pattern.length + 1) + 1;
    } else if (step.kind === 'talk') total += step.lines.length;
    else total += 2;
  }
  return total;
}

function bounds(at: string, least: number, most: number): Issue {
  return { code: 'bounds-turned', at, facts: { least, most } };
}
