import { itemAt } from '@/core/units';
import { stretchCount, type Form, type MovementContent } from '@/core/movement';
import type { Turn } from '../contract';
import { lineIn } from './lines';
import type { Counting, Side, TeachingStyle } from '@/core/words';

type Sided = Pick<MovementContent, 'sides' | 'startSide'>;

/** The sides of a movement in the order it uses them; one `null` where there are none. */
export function sidesOf({ sides, startSide }: Sided): readonly (Side | null)[] {
  if (sides === 'together') return [null];
  if (sides === 'both-directions') return ['one-way', 'other-way'];
  if (sides === 'one-side') return [startSide];
  const otherSide = startSide === 'left' ? 'right' : 'left';
  if (sides !== 'both-directions-each-side') return [startSide, otherSide];
  return [`${startSide}-one-way`, `${startSide}-other-way`, `${otherSide}-one-way`, `${otherSide}-other-way`];
}

/** Stretches that follow each other, each with all its rounds or its share of the time, and what is done in each. */
export function stretchesOf(step: Sided): readonly Pick<Turn, 'side' | 'other' | 'begins' | 'stretch'>[] {
  const sides = sidesOf(step);
  const { length } = sides;
  return Array.from({ length: stretchCount(step.sides) }, (_, stretch) => ({
    stretch,
    side: step.sides === 'alternating' || step.sides === 'turn-by-turn' ? null : (sides[stretch] ?? null),
    // Of four, the same way on the other side.
    other: sides[(stretch + length / 2) % length] ?? null,
    begins: stretch < Math.max(1, length / 2),
  }));
}

/** Every round in the order it is performed, `rounds` on each side. */
export function turnsOf(step: Sided, rounds: number): Turn[] {
  const sides = sidesOf(step);
  const turns: Turn[] = [];
  const inTurn = step.sides === 'alternating' || step.sides === 'turn-by-turn';
  for (const stretch of stretchesOf(step)) {
    for (let round = 1; round <= rounds; round++) {
      const last = round === rounds;
      if (!inTurn) {
        turns.push({ ...stretch, round, counted: true, last, changes: stretch.stretch > 0 && round === 1 });
        continue;
      }
      const each = step.sides === 'alternating' ? [0, 1] : [(round - 1) % 2];
      each.forEach((at, index) => {
        const [side, other] = [itemAt(sides, at), itemAt(sides, 1 - at)];
        const counted = index === 0;
        turns.push({
          stretch: 0,
          round,
          side,
          other,
          begins: at === 0,
          counted,
          last: counted && last,
          changes: false,
        });
      });
    }
  }
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
 * Rounds that go on at everybody's own pace have no last one.
 */
export function announcementOf(
  step: MovementContent,
  style: TeachingStyle,
  turn: Turn,
  rounds: number,
  form: Form,
): string {
  if (!turn.counted) return '';
  const counting = step.counting ?? style.counting;
  if (counting === 'none') return '';
  const counts = counting === 'up' || counting === 'nines';
  // One round alone is no last one, and nothing is left of it to count down.
  if (rounds === 1 || step.pacedBy === 'breath-then-own-pace') return counts ? '{Count}.' : '';
  if (turn.last) return lineIn(step, 'lastRound', form).text || (counting === 'end' ? '' : '{Count}.');
  const roundsLeft = lineIn(step, 'roundsLeft', form).text;
  if (counting === 'end') return rounds > 2 && turn.round === rounds - 1 ? roundsLeft : '';
  return counting === 'down' ? roundsLeft || '{Count}.' : '{Count}.';
}
