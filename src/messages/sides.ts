import type { SidePlan } from '@/core/movement';
import type { Side } from '@/core/words';

/** What a side or way is called where it stands alone. */
export const SIDE_NAMES: Readonly<Record<Side, string>> = {
  left: 'left',
  right: 'right',
  'one-way': 'one way',
  'other-way': 'other way',
  'left-one-way': 'left, one way',
  'left-other-way': 'left, other way',
  'right-one-way': 'right, one way',
  'right-other-way': 'right, other way',
};

/** What a count of rounds is of, for each way over the sides; nothing where it is of them all. */
export const EACH_WORDS: Readonly<Record<SidePlan, '' | 'per side' | 'each way' | 'each way, per side'>> = {
  together: '',
  'turn-by-turn': '',
  'one-side': '',
  alternating: 'per side',
  'one-then-other': 'per side',
  'both-directions': 'each way',
  'both-directions-each-side': 'each way, per side',
};

/** A count of rounds as it is said: "6 rounds per side". */
export function roundsWords(rounds: number, sides: SidePlan): string {
  return withEach(roundsCounted(rounds), sides);
}

/** "1 round", "6 rounds". */
export function roundsCounted(rounds: number): string {
  return `${rounds} ${rounds === 1 ? 'round' : 'rounds'}`;
}

/** What is counted, with what each count is of: "Rounds each way". */
export function withEach(what: string, sides: SidePlan): string {
  return [what, EACH_WORDS[sides]].filter(Boolean).join(' ');
}
