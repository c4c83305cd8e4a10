import { type NewId } from '@/core/document';
import { makePhase, NO_SHORTS, spokenLines, type Phase } from '@/core/movement';
import { makeMovement, type MovementStep } from '@/core/plan';

/*
 * The movements of the harbour studio. Themed names are invented; general names stand beside them where there is
 * one. Each is a function, so that every class has its own copy with its own ids.
 */

type Part = Partial<Omit<MovementStep, 'kind' | 'id' | 'name'>>;
type Movement = (newId: NewId, part?: Part) => MovementStep;

/** A phase from its action and its lines in full and short form; the breath-only form is the breath word. */
function phase(
  newId: NewId,
  kind: Phase['kind'],
  action: string,
  full: string,
  short: string,
  part: Partial<Phase> = {},
): Phase {
  return makePhase(newId, { kind, action, full, short, ...part });
}

export const raisingTheLamp: Movement = (newId, part) =>
  makeMovement(newId, 'Raising the lamp', {
    otherNames: ['Lifting the harbour light'],
    stanceStart: 'hip-width',
    stanceEnd: 'hip-width',
    priority: 'always',
    seated: 'The same, sitting tall at the front of the seat.',
    traditionalName: 'Raise the arms',
    preferredRounds: 4,
    minRounds: 2,
    maxRounds: 8,
    teach: spokenLines(newId, [
      ['Raising the lamp. The wrists lead, and the fingers follow.', 1.5],
      ['No higher than the shoulders; lower if they are sore.', 2],
    ]),
    pattern: [
      phase(newId, 'inhale', 'wrists rise', 'Breathe in, and the wrists carry the lamp up.', 'In, lamp up.'),
      phase(newId, 'exhale', 'wrists sink', 'Breathe out, set it down on dark water.', 'Out, set it down.'),
    ],
    ...part,
  });

export const coilingTheLine: Movement = (newId, part) =>
  makeMovement(newId, 'Coiling the line', {
    priority: 'high',
    seated: 'The same; the ribs rest on the breath.',
    sides: 'both-directions',
    preferredRounds: 4,
    minRounds: 3,
    maxRounds: 6,
    paceMultiplier: 0.75,
    teach: spokenLines(newId, [['Coiling the line. Slow circles of the shoulders, hands on the ribs.', 2]]),
    fade: ['full', 'short', 'silent'],
    sideChangeLine: 'And now coil it the other way.',
    shorts: { ...NO_SHORTS, sideChange: 'The other way.' },
    pattern: [
      phase(newId, 'inhale', 'shoulders up and round', 'In, shoulders rise and turn.', 'In, and round.'),
      phase(newId, 'exhale', 'shoulders down', 'Out, let them slide down.', 'Out, and down.'),
    ],
    ...part,
  });

export const tideOverTheSill: Movement = (newId, part) =>
  makeMovement(newId, 'Tide over the sill', {
    seated: 'The same, elbows free of the chair.',
    traditionalName: 'Opening and closing',
    preferredRounds: 4,
    minRounds: 3,
    maxRounds: 9,
    teach: spokenLines(newId, [['Tide over the sill. Palms face each other, as if you held a small barrel.', 2]]),
    fade: ['full', 'short', 'breath', 'silent'],
    pattern: [
      phase(newId, 'inhale', 'arms open', 'Breathe in as the tide comes over the sill.', 'In, tide comes.'),
      phase(newId, 'exhale', 'arms close', 'Breathe out as it runs away.', 'Out, it runs.'),
    ],
    ...part,
  });

export const turningTheLighthouse: Movement = (newId, part) =>
  makeMovement(newId, 'Turning the lighthouse', {
    stanceStart: 'hip-width',
    stanceEnd: 'hip-width',
    priority: 'high',
    seated: 'Turn from the ribs; both sitting bones stay down.',
    sides: 'alternating',
    preferredRounds: 3,
    minRounds: 2,
    maxRounds: 6,
    cautions: ['twist'],
    teach: spokenLines(newId, [['Turning the lighthouse. Turn from the waist, and keep the knees over the feet.', 2]]),
    lastRoundLine: 'Last one each side.',
    pattern: [
      phase(newId, 'inhale', 'turn {side}', 'Breathe in, turn the light to the {side}.', 'In, to the {side}.'),
      phase(newId, 'exhale', 'come home', 'Breathe out, and bring it home.', 'Out, home.'),
    ],
    ...part,
  });

