import { itemAt } from '@/core/units';
import type { Form } from '@/core/movement';
import type { Turn } from '../contract';
import { lineIn } from './lines';
import type { MovementStep } from './schema';
import type { Counting, TeachingStyle, Side } from '@/core/words';

/** The sides of a movement in the order it uses them. */
export function sidesOf(step: MovementStep): readonly (Side | null)[] {
  if (step.sides === 'together') return [null];
  if (step.sides === 'both-directions') return ['one-way', 'other-way'];
  return step.startSide === 'left' ? ['left', 'right'] : ['right', 'left'];
}

/** Every round in the order it is performed, `rounds` on each side. */
export function turnsOf(step: MovementStep, rounds: number): Turn[] {
  const sides = sidesOf(step);
  const turns: Turn[] = [];
  const turn = (round: number, at: number, counted: boolean, changes: boolean): void => {
    const last = counted && round === rounds;
    turns.push({
      round,
      side: itemAt(sides, at),
      other: sides[1 - at] ?? null,
      begins: at === 0,
      counted,
      last,
      changes,
    });
  };
  if (step.sides === 'alternating') {
    for (let round = 1; round <= rounds; round++) {
      turn(round, 0, true, false);
      turn(round, 1, false, false);
    }
    return turns;
  }
  sides.forEach((_, at) => {
    for (let round = 1; round <= rounds; round++) turn(round, at, true, at === 1 && round === 1);
  });
  return turns;
}

/** The number that a counting style says with a round; 0 where it says none. */
export function countOf(counting: Counting, round: number, rounds: number): number {
  if (counting === 'up') return round;
  if (counting === 'nines') return ((round - 1) % 9) + 1;
  if (counting === 'down' || counting === 'end') return rounds - round + 1;
  return 0;
}

/**
 * What announces a turn, its tokens not yet filled: the last round's line on the last one; before it the count of the
 * style, or where only the end is counted the line for the rounds left, two rounds from the end. On a round whose
 * form is not the full one it is said in its short wording, where it has one; a silent round is announced all the same.
 */
export function announcementOf(
  step: MovementStep,
  style: TeachingStyle,
  turn: Turn,
  rounds: number,
  form: Form,
): string {
  if (!turn.counted) return '';
  const counting = step.counting ?? style.counting;
  if (counting === 'none') return '';
  // One round alone is no last one, and nothing is left of it to count down.
  if (rounds === 1) return counting === 'up' || counting === 'nines' ? '{Count}.' : '';
  if (turn.last) return lineIn(step, 'lastRound', form).text || (counting === 'end' ? '' : '{Count}.');
  const roundsLeft = lineIn(step, 'roundsLeft', form).text;
  if (counting === 'end') return rounds > 2 && turn.round === rounds - 1 ? roundsLeft : '';
  return counting === 'down' ? roundsLeft || '{Count}.' : '{Count}.';
}
