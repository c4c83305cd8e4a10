import { itemAt } from '@/core/units';
import { makePhase } from '@/core/movement';
import { makeLength, makeSilence, makeSection, makeTalk, makeTransition } from '@/core/plan';
import { eightSections } from '@/templates';
import * as movements from './movements';
import { lowWaterTalk, twoMoorings } from './spoken-through';
import { demoClass, stanceLines, welcomeLines, type DemoClass } from './outline';

/** Changes of feet that are left out with the movement they lead to. */
const TO_HIP_WIDTH = { stance: 'hip-width', goesWith: 'next' } as const;
const TO_WIDE = { stance: 'wide', goesWith: 'next' } as const;
const BACK_TO_HIP_WIDTH = { stance: 'hip-width', goesWith: 'previous' } as const;
const TO_FEET_TOGETHER = { stance: 'feet-together', goesWith: 'next' } as const;

function beforeTheFirstFerry(): DemoClass {
  return demoClass({
    name: 'before-the-first-ferry',
    title: 'Before the First Ferry',
    focus: 'Waking up, shoulders and breath',
    audience: 'All levels, standing',
    targetSeconds: 600,
    fitted: true,
    pace: { breathSeconds: 9, minBreathSeconds: 7, maxBreathSeconds: 12 },
    lengths: (newId) => [
      makeLength(newId, '5 minutes', 300, 'skip-steps'),
      makeLength(newId, '15 minutes', 900, 'balanced'),
    ],
    sections: (newId) => [
      makeSection(newId, 'welcome', [
        makeTalk(
          newId,
          'Good morning',
          welcomeLines('Good morning, and welcome to the hall. We have ten minutes before the first ferry.'),
        ),
      ]),
      makeSection(newId, 'arrival', [makeTalk(newId, 'Stand at the sill', stanceLines)]),
      makeSection(newId, 'loosening', [movements.coilingTheLine(newId)]),
      makeSection(newId, 'main', [
        movements.raisingTheLamp(newId),
        makeTransition(newId, 'Feet apart', 5, 'Step the feet as wide as your hips.', TO_HIP_WIDTH),
        movements.turningTheLighthouse(newId),
        makeTransition(
          newId,
          'Feet together',
          6,
          'Step in, and stand where you can reach a wall or a chair.',
          TO_FEET_TOGETHER,
        ),
        movements.heronOnThePiling(newId),
        movements.settingDownTheNets(newId),
        movements.gullsLeavingTheWall(newId, { preferredRounds: 3, rounds: 3 }),
      ]),
      makeSection(newId, 'settling', [
        makeSilence(newId, 'Mooring post', {
          preferredSeconds: 90,
          minSeconds: 20,
          maxSeconds: 113,
          openingLine: 'Mooring post. Stand, and let the breath go its own way. I will call you back.',
          callBackLine: 'Come back to the hall, and to the sound of the water.',
        }),
      ]),
      makeSection(newId, 'closing', [
        movements.bankingTheStove(newId),
        makeTalk(newId, 'Thanks', [
          ['Rub the palms together, and let them rest.', 2],
          ['Thank you for standing with me. Walk slowly down to the boat.', 2],
        ]),
      ]),
    ],
  });
}

function netMendersBreak(): DemoClass {
  return demoClass({
    name: 'net-menders-break',
    title: 'Net Menders’ Break',
    focus: 'Five minutes for hands and shoulders',
    audience: 'At the bench, standing or seated',
    targetSeconds: 300,
    fitted: true,
    pace: { breathSeconds: 8, minBreathSeconds: 6.5, maxBreathSeconds: 10.5 },
    sections: (newId) => [
      makeSection(newId, 'welcome', [
        makeTalk(newId, 'Put the needle down', [
          ['Put the needle down for five minutes. All of this may be done on your stool.', 1.5],
          ['Stay within about seventy per cent. Nothing should hurt. Rest when you like.', 2],
          ['Tall at the front of the stool, or standing, feet flat, shoulders heavy.', 3],
        ]),
      ]),
      makeSection(newId, 'loosening', [movements.coilingTheLine(newId, { preferredRounds: 3, rounds: 3 })]),
      makeSection(newId, 'main', [
        movements.raisingTheLamp(newId),
        movements.turningTheLighthouse(newId, { preferredRounds: 2, rounds: 2 }),
      ]),
      makeSection(newId, 'closing', [
        movements.bankingTheStove(newId),
        makeTalk(newId, 'Back to the net', [['Thank you. The net has waited, as nets do.', 2]]),
      ]),
    ],
  });
}

