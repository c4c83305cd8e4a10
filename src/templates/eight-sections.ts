import type { NewId } from '@/core/document';
import { makePhase, spokenLines, type Caution } from '@/core/movement';
import { makeMovement, type MovementStep } from '@/core/plan';

interface Posture {
  readonly name: string;
  readonly sided: boolean;
  /** On each side where it has sides. */
  readonly times: number;
  readonly line: string;
  readonly cautions: readonly Caution[];
  /** Said before it. */
  readonly caution: string;
}

const POSTURES: readonly Posture[] = [
  {
    name: 'Both hands hold up the heavens',
    sided: false,
    times: 6,
    line: 'The hands meet and press up.',
    cautions: ['arms-high'],
    caution: 'Smaller if sore in the shoulders.',
  },
  {
    name: 'Drawing the bow on both sides',
    sided: true,
    times: 3,
    line: 'Draw the bow to the {side}.',
    cautions: ['deep-squat'],
    caution: 'Higher is fine for the knees.',
  },
  {
    name: 'Raising one hand, then the other',
    sided: true,
    times: 3,
    line: 'The {side} hand lifts, the other presses down.',
    cautions: ['arms-high'],
    caution: 'Lower if a shoulder is sore.',
  },
  {
    name: 'Looking back',
    sided: true,
    times: 3,
    line: 'Look back over the {side} shoulder.',
    cautions: ['neck', 'twist'],
    caution: 'Slow and small, from the waist.',
  },
  {
    name: 'Swaying the head and tail',
    sided: true,
    times: 3,
    line: 'Sway to the {side}, low and easy.',
    cautions: ['deep-squat', 'head-low'],
    caution: 'Higher is fine for the knees; head up if dizzy.',
  },
  {
    name: 'Hands down the back and legs',
    sided: false,
    times: 6,
    line: 'Slide the hands down the legs, no further than is easy.',
    cautions: ['forward-bend', 'head-low'],
    caution: 'A small lean is enough; head last.',
  },
  {
    name: 'Clenching the fists',
    sided: true,
    times: 3,
    line: 'The {side} fist goes out, slowly.',
    cautions: ['deep-squat'],
    caution: 'Higher is fine for the knees.',
  },
  {
    name: 'Heels rise and drop',
    sided: false,
    times: 7,
    line: 'Rise on the toes.',
    cautions: ['shaking'],
    caution: 'Gently; small is enough.',
  },
];

/**
 * The eight postures by their published counts: each six times, three a side where it has sides, the heel drops
 * seven (Chinese Health Qigong Association, Ba Duan Jin, 2007, from memory). Pinned to them.
 */
export function eightSections(newId: NewId): MovementStep[] {
  return POSTURES.map(({ name, sided, times, line, cautions, caution }) =>
    makeMovement(newId, name, {
      traditionalName: name,
      sides: sided ? 'alternating' : 'together',
      rounds: times,
      preferredRounds: times,
      minRounds: times,
      maxRounds: times,
      pinned: true,
      priority: 'always',
      cautions,
      teach: spokenLines(newId, [[`${name}. ${caution}`, 2]]),
      fade: ['full', 'short', 'silent'],
      pattern: [
        makePhase(newId, { kind: 'inhale', action: 'open', full: line, short: 'In.' }),
        makePhase(newId, { kind: 'exhale', action: 'close', full: 'And return.', short: 'Out.' }),
      ],
    }),
  );
}
