import { fitPlan } from '@/core/pacing';
import { type NewId } from '@/core/document';
import { emptyPlan, planAfter, type ClassPlan, type Length, type PlanPace, type Section } from '@/core/plan';

/** One demo class: the name used at the command line, and the plan. */
export interface DemoClass {
  readonly name: string;
  readonly plan: ClassPlan;
}

/** The invented studio of all demo data. */
export const DEMO_STUDIO = 'Slack Water Hall';

function ids(prefix: string): NewId {
  let count = 0;
  return () => `${prefix}-${++count}`;
}

interface Outline {
  readonly name: string;
  readonly title: string;
  readonly focus: string;
  readonly audience: string;
  readonly targetSeconds: number;
  /** How far from its target it may land; the usual where nothing is set. */
  readonly landingSeconds?: number;
  readonly pace: Partial<PlanPace> & Pick<PlanPace, 'breathSeconds'>;
  readonly sections: (newId: NewId) => readonly Section[];
  /** Other lengths of it. */
  readonly lengths?: (newId: NewId) => readonly Length[];
  /** Landed on its target, as an instructor would leave it; the storm day is not. */
  readonly fitted: boolean;
}

/** Makes a demo class of its outline, fitted unless it is meant to be off its target. */
export function demoClass(outline: Outline): DemoClass {
  const newId = ids(outline.name);
  const empty = emptyPlan(newId, outline.title, outline.targetSeconds, outline.pace.breathSeconds);
  const { focus, audience, landingSeconds = null } = outline;
  const pace = { ...empty.pace, ...outline.pace };
  const plan = {
    ...empty,
    focus,
    audience,
    landingSeconds,
    pace,
    sections: outline.sections(newId),
    lengths: [] as readonly Length[],
  };
  const lengths = outline.lengths?.(newId) ?? [];
  if (!outline.fitted) return { name: outline.name, plan: { ...plan, lengths } };
  const fit = fitPlan(plan);
  if (!fit.feasible) throw new Error(`demo class ${outline.name} cannot be fitted`);
  return { name: outline.name, plan: { ...planAfter(plan, fit.edit), lengths } };
}

/** What every class says at its beginning. */
export const welcomeLines = (greeting: string): readonly (readonly [string, number])[] => [
  [greeting, 1.5],
  ['Stay within about seventy per cent of what you could do. Nothing should hurt.', 1.5],
  ['Rest when you like, and sit if you like.', 2],
];

/** How to stand, said slowly. */
export const stanceLines: readonly (readonly [string, number])[] = [
  ['Feet a hand’s width apart. Knees easy, as if the floor might tilt.', 4],
  ['Let the shoulders hang from the neck like wet rope.', 5],
  ['The crown of the head is light, and the tailbone is heavy.', 5],
];
