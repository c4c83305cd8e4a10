import type { NewId } from '@/core/document';
import { makeDuring, makePhase, NO_MOMENTS, spokenLines, type DuringLine } from '@/core/movement';
import {
  makeMovement,
  makeSection,
  makeSilence,
  makeTalk,
  makeTransition,
  type Step,
  type TalkStep,
} from '@/core/plan';
import * as movements from './movements';
import { demoClass, stanceLines, welcomeLines, type DemoClass } from './outline';

/*
 * Two classes that need what is said while things run: one of a talkative teacher, and a set of held postures that is
 * done on both sides.
 */

const over = (newId: NewId, text: string, part: Partial<DuringLine> = {}): DuringLine => makeDuring(newId, text, part);

/** A talk with a time of its own: its words, and room for more of them. */
function talkOf(newId: NewId, name: string, seconds: number, lines: readonly (readonly [string, number])[]): TalkStep {
  const bounds = { minSeconds: Math.round(seconds * 0.8), maxSeconds: Math.round(seconds * 1.5) };
  return { ...makeTalk(newId, name, lines), timed: true, seconds, preferredSeconds: seconds, ...bounds };
}

/** Named once everybody is moving, corrected in the rounds, and built up in layers. */
function liftingTheHatch(newId: NewId): Step {
  return makeMovement(newId, 'Lifting the hatch', {
    stanceStart: 'hip-width',
    stanceEnd: 'hip-width',
    priority: 'always',
    preferredRounds: 8,
    minRounds: 6,
    maxRounds: 12,
    teach: spokenLines(newId, [['Let the hands find each other in front of you. Just follow for now.', 2]]),
    during: [
      over(newId, 'This one is Lifting the hatch, if you like to know what you are doing.', { on: 'round', number: 3 }),
      over(newId, 'And now the knees too: they soften as the hands come down.', {
        on: 'round',
        number: 4,
        layer: 'feet',
      }),
      over(newId, 'If the shoulders have crept up to the ears, let them go again.'),
      over(newId, 'You can keep this as small as a letterbox.'),
    ],
    fade: ['full', 'full', 'short'],
    pattern: [
      makePhase(newId, {
        kind: 'inhale',
        action: 'hands rise',
        full: 'Breathe in, the hands lift.',
        short: 'In, lift.',
      }),
      makePhase(newId, {
        kind: 'exhale',
        action: 'hands sink',
        full: 'Breathe out, they settle.',
        short: 'Out, settle.',
      }),
    ],
  });
}

/** Led for a few rounds, then everybody as it suits them, and called back in time. */
function driftingBuoy(newId: NewId): Step {
  return makeMovement(newId, 'Drifting buoy', {
    stanceStart: 'hip-width',
    stanceEnd: 'hip-width',
    pacedBy: 'breath-then-own-pace',
    sides: 'alternating',
    preferredRounds: 3,
    minRounds: 2,
    maxRounds: 5,
    preferredSeconds: 100,
    minSeconds: 60,
    maxSeconds: 180,
    callBackLeadSeconds: 12,
    teach: spokenLines(newId, [['Now the weight. Sway to one side, and let the other foot grow light.', 2]]),
    moments: { ...NO_MOMENTS, sending: 'And now without me, as slowly or as quickly as it comes.' },
    lastRoundLine: 'Two more, and then come back to the middle.',
    during: [
      over(newId, 'As far as your feet stay heavy, and no further.', { on: 'round', number: 2 }),
      over(newId, 'We call this the Drifting buoy.'),
      over(newId, 'It need not look like anything.'),
      over(newId, 'Notice which side you would rather stay on.'),
    ],
    pattern: [
      makePhase(newId, {
        kind: 'inhale',
        action: 'sway {side}',
        full: 'Breathe in, and sway to the {side}.',
        short: 'In, {side}.',
      }),
      makePhase(newId, { kind: 'exhale', action: 'come home', full: 'Breathe out, home.', short: 'Out, home.' }),
    ],
  });
}

/** Whose breath gains a hold once it is known. */
function fillingTheSail(newId: NewId): Step {
  return makeMovement(newId, 'Filling the sail', {
    stanceStart: 'hip-width',
    stanceEnd: 'hip-width',
    preferredRounds: 7,
    minRounds: 5,
    maxRounds: 10,
    cautions: ['breath-held'],
    outBreath: 'long',
    moments: {
      ...NO_MOMENTS,
      caution:
        'Later there is a short hold. Stop and breathe as you like if you feel light-headed; not when pregnant, nor with heart or lung trouble or high blood pressure.',
    },
    teach: spokenLines(newId, [['Open the arms as wide as a small sail.', 2]]),
    during: [
      over(newId, 'From here a very short stop when you are full. Skip the hold whenever you like, and breathe on.', {
        on: 'round',
        number: 3,
      }),
      over(newId, 'Soft face.', { on: 'every', number: 3 }),
      over(newId, 'Filling the sail, it is called.', { on: 'round', number: 2 }),
    ],
    fade: ['full', 'short', 'breath'],
    pattern: [
      makePhase(newId, { kind: 'inhale', action: 'arms open', full: 'Breathe {in}, open.', short: 'In, open.' }),
      makePhase(newId, { kind: 'hold', share: null, seconds: 1, action: 'stay', fromRound: 4 }),
      makePhase(newId, { kind: 'exhale', action: 'arms close', full: 'Breathe {out}.', short: 'Out.' }),
    ],
  });
}

