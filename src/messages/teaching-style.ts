import type { Belly, BreathWay, CircleSchool, Counting, OutBreath, RoundSchool, SideSchool } from '@/core/words';

/** The style as they are chosen from. */
export const COUNTING_WORDS: Readonly<Record<Counting, string>> = {
  up: 'up from one',
  down: 'down to one',
  end: 'only towards the end',
  nines: 'by nines',
  none: 'not aloud',
};

export const SIDE_SCHOOL_WORDS: Readonly<Record<SideSchool, string>> = {
  mirror: 'as in a mirror',
  own: 'their own left and right',
  marks: 'marks in the room',
  none: 'no side named',
};

export const CIRCLE_WORDS: Readonly<Record<CircleSchool, string>> = {
  above: 'as seen from above',
  mirror: 'as seen in a mirror',
};

export const BREATH_WAY_WORDS: Readonly<Record<BreathWay, string>> = {
  nose: 'nose, inhale and exhale',
  'nose-mouth': 'exhale by the mouth',
};

export const BELLY_WORDS: Readonly<Record<Belly, string>> = {
  natural: 'out on the inhale',
  reversed: 'drawn in on the inhale',
};

export const OUT_BREATH_WORDS: Readonly<Record<OutBreath, string>> = {
  even: 'as long as the inhale',
  long: 'longer, to calm',
};

export const ROUND_SCHOOL_WORDS: Readonly<Record<RoundSchool, string>> = {
  any: 'any number',
  threes: 'threes',
  fives: 'fives',
  nines: 'nines',
};
