import { toMilliseconds, type Milliseconds, type Seconds } from '@/core/units';
import { clamped } from './bounds';
import type { StepWish, Stretch } from './contract';

/** The time of a step that was asked for and may stretch. */
interface Timed {
  readonly seconds: Seconds;
  readonly preferredSeconds: Seconds;
  readonly leastSeconds: Seconds;
  readonly mostSeconds: Seconds;
}

export const TIME_FIELDS = ['seconds', 'preferredSeconds', 'leastSeconds', 'mostSeconds'] as const;

export function timeWish<Step extends Timed>(step: Step): StepWish<Step> {
  return {
    what: 'time',
    value: step.seconds,
    preferred: step.preferredSeconds,
    least: step.leastSeconds,
    most: step.mostSeconds,
    multiple: 1,
    fields: { value: 'seconds', preferred: 'preferredSeconds', least: 'leastSeconds', most: 'mostSeconds' },
  };
}

/** How far such a time stretches; never less than `words` take. */
export function timeStretch(step: Timed, of: Stretch['of'], words: Milliseconds): Stretch {
  const least = Math.max(words, toMilliseconds(step.leastSeconds));
  const most = Math.max(least, toMilliseconds(step.mostSeconds));
  return { of, least, preferred: clamped(toMilliseconds(step.preferredSeconds), { least, most }), most };
}