export function lowWaterTalk(): DemoClass {
  return demoClass({
    name: 'low-water-talk',
    title: 'Low Water Talk',
    focus: 'A class with a good deal of talking in it',
    audience: 'Beginners, standing or seated',
    targetSeconds: 1200,
    fitted: true,
    pace: { breathSeconds: 9, minBreathSeconds: 7.5, maxBreathSeconds: 12 },
    sections: (newId) => [
      makeSection(newId, 'welcome', [
        talkOf(newId, 'What low water is', 100, [
          ...welcomeLines('Good morning. The water is out, so we have the time that it takes to come back.'),
          [
            'Low water is the hour when nothing moves in the harbour. It is no longer ebb and not yet flood, and it lasts about as long as this class.',
            3,
          ],
          [
            'The boats sit on the mud and lean a little, and nobody minds. Be like that today: a little heavy, and in no hurry.',
            3,
          ],
          [
            'When I was learning this I thought that every movement had to arrive somewhere. It took me years to see that the tide does not arrive either. It turns.',
            3,
          ],
          [
            'I will talk while you move today. You need not listen to all of it. Keep a word that helps, and let the others drift past.',
            3,
          ],
        ]),
      ]),
      makeSection(newId, 'main', [
        makeTransition(newId, 'Feet apart', 6, 'Step the feet as wide as your hips.', {
          stance: 'hip-width',
          goesWith: 'next',
        }),
        liftingTheHatch(newId),
        talkOf(newId, 'Why slowly', 50, [
          ['People ask me why we go so slowly.', 2],
          [
            'There is no prize for it. You only meet the places that you hurry past on other days: where the weight changes over, where a breath ends.',
            2,
          ],
          ['It is like walking home in fog. You know the way, and still you look.', 2],
          ['You notice more that way, that is all. Shake out the hands before we go on.', 6],
        ]),
        driftingBuoy(newId),
        fillingTheSail(newId),
        movements.tideOverTheSill(newId, {
          preferredRounds: 8,
          rounds: 8,
          during: [
            over(newId, 'Some of you hold a barrel, and some of you hold a cup. Both are fine.', {
              on: 'round',
              number: 2,
            }),
            over(newId, 'Let the back of the hands lead this time.', { on: 'round', number: 5 }),
          ],
        }),
        movements.rowingHome(newId, {
          preferredRounds: 5,
          rounds: 5,
          during: [over(newId, 'The boat does the work. You only lean.', { side: 'each' })],
        }),
      ]),
      makeSection(newId, 'settling', [
        makeSilence(newId, 'Under the keel', {
          preferredSeconds: 210,
          minSeconds: 150,
          maxSeconds: 300,
          eyesClosed: true,
          openingLine:
            'Sit if you like, and close your eyes if you are steady. Keep them open if you are not. I will call you back.',
          during: [
            'Hear what is furthest away.',
            'Then what is in this room.',
            'Now the breath, without changing it.',
            'The soles, and the floor under them.',
            'Nothing to do about any of it.',
          ].map((text) => over(newId, text)),
          callBackLine: 'Slowly open your eyes, and come back to the hall.',
          callBackLeadSeconds: 5,
        }),
      ]),
      makeSection(newId, 'closing', [
        talkOf(newId, 'Until the next tide', 40, [
          ['Rub the palms together, and let them rest.', 4],
          ['That was the turn of the tide. From here it comes in by itself, and there is nothing to do about it.', 3],
          ['If one of the movements stays with you, do it once while the kettle boils.', 3],
          ['Thank you for listening, or for not listening.', 3],
        ]),
      ]),
    ],
  });
}

const BLOCK = 'two-moorings-block';

