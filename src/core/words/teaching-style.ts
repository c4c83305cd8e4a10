/*
 * Where instructors disagree, and a class chooses (common practice, no published source).
 */

export const COUNTINGS = ['up', 'down', 'end', 'nines', 'none'] as const;
/** How rounds are counted aloud: up; down; only towards the end; up to nine and again; not at all. */
export type Counting = (typeof COUNTINGS)[number];

export const SIDE_STYLES = ['mirror', 'own', 'marks', 'none'] as const;
/**
 * How sides are said. A plan's side is always the follower's. In `mirror` the instructor moves the other one, so that
 * the picture can be copied; in `own` the same; `marks` says what stands on that side of the room; `none` names no side.
 */
export type SideSchool = (typeof SIDE_STYLES)[number];

export const CIRCLE_STYLES = ['above', 'mirror'] as const;
/** Whether clockwise is as seen from above, or as seen in a mirror. */
export type CircleSchool = (typeof CIRCLE_STYLES)[number];

export const BREATH_WAYS = ['nose', 'nose-mouth'] as const;
/** In and out through the nose, or in through the nose and out through the mouth. */
export type BreathWay = (typeof BREATH_WAYS)[number];

export const BELLIES = ['natural', 'reversed'] as const;
/** The belly out on the in-breath, or drawn in on it. */
export type Belly = (typeof BELLIES)[number];

export const OUT_BREATHS = ['even', 'long'] as const;
/** Whether the words ask for an out-breath as long as the in-breath, or longer. */
export type OutBreath = (typeof OUT_BREATHS)[number];

export const ROUND_STYLES = ['any', 'threes', 'fives', 'nines'] as const;
/** Whether rounds are asked for in threes, fives or nines. */
export type RoundSchool = (typeof ROUND_STYLES)[number];

/** The style of one class. */
export interface TeachingStyle {
  readonly counting: Counting;
  readonly sides: SideSchool;
  /** What stands at the follower's left and right, as said: "window side"; for `marks`. */
  readonly leftMark: string;
  readonly rightMark: string;
  readonly circles: CircleSchool;
  readonly breath: BreathWay;
  readonly belly: Belly;
  readonly outBreath: OutBreath;
  readonly rounds: RoundSchool;
  /** The opt-out said where a breath rests. */
  readonly holdLine: string;
}

export const USUAL_STYLE: TeachingStyle = {
  counting: 'end',
  sides: 'mirror',
  leftMark: '',
  rightMark: '',
  circles: 'above',
  breath: 'nose',
  belly: 'natural',
  outBreath: 'even',
  rounds: 'any',
  holdLine: 'Skip the hold whenever you like, and breathe on.',
};

export type Leg = 'left' | 'right';
export type Direction = 'one-way' | 'other-way';
/** The side, the way, or the way on a side, that a round is performed on, as the follower has it. */
export type Side = Leg | Direction | `${Leg}-${Direction}`;

/** The side of the body; `null` where only a direction is meant. */
export function legOf(side: Side): Leg | null {
  if (side.startsWith('left')) return 'left';
  return side.startsWith('right') ? 'right' : null;
}

/** The direction; `null` where only a side is meant. */
export function directionOf(side: Side): Direction | null {
  if (side.endsWith('one-way')) return 'one-way';
  return side.endsWith('other-way') ? 'other-way' : null;
}

/** The same way on a side of the body seen in the mirror; directions stay. */
export function mirroredSide(side: Side): Side {
  if (side.startsWith('left')) return side.replace('left', 'right') as Side;
  return side.startsWith('right') ? (side.replace('right', 'left') as Side) : side;
}

/** The word for a side in a style; `first` where it is the side that the movement begins with. */
export function sideWord(side: Side, style: TeachingStyle, first: boolean): string {
  const leg = legOf(side);
  if (leg === null) return directionOf(side) === 'one-way' ? 'one way' : 'other way';
  if (style.sides === 'none') return first ? 'one' : 'other';
  if (style.sides === 'marks') return (leg === 'left' ? style.leftMark : style.rightMark) || leg;
  return leg;
}

/** The side that the instructor moves while the follower moves `side`, facing them. */
export function instructorSide(side: Side, style: TeachingStyle): Side {
  const turned = style.sides === 'mirror' || style.sides === 'marks';
  if (!turned) return side;
  return mirroredSide(side);
}

/** The direction of a circle as said; `startSide` right begins clockwise as seen from above. */
export function wayWord(side: Side, startSide: 'left' | 'right', style: TeachingStyle): string {
  const oneWay = directionOf(side) === 'one-way';
  if (style.sides === 'none') return oneWay ? 'one way' : 'the other way';
  const clockwise = oneWay === (startSide === 'right');
  return clockwise === (style.circles === 'above') ? 'clockwise' : 'anticlockwise';
}

/** Rounds come in multiples of this by the style. */
export function roundsMultiple(style: RoundSchool): number {
  return { any: 1, threes: 3, fives: 5, nines: 9 }[style];
}