function eveningEbb(): DemoClass {
  return demoClass({
    name: 'evening-ebb',
    title: 'Evening Ebb',
    focus: 'Settling before sleep, the exhale longer',
    audience: 'All levels',
    targetSeconds: 1200,
    landingSeconds: 1,
    fitted: true,
    pace: { breathSeconds: 8, minBreathSeconds: 7, maxBreathSeconds: 13.5, closingRatio: 1.5, inhaleShare: 0.4 },
    sections: (newId) => [
      makeSection(newId, 'welcome', [
        makeTalk(newId, 'Good evening', welcomeLines('Good evening. The boats are in, and nothing is left to do.')),
      ]),
      makeSection(newId, 'arrival', [makeTalk(newId, 'Stand at the sill', stanceLines)]),
      makeSection(newId, 'loosening', [
        movements.coilingTheLine(newId, { preferredRounds: 5, rounds: 5 }),
        movements.bellBuoy(newId),
      ]),
      makeSection(newId, 'main', [
        movements.raisingTheLamp(newId, { preferredRounds: 6, rounds: 6 }),
        movements.tideOverTheSill(newId, { preferredRounds: 6, rounds: 6 }),
        makeTransition(newId, 'Feet wide', 6, 'Step the feet wide, and bend the knees a little.', TO_WIDE),
        movements.haulingTheSlowNet(newId),
        makeTransition(newId, 'Feet in', 5, 'Step in to the width of your hips.', BACK_TO_HIP_WIDTH),
        movements.rowingHome(newId, { preferredRounds: 4, rounds: 4 }),
        movements.gullsLeavingTheWall(newId, { preferredRounds: 5, rounds: 5 }),
      ]),
      makeSection(newId, 'settling', [
        makeSilence(newId, 'Mooring post, eyes closed', {
          preferredSeconds: 120,
          minSeconds: 60,
          maxSeconds: 240,
          eyesClosed: true,
          openingLine: 'Close your eyes if you are steady, or rest them on the floor. I will call you back.',
          reassuranceLine: 'I am still here.',
          reassuranceEverySeconds: 60,
          callBackLine: 'Slowly open your eyes, and see the hall again.',
        }),
      ]),
      makeSection(newId, 'closing', [
        movements.bankingTheStove(newId, { preferredRounds: 6, rounds: 6 }),
        makeTalk(newId, 'Good night', [['Thank you. Leave the lamp low, and go gently home.', 3]]),
      ]),
    ],
  });
}

/** Faulty on purpose: over length, uneven in its sides' names, a late caution, a line longer than its breath. */
function stormDayIndoors(): DemoClass {
  return demoClass({
    name: 'storm-day-indoors',
    title: 'Storm Day Indoors',
    focus: 'From last winter, not yet revised',
    audience: 'All levels',
    targetSeconds: 720,
    fitted: false,
    pace: { breathSeconds: 9, minBreathSeconds: 8, maxBreathSeconds: 11 },
    sections: (newId) => [
      makeSection(newId, 'welcome', [
        makeTalk(newId, 'The weather', [['The windows are shut and the stove is lit.', 2]]),
      ]),
      makeSection(newId, 'main', [
        movements.raisingTheLamp(newId, {
          preferredRounds: 9,
          rounds: 9,
          maxRounds: 12,
          pattern: [
            makePhase(newId, {
              kind: 'inhale',
              action: 'wrists rise',
              full: 'Breathe in, and let the wrists carry the lamp all the way up past the belly and the ribs, as if the stairs had no end.',
              short: 'In, lamp up.',
            }),
            makePhase(newId, {
              kind: 'exhale',
              action: 'wrists sink',
              full: 'Breathe out, set it down.',
              short: 'Out.',
            }),
          ],
        }),
        movements.turningTheLighthouse(newId, {
          preferredRounds: 7,
          rounds: 7,
          maxRounds: 9,
          pattern: [
            makePhase(newId, {
              kind: 'inhale',
              action: 'turn',
              full: 'Breathe in, turn to the left.',
              short: 'In, left.',
            }),
            makePhase(newId, {
              kind: 'exhale',
              action: 'come home',
              full: 'Breathe out, bring it home.',
              short: 'Out.',
            }),
          ],
        }),
        movements.settingDownTheNets(newId, { preferredRounds: 4, rounds: 4, teach: [] }),
        makeTalk(newId, 'A late word', [['I should have said: not with a sore back.', 2]]),
        movements.rowingHome(newId, { preferredRounds: 6, rounds: 6 }),
        movements.haulingTheSlowNet(newId, { preferredRounds: 4, rounds: 4, maxRounds: 5 }),
      ]),
      makeSection(newId, 'settling', [
        makeSilence(newId, 'Mooring post', {
          preferredSeconds: 120,
          minSeconds: 45,
          maxSeconds: 180,
          openingLine: 'Stand. I will call you back.',
        }),
      ]),
      makeSection(newId, 'closing', [movements.bankingTheStove(newId, { preferredRounds: 6, rounds: 6 })]),
    ],
  });
}

