import type { ClassPlan, FitWay } from '@/core/plan';
import { landingSecondsOf, stepPaces } from '@/core/plan';
import { toMilliseconds, toSeconds, type Milliseconds } from '@/core/units';
import { collectUnits } from './collect';
import { breathCost, LANDING_COST_PER_MILLISECOND, WEIGHTS } from './cost';
import type { ElasticItem, FitProblem } from './model';

export interface FitOptions {
  readonly way?: FitWay;
  readonly tolerance?: Milliseconds;
  /** What a person has just set and the fit leaves alone: ids of steps, and whether the breath. */
  readonly held?: { readonly stepIds: readonly string[]; readonly breath: boolean };
}

/** Free around the target: just under half a second, so that the runtime still reads as the target in `m:ss`. */
export const TOLERANCE: Milliseconds = 499;

/**
 * Makes the problem of fitting `plan` to `target`. With `only`, the steps of those ids alone, as they stand in the
 * class: what a part of it can take.
 */
export function makeProblem(
  plan: ClassPlan,
  target: Milliseconds,
  options: FitOptions = {},
  only: ReadonlySet<string> | null = null,
): FitProblem {
  const weights = WEIGHTS[options.way ?? 'balanced'];
  const held = new Set(options.held?.stepIds);
  const tenths = breathTenths(plan, options.held?.breath ?? false);
  const paces = stepPaces(plan);
  const seen = only === null ? plan : partOf(plan, only);
  const collected = collectUnits(seen, paces, tenths, weights, held);
  const preferredTenths = Math.round(plan.pace.preferredBreathSeconds * 10);
  const breaths = tenths.map((length) => ({
    tenths: length,
    cost: breathCost(length, preferredTenths, collected.movements, weights),
  }));
  const { fixed, items, absent } = collected;
  const tolerance = options.tolerance ?? TOLERANCE;
  const landing = landingOf(plan, target, tolerance);
  const elastic = landing ? [...collected.elastic, landing] : collected.elastic;
  return { target, tolerance, fixed, items, elastic, absent, preferredTenths, breaths, weights };
}

/** How far from the target the class may end, as something that stretches; `null` where that is nothing. */
function landingOf(plan: ClassPlan, target: Milliseconds, tolerance: Milliseconds): ElasticItem | null {
  const allowed = toMilliseconds(landingSecondsOf(plan, toSeconds(target))) - tolerance;
  if (allowed <= 0) return null;
  const order = Number.MAX_SAFE_INTEGER;
  const costPerMillisecond = LANDING_COST_PER_MILLISECOND;
  return {
    stepId: '',
    kind: 'landing',
    order,
    min: -allowed,
    preferred: 0,
    max: allowed,
    costPerMillisecond,
    parts: [],
  };
}

/**
 * Opening breaths the fit may choose, in tenths, shortest first: those inside the bounds at the opening and at the
 * closing. Only the present one when pinned, or when the bounds leave none.
 */
function breathTenths(plan: ClassPlan, held: boolean): number[] {
  const { pace } = plan;
  if (pace.pinned || held) return [pace.breathSeconds * 10];
  const min = Math.ceil(pace.minBreathSeconds * 10 - 1e-6);
  const max = Math.floor(pace.maxBreathSeconds * 10 + 1e-6);
  const found: number[] = [];
  for (let tenths = min; tenths <= max; tenths++) {
    const closing = tenths * pace.closingRatio;
    if (closing >= min - 1e-6 && closing <= max + 1e-6) found.push(tenths);
  }
  return found.length > 0 ? found : [pace.breathSeconds * 10];
}

function partOf(plan: ClassPlan, only: ReadonlySet<string>): ClassPlan {
  const sections = plan.sections.flatMap((section) => {
    const steps = section.steps.filter((step) => only.has(step.id));
    return steps.length > 0 ? [{ ...section, steps }] : [];
  });
  return { ...plan, sections };
}
