import { itemAt } from '@/core/units';
import type { Caution } from '@/core/movement';
import { saidBefore, saidDuring } from '../context';
import { withoutSinking } from '../language';
import { isMovement, type MovementContext, type StepContext } from '../model';
import { CAUTION_KNOWN } from './caution-known';

/** Whether a caution of a movement is said in time, after its movement has begun, or never. */
export type CautionState = 'said' | 'late' | 'missing';

/**
 * In time is before the first counted round: in the movement's own words, or in talks and transitions that lead to it.
 * Late is in its rounds, or in a talk or transition right after it. Balance is another check's, with its support.
 */
export function cautionState(
  steps: readonly StepContext[],
  at: number,
  context: MovementContext,
  caution: Caution,
): CautionState {
  if (caution === 'balance') return 'said';
  const known = (said: string): boolean => CAUTION_KNOWN[caution].test(withoutSinking(said));
  if (known(saidBefore(context))) return 'said';
  for (let before = at - 1; before >= 0 && !isMovement(itemAt(steps, before)); before--) {
    if (known(itemAt(steps, before).said)) return 'said';
  }
  if (known(saidDuring(context))) return 'late';
  for (let after = at + 1; after < steps.length && !isMovement(itemAt(steps, after)); after++) {
    if (known(itemAt(steps, after).said)) return 'late';
  }
  return 'missing';
}
