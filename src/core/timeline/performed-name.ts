import type { PerformedStep } from '@/core/plan';
import { sideWord, type TeachingStyle } from '@/core/words';

/** What a step is called where it stands alone: in a block that is done on both sides, with its side. */
export function performedName(
  { step, side, pass }: Pick<PerformedStep, 'step' | 'side' | 'pass'>,
  style: TeachingStyle,
): string {
  return side === null ? step.name : `${step.name}, ${sideWord(side, style, pass === 1)}`;
}
