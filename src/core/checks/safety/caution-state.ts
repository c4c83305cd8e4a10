import type { Caution } from '@/core/movement';
import { offers, saysOrDenies, speaksFor } from '@/core/meaning';
import { saidAfter, saidBefore, saidDuring, saidJustBefore, saidLines } from '../context';
import type { MovementContext, StepContext } from '../model';

/**
 * Whether a caution of a movement is said in time, after its movement has begun, or never; unclear where the movement's
 * own words forbid, allow or leave open something, and what is not known.
 */
export type CautionState = 'said' | 'late' | 'unclear' | 'missing';

/**
 * In time is before the first counted round: in the movement's own words, in talks and transitions that lead to it, or
 * in the step before. Late is in its rounds, or in a talk or transition right after it. Balance is another check's,
 * with its support.
 */
export function cautionState(
  steps: readonly StepContext[],
  at: number,
  context: MovementContext,
  caution: Caution,
): CautionState {
  if (caution === 'balance') return 'said';
  const said = saidBefore(context);
  const known = (words: string): boolean => isKnown(caution, words);
  if (hinted(caution, said) || known(said) || saidJustBefore(steps, at).some(known)) return 'said';
  if (known(saidDuring(context)) || saidAfter(steps, at).some(known)) return 'late';
  if (!saysOrDenies(said, 'reserved'))
    return saidLines(context).some((line) => speaksFor('leaves', line)) ? 'said' : 'missing';
  // Less, or a complaint, spoken of there is the caution in other words, but where the line urges as well.
  return saysOrDenies(said, 'less') && !saysOrDenies(said, 'urged') ? 'said' : 'unclear';
}

/** What is said in the movement itself need be less outright: "slow, if your knees talk to you". */
function hinted(caution: Exclude<Caution, 'balance'>, said: string): boolean {
  if (caution === 'standing-long' || caution === 'reversed-breath') return false;
  return saysOrDenies(said, `hint:${caution}`);
}

function isKnown(caution: Exclude<Caution, 'balance'>, said: string): boolean {
  if (caution === 'standing-long' && offers(said, 'seat')) return true;
  return saysOrDenies(said, `caution:${caution}`);
}
