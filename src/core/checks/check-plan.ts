import type { ClassPlan, Step } from '@/core/plan';
import { NO_SPELLING, type Term } from '@/core/words';
import { expandPlan, type Timeline } from '@/core/timeline';
import { contextOf } from './context';
import { GRAVITIES, type Check, type ClassContext, type Finding, type Found, type StepContext } from './model';
import { CHECKS } from './registry';

/** All findings on a class, the gravest first, then in the order of the class. Those set aside are among them. */
export function checkPlan(plan: ClassPlan, timeline: Timeline = expandPlan(plan)): Finding[] {
  return createChecker()(plan, timeline);
}

/** Runs the checks on a class. */
export interface Checker {
  (plan: ClassPlan, timeline: Timeline): Finding[];
  /** The same in slices: a rest after each step and each check of the class, so that a page can draw in between. */
  readonly inSlices: (plan: ClassPlan, timeline: Timeline) => Generator<void, Finding[]>;
}

interface Kept {
  readonly sign: string;
  /** What was said: it changes with the minutes left and with the movement that follows. */
  readonly said: string;
  readonly findings: readonly Finding[];
}

/**
 * A checker that remembers what it found in each step: a step is judged again only when it, its pace, its rounds or
 * what the class sets for all steps has changed. Gives what `checkPlan` gives, with a studio's own terms known.
 */
export function createChecker(ownTerms: readonly Term[] = NO_SPELLING.own): Checker {
  const kept = new WeakMap<Step, Kept>();
  const stepChecks = CHECKS.filter((check) => check.of === 'step');
  const classChecks = CHECKS.filter((check) => check.of === 'class');
  let whole: readonly unknown[] = [];
  let generation = 0;
  function* inSlices(plan: ClassPlan, timeline: Timeline): Generator<void, Finding[]> {
    const sets = [plan.style, plan.voice, plan.themes, plan.themeId, plan.silenceShare];
    if (sets.some((value, at) => value !== whole[at])) generation++;
    whole = sets;
    const context = contextOf(plan, timeline, ownTerms);
    const findings: Finding[] = [];
    const current = generation;
    for (const step of context.steps) {
      const sign = signOf(step, current);
      let found = kept.get(step.step);
      if (found?.sign !== sign || found.said !== step.said) {
        found = {
          sign,
          said: step.said,
          findings: stepChecks.flatMap((check) => finish(check, check.find(step, plan))),
        };
        kept.set(step.step, found);
        yield;
      }
      for (const one of found.findings) findings.push(one);
    }
    for (const check of classChecks) {
      for (const one of finish(check, check.find(context))) findings.push(one);
      yield;
    }
    return inOrder(findings, context);
  }
  const check = (plan: ClassPlan, timeline: Timeline): Finding[] => {
    const search = inSlices(plan, timeline);
    for (;;) {
      const step = search.next();
      if (step.done) return step.value;
    }
  };
  return Object.assign(check, { inSlices });
}

/** Everything of a step's place in the class that its own checks can see. */
function signOf({ timed, again }: StepContext, generation: number): string {
  const { rounds, breathSeconds, inhaleShare, teachSeconds, startSeconds, endSeconds } = timed;
  const length = (endSeconds - startSeconds).toFixed(3);
  return [generation, rounds, breathSeconds, inhaleShare, teachSeconds, length, startSeconds === 0, again].join(' ');
}

function finish(check: Check, found: readonly Found[]): Finding[] {
  const { name, group, gravity } = check;
  return found.map((one) => ({ detail: '', facts: {}, fix: null, ...one, check: name, group, gravity }));
}

function inOrder(findings: readonly Finding[], { steps }: ClassContext): Finding[] {
  const place = new Map(steps.map(({ step }, index) => [step.id, index + 1]));
  const at = (finding: Finding): number => (finding.stepId === null ? 0 : (place.get(finding.stepId) ?? 0));
  const weight = (finding: Finding): number => GRAVITIES.indexOf(finding.gravity);
  return findings
    .map((finding, index) => ({ finding, index }))
    .sort((a, b) => weight(a.finding) - weight(b.finding) || at(a.finding) - at(b.finding) || a.index - b.index)
    .map(({ finding }) => finding);
}
