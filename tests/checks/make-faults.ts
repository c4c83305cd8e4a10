import type { NewId } from '@/core/document';
import { makePhase, spokenLines } from '@/core/movement';
import {
  changeTexts,
  makeMovement,
  makeTalk,
  planAfter,
  type ClassPlan,
  type MovementStep,
  type Step,
} from '@/core/plan';
import { countingIds } from '../support/chance';

/* Ways to put a fault into a clean class. */

type StepPart = Partial<MovementStep> & Record<string, unknown>;

/** The plan with a step changed. */
export function withStep(name: string, change: StepPart | ((step: Step) => StepPart)) {
  return (plan: ClassPlan): ClassPlan => ({
    ...plan,
    sections: plan.sections.map((section) => ({
      ...section,
      steps: section.steps.map((step) =>
        step.name === name ? ({ ...step, ...(typeof change === 'function' ? change(step) : change) } as Step) : step,
      ),
    })),
  });
}

/** The plan with steps put in at a place of a section. */
export function withSteps(role: string, at: number, make: (newId: NewId) => readonly Step[]) {
  return (plan: ClassPlan): ClassPlan => ({
    ...plan,
    sections: plan.sections.map((section) =>
      section.role === role
        ? {
            ...section,
            steps: section.steps.toSpliced(at < 0 ? section.steps.length : at, 0, ...make(countingIds('new'))),
          }
        : section,
    ),
  });
}

/** The plan with one text changed wherever it stands. */
export function withText(from: string | RegExp, to: string) {
  return (plan: ClassPlan): ClassPlan => {
    const edits = plan.sections.flatMap(({ steps }) =>
      steps.flatMap((step) => changeTexts(step, (text) => text.replace(from, to)) ?? []),
    );
    if (edits.length === 0) throw new Error(`no text has ${String(from)}`);
    return planAfter(plan, { kind: 'together', edits });
  };
}

export const both =
  (...changes: readonly ((plan: ClassPlan) => ClassPlan)[]) =>
  (plan: ClassPlan): ClassPlan =>
    changes.reduce((now, change) => change(now), plan);

export const teach = (step: Step, ...lines: readonly (readonly [string, number])[]): StepPart => ({
  teach: [...(step as MovementStep).teach, ...spokenLines(countingIds(`${step.id}-t`), lines)],
});

export const said = (step: Step, at: number, change: object): StepPart => ({
  pattern: (step as MovementStep).pattern.map((phase, index) => (index === at ? { ...phase, ...change } : phase)),
});

export const line = (newId: NewId, name: string, text: string): Step => makeTalk(newId, name, [[text, 2]]);

/** A movement of one breath that gives no finding by itself. */
export const plain = (newId: NewId, name: string, part: Partial<MovementStep> = {}): MovementStep =>
  makeMovement(newId, name, {
    rounds: 3,
    teach: spokenLines(newId, [[`${name}. Easy and slow.`, 2]]),
    pattern: [
      makePhase(newId, { kind: 'inhale', full: 'In, and up.' }),
      makePhase(newId, { kind: 'exhale', full: 'Out, and down.' }),
    ],
    ...part,
  });