/** Low and long, each side in its turn of the block. */
function longMooring(newId: NewId): Step {
  return makeMovement(newId, 'Long mooring', {
    stanceStart: 'left-forward',
    stanceEnd: 'left-forward',
    pacedBy: 'held',
    sides: 'one-side',
    preferredSeconds: 45,
    minSeconds: 30,
    maxSeconds: 60,
    cautions: ['deep-squat'],
    levels: [
      {
        name: 'Small',
        note: 'Both knees nearly straight.',
        lines: ['Stand as high as you like.', 'A chair at hand is welcome.'],
      },
      { name: 'Full', note: 'The front thigh slopes.', lines: [] },
    ],
    teach: spokenLines(newId, [['Long mooring: the {side} knee bends over its foot, and stays there.', 2]]),
    during: [
      over(newId, 'Breathe as you like, and let the {side} knee look over the toes.'),
      over(newId, 'Higher is fine. Come up at any time.'),
    ],
    lastRoundLine: 'And slowly up again.',
    callBackLeadSeconds: 3,
  });
}

export function twoMoorings(): DemoClass {
  return demoClass({
    name: 'two-moorings',
    title: 'Two Moorings',
    focus: 'A held set on both sides, in the old counts',
    audience: 'Regulars, standing',
    targetSeconds: 480,
    fitted: true,
    pace: { breathSeconds: 9, minBreathSeconds: 8, maxBreathSeconds: 11 },
    sections: (newId) => [
      makeSection(newId, 'welcome', [
        makeTalk(newId, 'Good evening', welcomeLines('Good evening. We do the set once on each side tonight.')),
      ]),
      makeSection(newId, 'arrival', [makeTalk(newId, 'Stand at the sill', stanceLines)]),
      makeSection(newId, 'main', [
        makeMovement(newId, 'Five lamps', {
          traditionalName: 'Turning to look behind',
          sides: 'turn-by-turn',
          preferredRounds: 5,
          minRounds: 5,
          maxRounds: 9,
          multiple: 1,
          cautions: ['twist'],
          teach: spokenLines(newId, [
            ['Five lamps. Turn from the waist, knees over the feet, and begin to the left.', 2],
          ]),
          lastRoundLine: 'The fifth.',
          counting: 'up',
          pattern: [
            makePhase(newId, {
              kind: 'inhale',
              action: 'turn {side}',
              full: 'Breathe in, to the {side}.',
              short: 'In, {side}.',
            }),
            makePhase(newId, { kind: 'exhale', action: 'come home', full: 'Breathe out, home.', short: 'Out.' }),
          ],
        }),
        ...[
          makeTransition(newId, 'Step out', 8, 'Step the {side} foot forward, as long as is easy.', {
            stance: 'left-forward',
          }),
          longMooring(newId),
          makeMovement(newId, 'Winding the rope', {
            stanceStart: 'left-forward',
            stanceEnd: 'left-forward',
            sides: 'one-side',
            preferredRounds: 4,
            minRounds: 3,
            maxRounds: 6,
            teach: spokenLines(newId, [['Winding the rope, with the {side} hand above.', 2]]),
            during: [over(newId, 'The back heel stays down if it wants to.', { on: 'round', number: 2 })],
            pattern: [
              makePhase(newId, {
                kind: 'inhale',
                action: 'draw in',
                full: 'Breathe in, draw it to you.',
                short: 'In, draw.',
              }),
              makePhase(newId, {
                kind: 'exhale',
                action: 'let out',
                full: 'Breathe out, let it run.',
                short: 'Out, let run.',
              }),
            ],
          }),
          makeTransition(newId, 'Step back', 6, 'Step the {side} foot back, and stand.', { stance: 'feet-together' }),
        ].map((step): Step => ({ ...step, blockId: BLOCK })),
        makeMovement(newId, 'Ankle circles on the quay', {
          stanceStart: 'feet-together',
          stanceEnd: 'feet-together',
          sides: 'both-directions-each-side',
          preferredRounds: 3,
          minRounds: 2,
          maxRounds: 4,
          paceMultiplier: 0.5,
          cautions: ['balance'],
          teach: spokenLines(newId, [
            [
              'Ankle circles on the quay, the {side} foot first. Keep a wall or a chair at hand; the toes may stay down.',
              2,
            ],
          ]),
          sideChangeLine: 'And the {side} foot.',
          fade: ['full', 'silent'],
          pattern: [
            makePhase(newId, {
              kind: 'free',
              share: null,
              seconds: 4,
              action: 'circle',
              full: 'Round it goes.',
              short: 'Round.',
            }),
          ],
        }),
      ]),
      makeSection(newId, 'settling', [
        makeSilence(newId, 'Slack water', {
          preferredSeconds: 60,
          minSeconds: 40,
          maxSeconds: 120,
          openingLine: 'Stand, or sit. I will call you back.',
          callBackLine: 'And back to the room.',
        }),
      ]),
      makeSection(newId, 'closing', [makeTalk(newId, 'Thanks', [['Thank you. Go gently down to the boats.', 2]])]),
    ],
  });
}
