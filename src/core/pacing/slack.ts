import {
  contractOf,
  isMovement,
  LIMITS,
  setFields,
  setPlan,
  setStep,
  stepsInOrder,
  type ClassPlan,
  type Edit,
  type PlanPace,
  type Step,
  type StepWish,
} from '@/core/plan';
import { allowedRounds } from './collect';

/** A bound that could give way, as far as a person would accept. */
export interface Slack {
  readonly what: 'breath' | 'rounds' | 'time' | 'tempo' | 'pin';
  /** `null` for the breath of the whole class. */
  readonly stepId: string | null;
  /** The bound now and as far as it may go (rounds, seconds, or tempo); 0 where a pin is taken out. */
  readonly from: number;
  readonly to: number;
  /** The values it may take from the nearest on; `to` is the last of them. Empty for a pin. */
  readonly values: readonly number[];
  readonly editTo: (plan: ClassPlan, to: number) => Edit;
}

/** What a person would still accept, beyond which nothing is proposed. Common practice, no published source. */
const ACCEPTABLE = {
  leastBreath: 4,
  mostBreath: 20,
  minRounds: 1,
  maxRounds: 18,
  leastTime: 10,
  mostTime: 600,
  /** A step at many times its length is another class. */
  timesAsLong: 2,
  minTempo: 0.85,
  maxTempo: 1.25,
};

/** Every bound that could give way to make a class shorter (`tooLong`) or longer. */
export function slackOf(plan: ClassPlan, tooLong: boolean): Slack[] {
  const steps = stepsInOrder(plan).flatMap(({ step }) => slackOfStep(step, tooLong));
  const breath = slackOfBreath(plan, tooLong);
  return breath ? [breath, ...steps] : steps;
}

function slackOfBreath(plan: ClassPlan, tooLong: boolean): Slack | null {
  const { pace } = plan;
  const setPace =
    (change: (to: number) => Partial<PlanPace>) =>
    (now: ClassPlan, to: number): Edit =>
      setPlan('pace', { ...now.pace, ...change(to) });
  if (pace.pinned) {
    return { what: 'pin', stepId: null, from: 0, to: 0, values: [], editTo: setPace(() => ({ pinned: false })) };
  }
  const field = tooLong ? 'minBreathSeconds' : 'maxBreathSeconds';
  const values = between(pace[field], tooLong ? ACCEPTABLE.leastBreath : ACCEPTABLE.mostBreath, 0.1);
  const editTo = setPace((to) => ({ [field]: to }));
  return bound('breath', null, pace[field], values, editTo);
}

function slackOfStep(step: Step, tooLong: boolean): Slack[] {
  const wish = contractOf(step).wish(step);
  if (!wish) return [];
  if (step.pinned) {
    const editTo = (): Edit => setStep(step, 'pinned', false);
    return [{ what: 'pin', stepId: step.id, from: 0, to: 0, values: [], editTo }];
  }
  const side = tooLong ? 'min' : 'max';
  const now = wish[side];
  const editTo = (_: ClassPlan, to: number): Edit => nothingIfNull(setFields(step, { [wish.fields[side]]: to }));
  const found = bound(wish.what, step.id, now, acceptable(step, wish, side), editTo);
  return [found, slackOfOwnPace(step, side)].flatMap((one) => one ?? []);
}

/** The time at one's own pace that follows counted rounds, which are the step's own wish. */
function slackOfOwnPace(step: Step, side: Side): Slack | null {
  if (!isMovement(step) || step.pacedBy !== 'breath-then-own-pace') return null;
  const field = side === 'min' ? 'minSeconds' : 'maxSeconds';
  const now = step[field];
  const values = between(now, side === 'min' ? ACCEPTABLE.leastTime : mostTime(now), 5);
  return bound('time', step.id, now, values, (_, to) => nothingIfNull(setFields(step, { [field]: to })));
}

/** Values that a bound may take, from the nearest on. */
function acceptable(step: Step, wish: Pick<StepWish<Step>, 'what' | 'multiple' | 'min' | 'max'>, side: Side): number[] {
  const shorter = side === 'min';
  const now = wish[side];
  if (wish.what === 'rounds') {
    const allowed = isMovement(step) ? allowedRounds(step) : [now];
    const from = shorter ? (allowed[0] ?? 0) : (allowed[allowed.length - 1] ?? 0);
    const end = shorter ? ACCEPTABLE.minRounds : Math.min(LIMITS.rounds, ACCEPTABLE.maxRounds);
    return between(from, end, wish.multiple);
  }
  if (wish.what === 'tempo') return between(now, shorter ? ACCEPTABLE.minTempo : ACCEPTABLE.maxTempo, 0.05);
  return between(now, shorter ? ACCEPTABLE.leastTime : mostTime(now), 5);
}

type Side = 'min' | 'max';

/** An edit of nothing where there is none. */
function nothingIfNull(edit: Edit | null): Edit {
  return edit ?? { kind: 'together', edits: [] };
}

/** As long as a stretch of time may become that is bounded by `now` seconds. */
function mostTime(now: number): number {
  return Math.max(now, Math.min(ACCEPTABLE.mostTime, now * ACCEPTABLE.timesAsLong));
}

function bound(
  what: Slack['what'],
  stepId: string | null,
  from: number,
  values: readonly number[],
  editTo: Slack['editTo'],
): Slack | null {
  const to = values.at(-1);
  return to === undefined ? null : { what, stepId, from, to, values, editTo };
}

/** Values from `now` (left out) towards `end` (kept in, where a step lands on it or passes it) by `step`. */
function between(now: number, end: number, step: number): number[] {
  const direction = Math.sign(end - now);
  const found: number[] = [];
  if (direction === 0) return found;
  for (let count = 1; ; count++) {
    const value = Math.round((now + direction * step * count) * 1000) / 1000;
    if ((end - value) * direction < -1e-9) break;
    found.push(value);
  }
  return found;
}
