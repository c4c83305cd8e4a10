import { toMilliseconds, type Milliseconds, type Seconds } from '@/core/units';
import { LIMITS } from '../limits';
import { clamped } from './bounds';
import type { StepWish, Stretch } from './contract';

/** The time of a step that was asked for and may stretch. */
interface Timed {
  readonly seconds: Seconds;
  readonly preferredSeconds: Seconds;
  readonly minSeconds: Seconds;
  readonly maxSeconds: Seconds;
}

export const TIME_FIELDS = ['seconds', 'preferredSeconds', 'minSeconds', 'maxSeconds'] as const;

/** A time that was asked for, and how far a fit may go from it: a quarter less to half as much again; common practice, no published source. */
export function timeAround(seconds: Seconds): Timed {
  const { min, max } = LIMITS.countedSeconds;
  const within = (value: number): number => clamped(Math.round(value), { min, max });
  const asked = within(seconds);
  return { seconds: asked, preferredSeconds: asked, minSeconds: within(asked * 0.75), maxSeconds: within(asked * 1.5) };
}

export function timeWish<Step extends Timed>(step: Step): StepWish<Step> {
  return {
    what: 'time',
    value: step.seconds,
    preferred: step.preferredSeconds,
    min: step.minSeconds,
    max: step.maxSeconds,
    multiple: 1,
    fields: { value: 'seconds', preferred: 'preferredSeconds', min: 'minSeconds', max: 'maxSeconds' },
  };
}

/** How far such a time stretches; never less than `words` take. */
export function timeStretch(step: Timed, of: Stretch['of'], words: Milliseconds): Stretch {
  const min = Math.max(words, toMilliseconds(step.minSeconds));
  const max = Math.max(min, toMilliseconds(step.maxSeconds));
  return { of, min, preferred: clamped(toMilliseconds(step.preferredSeconds), { min, max }), max };
}
