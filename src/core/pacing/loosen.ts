import { applyEdit, findStep, LIMITS, stepsInOrder, type ClassPlan, type Edit, type Step } from '@/core/plan';
import { toMilliseconds, toSeconds, type Milliseconds, type Seconds } from '@/core/units';
import { allowedRounds, makeProblem } from './problem';
import { reachOfProblem } from './reach';

/** One bound that could be loosened so that the class can get nearer to its target. */
export interface Loosening {
  readonly what: 'breath' | 'breath-pin' | 'rounds' | 'rounds-pin' | 'quiet' | 'quiet-pin';
  /** `null` for the breath of the whole class. */
  readonly stepId: string | null;
  /** The bound now and the bound proposed (rounds, or seconds); equal where a pin is taken out. */
  readonly from: number;
  readonly to: number;
  readonly gainSeconds: Seconds;
  /** Whether it is enough by itself. */
  readonly suffices: boolean;
  /** The edit that loosens it. */
  readonly edit: Edit;
}

/** What a person would still accept, beyond which nothing is proposed. Common practice, no published source. */
const ACCEPTABLE = { leastBreath: 4, mostBreath: 20, leastRounds: 1, mostRounds: 18, leastQuiet: 10, mostQuiet: 600 };

/**
 * Single bounds that would bring the class nearer to `target` (milliseconds) when it lies outside its reach, those
 * that suffice first, then the greatest gain. Each gain is measured on the loosened plan, not estimated.
 */
export function loosenings(plan: ClassPlan, target: Milliseconds): Loosening[] {
  const reach = reachOfProblem(makeProblem(plan, target));
  const tooShort = target < reach.shortest;
  if (!tooShort && target <= reach.longest) return [];
  const gap = tooShort ? reach.shortest - target : target - reach.longest;
  const found: Loosening[] = [];
  for (const proposal of proposalsFor(plan, tooShort)) {
    const applied = applyEdit(plan, proposal.edit);
    if (!applied.ok) continue;
    const after = reachOfProblem(makeProblem(applied.value.plan, target));
    const gain = tooShort ? reach.shortest - after.shortest : after.longest - reach.longest;
    if (gain <= 0) continue;
    found.push({ ...proposal, gainSeconds: toSeconds(gain), suffices: gain >= gap });
  }
  return found.sort((a, b) => Number(b.suffices) - Number(a.suffices) || b.gainSeconds - a.gainSeconds);
}

type Proposal = Omit<Loosening, 'gainSeconds' | 'suffices'>;

function proposalsFor(plan: ClassPlan, tooShort: boolean): Proposal[] {
  const proposals: Proposal[] = [];
  const { pace } = plan;
  if (pace.pinned) {
    proposals.push(paceProposal(plan, 'breath-pin', pace.breathSeconds, pace.breathSeconds, { pinned: false }));
  } else if (tooShort && pace.leastBreathSeconds > ACCEPTABLE.leastBreath) {
    const to = ACCEPTABLE.leastBreath;
    proposals.push(paceProposal(plan, 'breath', pace.leastBreathSeconds, to, { leastBreathSeconds: to }));
  } else if (!tooShort && pace.mostBreathSeconds < ACCEPTABLE.mostBreath) {
    const to = ACCEPTABLE.mostBreath;
    proposals.push(paceProposal(plan, 'breath', pace.mostBreathSeconds, to, { mostBreathSeconds: to }));
  }
  for (const { step } of stepsInOrder(plan)) proposals.push(...stepProposals(step, tooShort));
  return proposals;
}

function paceProposal(plan: ClassPlan, what: Loosening['what'], from: number, to: number, change: object): Proposal {
  return {
    what,
    stepId: null,
    from,
    to,
    edit: { kind: 'set-plan', field: 'pace', value: { ...plan.pace, ...change } },
  };
}

function stepProposals(step: Step, tooShort: boolean): Proposal[] {
  if (step.kind === 'movement') {
    if (step.pinned) return [setting(step, 'rounds-pin', 'pinned', step.rounds, step.rounds, false)];
    const allowed = allowedRounds(step);
    if (tooShort) {
      const to = Math.max(ACCEPTABLE.leastRounds, step.multiple);
      return to < allowed[0] ? [setting(step, 'rounds', 'leastRounds', step.leastRounds, to, to)] : [];
    }
    const to = Math.min(LIMITS.rounds, Math.floor(ACCEPTABLE.mostRounds / step.multiple) * step.multiple);
    return to > allowed[allowed.length - 1] ? [setting(step, 'rounds', 'mostRounds', step.mostRounds, to, to)] : [];
  }
  if (step.kind === 'quiet') {
    if (step.pinned) return [setting(step, 'quiet-pin', 'pinned', step.seconds, step.seconds, false)];
    if (tooShort && step.leastSeconds > ACCEPTABLE.leastQuiet) {
      return [setting(step, 'quiet', 'leastSeconds', step.leastSeconds, ACCEPTABLE.leastQuiet, ACCEPTABLE.leastQuiet)];
    }
    if (!tooShort && step.mostSeconds < ACCEPTABLE.mostQuiet) {
      return [setting(step, 'quiet', 'mostSeconds', step.mostSeconds, ACCEPTABLE.mostQuiet, ACCEPTABLE.mostQuiet)];
    }
  }
  return [];
}

function setting(
  step: Step,
  what: Loosening['what'],
  field: string,
  from: number,
  to: number,
  value: number | boolean,
): Proposal {
  return { what, stepId: step.id, from, to, edit: { kind: 'set-step', stepId: step.id, field, value } };
}

/**
 * A set of loosenings that together bring `target` (seconds) within reach: the single one that suffices with the
 * least gain to spare, else the greatest gains until it does; all of them when even that is not enough.
 */
export function enoughLoosenings(plan: ClassPlan, targetSeconds: Seconds): readonly Loosening[] {
  const target = toMilliseconds(targetSeconds);
  const found = loosenings(plan, target);
  const single = found.filter((one) => one.suffices).at(-1);
  if (single) return [single];
  const taken: Loosening[] = [];
  let now = plan;
  for (const one of found) {
    if (one.stepId !== null && !findStep(now, one.stepId)) continue;
    const applied = applyEdit(now, one.edit);
    if (!applied.ok) continue;
    now = applied.value.plan;
    taken.push(one);
    const reach = reachOfProblem(makeProblem(now, target));
    if (target >= reach.shortest && target <= reach.longest) break;
  }
  return taken;
}
