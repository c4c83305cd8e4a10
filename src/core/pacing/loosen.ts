import { companionsOf, planAfter, type ClassPlan, type Edit } from '@/core/plan';
import { itemAt, toSeconds, type Milliseconds, type Seconds } from '@/core/units';
import type { FitProblem } from './model';
import { slackOf, type Slack } from './slack';
import { makeProblem, type FitOptions } from './problem';
import { extremesAt, reachOfProblem } from './reach';

/** One bound to loosen so that a class can get to its target. */
export interface Loosening extends Pick<Slack, 'what' | 'stepId' | 'from' | 'to'> {
  /** What it gains when those before it are taken. */
  readonly gainSeconds: Seconds;
  /** The edit that loosens it. */
  readonly edit: Edit;
}

/**
 * The least set of bounds that brings `target` (milliseconds) within the reach of a plan: as few as can be, then
 * without the breath of the whole class where that does, then each no further than needed. Not enough when even all
 * of them, as far as a person would accept, are not; then all that gain are given.
 */
export function loosenings(
  plan: ClassPlan,
  target: Milliseconds,
  options: FitOptions = {},
): { readonly found: readonly Loosening[]; readonly enough: boolean } {
  const reach = reachOfProblem(makeProblem(plan, target, options));
  const tooLong = target < reach.shortest;
  if (!tooLong && target <= reach.longest) return { found: [], enough: false };
  const slack = slackOf(plan, tooLong);
  const sets = [false, true].flatMap((breath) => {
    const chosen = fewest(plan, target, options, tooLong, slack, breath);
    return chosen ? [chosen] : [];
  });
  const min = sets.sort((a, b) => a.length - b.length)[0];
  const gained = (of: ClassPlan): number => gainOf(of, target, options, tooLong, reach);
  if (!min) return { found: measured(plan, slack, gained).filter((one) => one.gainSeconds > 0), enough: false };
  const does = (of: ClassPlan): boolean => reached(of, target, options, tooLong);
  const tight = nearestInSize(plan, tightened(plan, min, does), slack, does, gained);
  return { found: measured(plan, tight, gained), enough: true };
}

/** Whether a plan can be as short, or as long, as the target. */
function reached(plan: ClassPlan, target: Milliseconds, options: FitOptions, tooLong: boolean): boolean {
  const { shortest, longest } = reachOfProblem(makeProblem(plan, target, options));
  return tooLong ? shortest <= target : longest >= target;
}

function gainOf(
  plan: ClassPlan,
  target: Milliseconds,
  options: FitOptions,
  tooLong: boolean,
  before: { readonly shortest: number; readonly longest: number },
): number {
  const { shortest, longest } = reachOfProblem(makeProblem(plan, target, options));
  return tooLong ? before.shortest - shortest : longest - before.longest;
}

/**
 * The fewest loosenings that do, with the breath of the class among them or not: at each breath length every one
 * gains a known time by itself, so the greatest gains come first. `null` when all are not enough.
 */
function fewest(
  plan: ClassPlan,
  target: Milliseconds,
  options: FitOptions,
  tooLong: boolean,
  slack: readonly Slack[],
  withBreath: boolean,
): Slack[] | null {
  const breath = slack.filter((one) => one.stepId === null);
  if (withBreath && breath.length === 0) return null;
  const base = withBreath ? loosened(plan, breath) : plan;
  const steps = slack.filter((one) => one.stepId !== null);
  const problem = makeProblem(base, target, options);
  const units = unitsOf(base);
  // What a bound gains does not depend on the steps outside its unit.
  const parts = steps.map((one) => {
    const only = units.get(one.stepId ?? '') ?? new Set([one.stepId ?? '']);
    const part = (of: ClassPlan): FitProblem => makeProblem(of, target, options, only);
    return { one, before: part(base), after: part(loosened(base, [one])) };
  });
  let best: Slack[] | null = null;
  problem.breaths.forEach((_, at) => {
    const end = tooLong ? 'shortest' : 'longest';
    const now = extremesAt(problem, at)[end];
    const gap = Math.abs(now - target);
    const gains = parts.map(({ one, before, after }) => ({
      one,
      gain: Math.abs(extremesAt(after, at)[end] - extremesAt(before, at)[end]),
    }));
    gains.sort((a, b) => b.gain - a.gain);
    const taken: Slack[] = withBreath ? [...breath] : [];
    let sum = 0;
    const there = tooLong ? now <= target : now >= target;
    for (const { one, gain } of there ? [] : gains) {
      if (sum >= gap || gain === 0) break;
      taken.push(one);
      sum += gain;
    }
    if ((there || sum >= gap) && (best === null || taken.length < best.length)) best = taken;
  });
  const chosen = best as Slack[] | null;
  return chosen && reached(loosened(plan, chosen), target, options, tooLong) ? chosen : null;
}

