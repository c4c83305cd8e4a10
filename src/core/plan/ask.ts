import { setFields, type Edit } from './edit';
import { LIMITS } from './limits';
import type { PlanPace } from './schema';
import { contractOf, type MovementStep, type Step } from './steps';
import { asked } from './wish';

/*
 * Asking for a value: it is what was asked for from then on, and the bounds are widened to hold it.
 */

/** Asks for a value of what a step's fit may move; `null` where nothing is, out of all limits, or where nothing changes. */
export function ask(step: Step, value: number): Edit | null {
  const wish = contractOf(step).wish(step);
  if (!wish || (wish.what === 'rounds' && !areRounds(value))) return null;
  const { fields } = wish;
  const then = asked(wish, value);
  return setFields(step, {
    [fields.value]: then.value,
    ...(fields.preferred ? { [fields.preferred]: then.preferred } : {}),
    [fields.min]: then.min,
    [fields.max]: then.max,
  });
}

/** Asks for a time of a movement that has one beside its rounds; `null` where nothing changes. */
export function askTime(step: MovementStep, seconds: number): Edit | null {
  const { preferred, min, max } = asked({ min: step.minSeconds, max: step.maxSeconds }, seconds);
  return setFields(step, { seconds, preferredSeconds: preferred, minSeconds: min, maxSeconds: max });
}

/** Asks for rounds whatever leads the movement; `null` out of all limits, or where nothing changes. */
export function askRounds(step: MovementStep, rounds: number, multiple = step.multiple): Edit | null {
  if (!areRounds(rounds)) return null;
  return setFields(step, { multiple, ...roundsAsked(step, rounds) });
}

function areRounds(rounds: number): boolean {
  return rounds >= 1 && rounds <= LIMITS.rounds;
}

type RoundFields = Pick<MovementStep, 'rounds' | 'preferredRounds' | 'minRounds' | 'maxRounds'>;

/** The fields of a movement that was asked for so many rounds. */
export function roundsAsked(step: Pick<MovementStep, 'minRounds' | 'maxRounds'>, rounds: number): RoundFields {
  const { preferred, min, max } = asked({ min: step.minRounds, max: step.maxRounds }, rounds);
  return { rounds, preferredRounds: preferred, minRounds: min, maxRounds: max };
}

/** The pace of a class that was asked for a breath at its start. */
export function breathAsked(pace: PlanPace, breathSeconds: number): PlanPace {
  const { preferred, min, max } = asked({ min: pace.minBreathSeconds, max: pace.maxBreathSeconds }, breathSeconds);
  return {
    ...pace,
    breathSeconds,
    preferredBreathSeconds: preferred,
    minBreathSeconds: min,
    maxBreathSeconds: max,
  };
}