export const heronOnThePiling: Movement = (newId, part) =>
  makeMovement(newId, 'Heron on the piling', {
    stanceStart: 'feet-together',
    stanceEnd: 'feet-together',
    priority: 'low',
    levels: [
      { name: 'Small', note: 'Toes stay down, the heel lifts.', lines: [] },
      { name: 'Medium', note: 'The foot leaves the floor.', lines: [] },
      { name: 'Full', note: 'The knee comes to the height of the hip.', lines: [] },
    ],
    traditionalName: 'Standing on one leg',
    sides: 'one-then-other',
    preferredRounds: 2,
    minRounds: 2,
    maxRounds: 4,
    cautions: ['balance'],
    teach: spokenLines(newId, [
      ['Heron on the piling. Keep a wall or a chair at hand.', 1.5],
      ['The toes may stay down; lift the heel, or the whole foot, if you are steady.', 1.5],
      ['Leave out the rest at the top whenever you like.', 2],
    ]),
    sideChangeLine: 'Set the foot down, and change to the {side}.',
    sideChangeSeconds: 6,
    pattern: [
      phase(newId, 'inhale', '{side} knee rises', 'Breathe in, the {side} knee floats up.', 'In, and float.'),
      phase(newId, 'hold', 'stand', '', '', { seconds: 1.5, share: null }),
      phase(newId, 'exhale', '{side} foot sinks', 'Breathe out, set the foot down softly.', 'Out, softly down.'),
    ],
    ...part,
  });

export const haulingTheSlowNet: Movement = (newId, part) =>
  makeMovement(newId, 'Hauling the slow net', {
    stanceStart: 'wide',
    stanceEnd: 'wide',
    priority: 'low',
    preferredRounds: 2,
    minRounds: 1,
    maxRounds: 3,
    teach: spokenLines(newId, [['Hauling the slow net. Four breaths to one round, so take your time.', 2]]),
    fade: ['full', 'short'],
    pattern: [
      phase(newId, 'inhale', 'reach down', 'In, reach down for the net.', 'In, reach.'),
      phase(newId, 'exhale', 'take hold', 'Out, and take hold.', 'Out, hold.'),
      phase(newId, 'inhale', 'draw to the knees', 'In, draw it to the knees.', 'In, to the knees.'),
      phase(newId, 'exhale', 'settle', 'Out, let it settle.', 'Out, settle.'),
      phase(newId, 'inhale', 'draw to the belly', 'In, up to the belly.', 'In, to the belly.'),
      phase(newId, 'exhale', 'settle', 'Out, and wait.', 'Out.'),
      phase(newId, 'inhale', 'draw to the chest', 'In, as high as the heart.', 'In, to the heart.'),
      phase(newId, 'exhale', 'let go', 'And one long breath out, the net is home.', 'Out, long and slow.', {
        share: 0.8,
      }),
    ],
    ...part,
  });

export const rowingHome: Movement = (newId, part) =>
  makeMovement(newId, 'Rowing home', {
    stanceStart: 'hip-width',
    stanceEnd: 'hip-width',
    sides: 'both-directions',
    preferredRounds: 3,
    minRounds: 3,
    maxRounds: 6,
    teach: spokenLines(newId, [['Rowing home. Lean from the ankles, and let the whole back pull.', 2]]),
    fade: ['full', 'short', 'breath'],
    sideChangeLine: 'Turn the oars, and row the other way.',
    shorts: { ...NO_SHORTS, sideChange: 'Row the other way.' },
    pattern: [
      phase(newId, 'inhale', 'reach', 'In, reach for the water.', 'In, reach.'),
      phase(newId, 'exhale', 'pull', 'Out, with the whole back.', 'Out, pull.'),
    ],
    ...part,
  });