/** For each step, it and the steps that are left out with it. */
function unitsOf(plan: ClassPlan): ReadonlyMap<string, ReadonlySet<string>> {
  const units = new Map<string, ReadonlySet<string>>();
  for (const [leader, companions] of companionsOf(plan)) {
    const members = new Set([leader, ...companions.map((step) => step.id)]);
    for (const id of members) units.set(id, members);
  }
  return units;
}

/** Bounds that are tried for the last of a set; more would hardly be nearer. */
const TRIED_AT_MOST = 12;

/**
 * The set with its last bound changed for the one that gains the least beyond what is missing: where ten seconds are
 * missing, ten seconds of a silence are asked for and not a round of a minute and a half.
 */
function nearestInSize(
  plan: ClassPlan,
  set: readonly Slack[],
  slack: readonly Slack[],
  does: (plan: ClassPlan) => boolean,
  gained: (plan: ClassPlan) => number,
): readonly Slack[] {
  const last = set.at(-1);
  if (!last || last.what === 'pin') return set;
  const kept = set.slice(0, -1);
  const others = slack
    .filter((one) => one.what !== 'pin' && one.stepId !== null && !set.some((other) => isSameBound(one, other)))
    // What is bounded by time comes in the finest steps.
    .sort(
      (a, b) =>
        Number(b.what === 'time') - Number(a.what === 'time') ||
        Number(b.what === 'tempo') - Number(a.what === 'tempo'),
    )
    .slice(0, TRIED_AT_MOST);
  let best = { set, gain: gained(loosened(plan, set)) };
  for (const other of others) {
    if (!does(loosened(plan, [...kept, other]))) continue;
    const tried = tightened(plan, [...kept, other], does);
    const gain = gained(loosened(plan, tried));
    if (gain < best.gain) best = { set: tried, gain };
  }
  return best.set;
}

function isSameBound(one: Slack, other: Slack): boolean {
  return one.stepId === other.stepId && one.what === other.what;
}

/** Each loosened no further than needed, the last one first: the nearest of its values with which the set still does. */
function tightened(plan: ClassPlan, set: readonly Slack[], does: (plan: ClassPlan) => boolean): Slack[] {
  const kept = [...set];
  for (let at = kept.length - 1; at >= 0; at--) {
    const current = itemAt(kept, at);
    const { values } = current;
    let low = 0;
    let high = values.length - 1;
    while (low < high) {
      const middle = Math.floor((low + high) / 2);
      const tried = kept.map((one, index) => (index === at ? { ...one, to: itemAt(values, middle) } : one));
      if (does(loosened(plan, tried))) high = middle;
      else low = middle + 1;
    }
    if (values.length > 0) kept[at] = { ...current, to: itemAt(values, low) };
  }
  return kept;
}

/** With what each gains on top of those before it. */
function measured(plan: ClassPlan, set: readonly Slack[], gained: (plan: ClassPlan) => number): Loosening[] {
  let now = plan;
  let before = 0;
  return set.map((one) => {
    const { what, stepId, from, to } = one;
    const edit = one.editTo(now, to);
    now = planAfter(now, edit);
    const total = gained(now);
    const gain = total - before;
    before = total;
    return { what, stepId, from, to, gainSeconds: toSeconds(gain), edit };
  });
}

function loosened(plan: ClassPlan, set: readonly Slack[]): ClassPlan {
  return set.reduce((now, one) => planAfter(now, one.editTo(now, one.to)), plan);
}
