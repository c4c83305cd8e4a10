import type { NewId } from '@/core/document';
import { makePhase, spokenLines, type MovementContent } from '@/core/movement';
import { makeMovement, type MovementStep } from '@/core/plan';

/*
 * Plain movements under general names, for the classes one can start from. Counts and words are common practice, no
 * published source.
 */

type Phases = readonly (readonly ['inhale' | 'exhale', action: string, full: string, short: string])[];

/** A maker of one movement; every class gets a copy of its own. */
function movement(
  name: string,
  rounds: readonly [preferred: number, min: number, max: number],
  teach: readonly string[],
  phases: Phases,
  part: Partial<MovementContent> = {},
): (newId: NewId, change?: Partial<MovementContent>) => MovementStep {
  return (newId, change) => {
    const [preferredRounds, minRounds, maxRounds] = rounds;
    return makeMovement(newId, name, {
      preferredRounds,
      minRounds,
      maxRounds,
      teach: spokenLines(newId, teach),
      pattern: phases.map(([kind, action, full, short]) => makePhase(newId, { kind, action, full, short })),
      ...part,
      ...change,
    });
  };
}

export const raiseTheArms = movement(
  'Raise and lower the arms',
  [4, 2, 9],
  ['Raise and lower the arms. The wrists lead, no higher than the shoulders.'],
  [
    ['inhale', 'wrists rise', 'Breathe in, and the wrists rise.', 'In, rise.'],
    ['exhale', 'wrists sink', 'Breathe out, and they sink.', 'Out, sink.'],
  ],
  { priority: 'always', stanceStart: 'hip-width', stanceEnd: 'hip-width', seated: 'The same, sitting tall.' },
);

export const openAndClose = movement(
  'Open and close',
  [4, 2, 9],
  ['Open and close. The palms face each other, the elbows hang.'],
  [
    ['inhale', 'arms open', 'Breathe in, open.', 'In, open.'],
    ['exhale', 'arms close', 'Breathe out, close.', 'Out, close.'],
  ],
  { stanceStart: 'hip-width', stanceEnd: 'hip-width', seated: 'The same, elbows free of the chair.' },
);

export const shoulderCircles = movement(
  'Shoulder circles',
  [3, 2, 5],
  ['Shoulder circles, slow and small.'],
  [
    ['inhale', 'up and round', 'In, up and round.', 'In, round.'],
    ['exhale', 'down', 'Out, and down.', 'Out, down.'],
  ],
  {
    sides: 'both-directions',
    paceMultiplier: 0.75,
    priority: 'high',
    seated: 'The same.',
    sideChangeLine: 'And the other way.',
  },
);

export const turnFromTheWaist = movement(
  'Turn from the waist',
  [3, 2, 6],
  ['Turn from the waist. The knees stay over the feet.'],
  [
    ['inhale', 'turn {side}', 'Breathe in, turn to the {side}.', 'In, {side}.'],
    ['exhale', 'come back', 'Breathe out, come back.', 'Out, back.'],
  ],
  {
    sides: 'alternating',
    cautions: ['twist'],
    priority: 'high',
    lastRoundLine: 'Last one each side.',
    stanceStart: 'hip-width',
    stanceEnd: 'hip-width',
    seated: 'Turn from the ribs, sitting bones down.',
  },
);

export const pushTheWave = movement(
  'Push and draw back',
  [3, 2, 6],
  ['Push and draw back. Step one foot forward, and let the weight roll.'],
  [
    ['inhale', 'draw back', 'Breathe in, draw back.', 'In, back.'],
    ['exhale', 'push', 'Breathe out, push forward.', 'Out, push.'],
  ],
  {
    sides: 'one-then-other',
    priority: 'low',
    stanceStart: 'left-forward',
    stanceEnd: 'right-forward',
    sideChangeLine: 'Change feet, the {side} foot forward.',
    sideChangeSeconds: 8,
  },
);

export const shakeOut = movement(
  'Shake out',
  [3, 1, 9],
  ['Shake out the hands, the arms, and a little from the knees. Gently.'],
  [
    ['inhale', 'shake', '', ''],
    ['exhale', 'shake', '', ''],
  ],
  {
    pacedBy: 'own-pace',
    preferredSeconds: 45,
    minSeconds: 20,
    maxSeconds: 75,
    cautions: ['shaking'],
    priority: 'low',
    lastRoundLine: 'And let it come to rest.',
    seated: 'Hands and shoulders only.',
  },
);

export const handsToTheBelly = movement(
  'Hands to the lower belly',
  [3, 3, 9],
  ['Both hands rest on the lower belly. Breathe as you like.'],
  [
    ['inhale', 'belly widens', 'In, the belly widens.', 'In.'],
    ['exhale', 'belly softens', 'Out, it softens.', 'Out.'],
  ],
  { multiple: 3, priority: 'always', fade: ['full', 'breath', 'silent'], lastRoundLine: '', seated: 'The same.' },
);