export const bellBuoy: Movement = (newId, part) =>
  makeMovement(newId, 'Bell buoy', {
    otherNames: ['Swell at the mooring'],
    stanceStart: 'hip-width',
    stanceEnd: 'hip-width',
    sides: 'alternating',
    preferredRounds: 4,
    minRounds: 3,
    maxRounds: 8,
    paceMultiplier: 0.8,
    teach: spokenLines(newId, [['Bell buoy. Let the weight roll from one foot to the other.', 2]]),
    fade: ['full', 'short', 'silent'],
    lastRoundLine: 'Last one each side.',
    pattern: [
      phase(newId, 'inhale', 'roll {side}', 'In, roll to the {side}.', 'In, {side}.'),
      phase(newId, 'exhale', 'to the middle', 'Out, to the middle.', 'Out.'),
    ],
    ...part,
  });

export const settingDownTheNets: Movement = (newId, part) =>
  makeMovement(newId, 'Setting down the nets', {
    levels: [
      { name: 'Small', note: 'A lean of a hand’s breadth.', lines: [] },
      { name: 'Medium', note: 'Hands to the thighs.', lines: [] },
      { name: 'Full', note: 'Hands to the shins, knees bent.', lines: [] },
    ],
    traditionalName: 'Forward bend',
    preferredRounds: 3,
    minRounds: 2,
    maxRounds: 5,
    cautions: ['forward-bend', 'head-low'],
    teach: spokenLines(newId, [
      ['Setting down the nets. A small lean is enough; bend the knees and fold at the hips.', 1.5],
      ['If you have been told not to bend forward, or your head feels light, stay upright.', 2],
    ]),
    fade: ['full', 'short'],
    pattern: [
      phase(newId, 'inhale', 'grow tall', 'Breathe in, grow tall.', 'In, tall.'),
      phase(newId, 'exhale', 'fold', 'Breathe out, fold, and set the nets down.', 'Out, and fold.'),
      phase(newId, 'inhale', 'come up', 'Breathe in, come up slowly, head last.', 'In, slowly up.'),
      phase(newId, 'exhale', 'stand', 'Breathe out, and stand.', 'Out.'),
    ],
    ...part,
  });

export const gullsLeavingTheWall: Movement = (newId, part) =>
  makeMovement(newId, 'Gulls leaving the wall', {
    priority: 'low',
    preferredRounds: 4,
    minRounds: 3,
    maxRounds: 8,
    cautions: ['arms-high'],
    teach: spokenLines(newId, [['Gulls leaving the wall. Arms wide; smaller if the shoulders ask for it.', 2]]),
    fade: ['full', 'short', 'breath', 'silent'],
    pattern: [
      phase(newId, 'inhale', 'arms open wide', 'Breathe in, the gulls leave the wall.', 'In, and open.'),
      phase(newId, 'exhale', 'arms fold', 'Breathe out, and they settle again.', 'Out, and settle.'),
    ],
    ...part,
  });

export const bankingTheStove: Movement = (newId, part) =>
  makeMovement(newId, 'Banking the stove', {
    priority: 'always',
    seated: 'The same, feet flat on the floor.',
    traditionalName: 'Hands to the lower belly',
    preferredRounds: 3,
    minRounds: 3,
    maxRounds: 9,
    multiple: 3,
    teach: spokenLines(newId, [['Banking the stove. Both hands rest on the lower belly.', 2]]),
    fade: ['full', 'breath', 'silent'],
    lastRoundLine: 'Last one.',
    pattern: [
      phase(newId, 'inhale', 'belly widens', 'Breathe in, and the belly widens.', 'In, wide.'),
      phase(newId, 'exhale', 'belly softens', 'Breathe out, long and warm.', 'Out, warm.', { share: 0.65 }),
    ],
    ...part,
  });
