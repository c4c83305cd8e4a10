import { sidesOf, type MovementStep } from '@/core/plan';
import { directionOf, instructorSide, legOf, sideWord, wayWord, type Side, type TeachingStyle } from '@/core/words';

/** A side as the instructor needs it: the word that is said, the side that they move, and the direction. */
export interface SideTold {
  readonly word: string;
  /** Empty where no side of the body is meant. */
  readonly mine: string;
  /** Empty where no direction is meant. */
  readonly way: string;
}

export function sideTold(side: Side, step: MovementStep, style: TeachingStyle): SideTold {
  const leg = legOf(side);
  const [first = null] = sidesOf(step);
  const begins = leg === null ? side === first : first !== null && legOf(first) === leg;
  return {
    word: sideWord(side, style, begins),
    mine: leg === null ? '' : (legOf(instructorSide(side, style)) ?? ''),
    way: directionOf(side) === null ? '' : wayWord(side, step.startSide, style),
  };
}