function thursdayLive(): DemoClass {
  return demoClass({
    name: 'thursday-live',
    title: 'Thursday Live',
    focus: 'The live hour',
    audience: 'Regulars, mixed levels',
    targetSeconds: 3600,
    fitted: true,
    pace: { breathSeconds: 9, minBreathSeconds: 7, maxBreathSeconds: 13, closingRatio: 1.2 },
    sections: (newId) => [
      makeSection(newId, 'welcome', [
        makeTalk(
          newId,
          'Good evening',
          welcomeLines('Good evening, here in the hall and out there on the screens. We have an hour.'),
        ),
      ]),
      makeSection(newId, 'arrival', [
        makeTalk(newId, 'Stand at the sill', stanceLines),
        makeSilence(newId, 'Listen for the buoy', {
          preferredSeconds: 60,
          openingLine: 'Listen for the bell buoy, far out. I will call you back.',
          callBackLine: 'And back to the room.',
        }),
      ]),
      makeSection(newId, 'loosening', [
        movements.coilingTheLine(newId, { preferredRounds: 5, rounds: 5 }),
        movements.bellBuoy(newId, { preferredRounds: 6, rounds: 6 }),
        movements.rowingHome(newId, { preferredRounds: 5, rounds: 5 }),
      ]),
      ...[1, 2, 3].map((turn) => ({
        ...makeSection(newId, 'main', [
          makeTalk(newId, `Before set ${turn}`, [
            [
              itemAt(
                [
                  'The first set is for the breath.',
                  'The second set is for the legs.',
                  'The third set puts it all together.',
                ],
                turn - 1,
              ),
              2,
            ],
            ['Shake out the arms, drink if you like, and find your place again.', 12],
          ]),
          makeTransition(newId, 'Feet under the hips', 5, 'Feet as wide as your hips.', TO_HIP_WIDTH),
          movements.raisingTheLamp(newId, { preferredRounds: 6, rounds: 6, maxRounds: 12 }),
          movements.tideOverTheSill(newId, { preferredRounds: 6, rounds: 6, maxRounds: 12 }),
          makeTransition(newId, 'Feet apart', 5, 'Step the feet as wide as your hips.', TO_HIP_WIDTH),
          movements.turningTheLighthouse(newId, { preferredRounds: 5, rounds: 5 }),
          makeTransition(newId, 'Feet wide', 6, 'A wide step now, and soft knees.', TO_WIDE),
          movements.haulingTheSlowNet(newId),
          makeTransition(newId, 'Feet together', 6, 'Step in, near a wall or a chair.', TO_FEET_TOGETHER),
          movements.heronOnThePiling(newId, { preferredRounds: 3, rounds: 3 }),
          movements.settingDownTheNets(newId),
          movements.gullsLeavingTheWall(newId, { preferredRounds: 5, rounds: 5 }),
          makeSilence(newId, 'Mooring post', {
            preferredSeconds: 60,
            minSeconds: 30,
            maxSeconds: 150,
            openingLine: 'Stand, and let the breath go its own way. I will call you back.',
            callBackLine: 'And come back.',
          }),
        ]),
        title: `Set ${turn}`,
      })),
      makeSection(newId, 'settling', [
        makeSilence(newId, 'Slack water', {
          preferredSeconds: 180,
          minSeconds: 90,
          maxSeconds: 420,
          eyesClosed: true,
          openingLine: 'Slack water. Close your eyes if you are steady. I will call you back.',
          reassuranceLine: 'Nothing to do. I am here.',
          reassuranceEverySeconds: 75,
          callBackLine: 'Open your eyes, and let the room come to you.',
        }),
      ]),
      makeSection(newId, 'closing', [
        movements.bankingTheStove(newId, { preferredRounds: 9, rounds: 9 }),
        makeTalk(newId, 'Until next week', [['Thank you all. Until Thursday, at the usual hour.', 3]]),
      ]),
    ],
  });
}

/**
 * The counts of the published eight-posture set: each six times, three a side where it has sides, the heel drops
 * seven; about twelve minutes (Chinese Health Qigong Association, Ba Duan Jin, 2007, from memory).
 */
function eightSectionSet(): DemoClass {
  return demoClass({
    name: 'eight-section-set',
    title: 'Eight-Section Set',
    focus: 'The traditional set by its counts',
    audience: 'Those who know the set',
    targetSeconds: 720,
    fitted: true,
    pace: { breathSeconds: 11, minBreathSeconds: 8, maxBreathSeconds: 14 },
    sections: (newId) => [
      makeSection(newId, 'arrival', [
        makeTalk(newId, 'Stand ready', [
          ['Stand ready. Seventy per cent is plenty. Nothing should hurt.', 2],
          ['Rest when you like, and sit if you like.', 2],
        ]),
      ]),
      {
        ...makeSection(newId, 'main', eightSections(newId)),
        title: 'The eight sections',
      },
      makeSection(newId, 'closing', [
        makeSilence(newId, 'Stand', {
          preferredSeconds: 60,
          minSeconds: 58,
          maxSeconds: 90,
          openingLine: 'Hands to the lower belly. Stand.',
        }),
        makeTalk(newId, 'Thanks', [['Thank you.', 2]]),
      ]),
    ],
  });
}

/** The invented classes of the harbour studio, in the order of the list. */
export function demoClasses(): DemoClass[] {
  return [
    beforeTheFirstFerry(),
    netMendersBreak(),
    eveningEbb(),
    stormDayIndoors(),
    thursdayLive(),
    eightSectionSet(),
    lowWaterTalk(),
    twoMoorings(),
  ];
}
