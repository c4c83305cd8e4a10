import type { NewId } from '@/core/document';
import { fitPlan } from '@/core/pacing';
import {
  emptyPlan,
  makeSilence,
  makeSection,
  makeTalk,
  planAfter,
  type ClassPlan,
  type PlanPace,
  type Section,
} from '@/core/plan';
import { eightSections } from './eight-sections';
import * as movements from './movements';

export const TEMPLATE_IDS = [
  'five-minute-break',
  'ten-minute-morning',
  'twenty-minute-evening',
  'hour-live',
  'eight-sections',
  'nine-breaths',
] as const;
export type TemplateId = (typeof TEMPLATE_IDS)[number];

/** A class to start from. */
export interface Template {
  readonly id: TemplateId;
  readonly title: string;
  readonly says: string;
  readonly targetSeconds: number;
  readonly pace: Partial<PlanPace> & Pick<PlanPace, 'breathSeconds'>;
  readonly sections: (newId: NewId) => readonly Section[];
}

const welcome = (newId: NewId, greeting: string): Section =>
  makeSection(newId, 'welcome', [
    {
      ...makeTalk(newId, 'Welcome', [
        [greeting, 1.5],
        ['Stay within about seventy per cent of what you could do. Nothing should hurt.', 1.5],
        ['Rest when you like, and sit if you like.', 2],
      ]),
      caution: true,
      maxTempo: 1.1,
    },
  ]);

const arrival = (newId: NewId): Section =>
  makeSection(newId, 'arrival', [
    makeTalk(newId, 'Arrive', [
      ['Feet a hip’s width apart and pointing forward. Knees soft.', 4],
      ['Tailbone down, crown up, shoulders down.', 5],
      ['Two easy breaths.', 10],
    ]),
  ]);

const closing = (newId: NewId, rounds: number): Section =>
  makeSection(newId, 'closing', [
    movements.handsToTheBelly(newId, { preferredRounds: rounds }),
    makeTalk(newId, 'Thanks', [
      ['Rub the palms together, and let them rest.', 3],
      ['Thank you.', 2],
    ]),
  ]);

const stillness = (newId: NewId, seconds: number, eyesClosed = false): Section =>
  makeSection(newId, 'settling', [
    makeSilence(newId, 'Stand quietly', {
      preferredSeconds: seconds,
      minSeconds: Math.round(seconds / 3),
      maxSeconds: seconds * 2,
      eyesClosed,
      openingLine: eyesClosed
        ? 'Close your eyes if you are steady, and let the breath go its own way. I will call you back.'
        : 'Stand, and let the breath go its own way. I will call you back.',
      callBackLine: eyesClosed ? 'Slowly open your eyes, and come back.' : 'And come back.',
    }),
  ]);

/** The classes to start from, in the order they are offered. */
export const TEMPLATES: readonly Template[] = [
  {
    id: 'five-minute-break',
    title: 'Five-minute break',
    says: 'Shoulders and breath, standing or seated.',
    targetSeconds: 300,
    pace: { breathSeconds: 8, minBreathSeconds: 6, maxBreathSeconds: 11 },
    sections: (newId) => [
      welcome(newId, 'Welcome. We have five minutes.'),
      makeSection(newId, 'loosening', [movements.shoulderCircles(newId)]),
      makeSection(newId, 'main', [movements.raiseTheArms(newId), movements.turnFromTheWaist(newId)]),
      closing(newId, 3),
    ],
  },
  {
    id: 'ten-minute-morning',
    title: 'Ten-minute morning',
    says: 'Waking up: loosening, a short set, a quiet minute.',
    targetSeconds: 600,
    pace: { breathSeconds: 9, minBreathSeconds: 7, maxBreathSeconds: 12 },
    sections: (newId) => [
      welcome(newId, 'Good morning, and welcome.'),
      arrival(newId),
      makeSection(newId, 'loosening', [movements.shakeOut(newId), movements.shoulderCircles(newId)]),
      makeSection(newId, 'main', [
        movements.raiseTheArms(newId, { preferredRounds: 7 }),
        movements.openAndClose(newId, { preferredRounds: 7 }),
        movements.turnFromTheWaist(newId, { preferredRounds: 5 }),
      ]),
      stillness(newId, 45),
      closing(newId, 3),
    ],
  },
  {
    id: 'twenty-minute-evening',
    title: 'Twenty-minute evening',
    says: 'The breath lengthens, the exhale most; eyes closed for a while.',
    targetSeconds: 1200,
    pace: {
      breathSeconds: 8,
      minBreathSeconds: 7,
      maxBreathSeconds: 13.5,
      closingRatio: 1.4,
      inhaleShare: 0.45,
      closingInhaleShare: 0.38,
      curve: 'eased',
    },
    sections: (newId) => [
      welcome(newId, 'Good evening, and welcome.'),
      arrival(newId),
      makeSection(newId, 'loosening', [
        movements.shakeOut(newId, { preferredSeconds: 60, maxSeconds: 90 }),
        movements.shoulderCircles(newId, { preferredRounds: 5 }),
      ]),
      makeSection(newId, 'main', [
        movements.raiseTheArms(newId, { preferredRounds: 9, maxRounds: 14 }),
        movements.openAndClose(newId, { preferredRounds: 9, maxRounds: 14 }),
        movements.turnFromTheWaist(newId, { preferredRounds: 6, maxRounds: 9 }),
        movements.pushTheWave(newId, { preferredRounds: 6, maxRounds: 9 }),
      ]),
      stillness(newId, 150, true),
      closing(newId, 6),
    ],
  },
  {
    id: 'hour-live',
    title: 'An hour live',
    says: 'Three sets with a pause between them.',
    targetSeconds: 3600,
    pace: { breathSeconds: 9, minBreathSeconds: 7, maxBreathSeconds: 13, closingRatio: 1.2 },
    sections: (newId) => [
      welcome(newId, 'Good evening, and welcome. We have an hour.'),
      arrival(newId),
      makeSection(newId, 'loosening', [
        movements.shakeOut(newId, { preferredSeconds: 90, maxSeconds: 180 }),
        movements.shoulderCircles(newId, { preferredRounds: 5 }),
      ]),
      ...[1, 2, 3].map((set) => ({
        ...makeSection(newId, 'main', [
          movements.raiseTheArms(newId, { preferredRounds: 9, maxRounds: 18 }),
          movements.openAndClose(newId, { preferredRounds: 9, maxRounds: 18 }),
          movements.turnFromTheWaist(newId, { preferredRounds: 6, maxRounds: 12 }),
          movements.pushTheWave(newId, { preferredRounds: 6, maxRounds: 12 }),
          makeSilence(newId, 'Pause', {
            preferredSeconds: 60,
            minSeconds: 20,
            maxSeconds: 180,
            openingLine: 'Stand easy, and drink if you like. I will call you back.',
            callBackLine: 'And find your place again.',
          }),
        ]),
        title: `Set ${set}`,
      })),
      stillness(newId, 180),
      closing(newId, 9),
    ],
  },
  {
    id: 'eight-sections',
    title: 'The eight-section set',
    says: 'The traditional set by its published counts.',
    targetSeconds: 720,
    pace: { breathSeconds: 11, minBreathSeconds: 8, maxBreathSeconds: 14 },
    sections: (newId) => [
      makeSection(newId, 'arrival', [
        makeTalk(newId, 'Stand ready', [['Stand ready. Seventy per cent is plenty, and sit if you like.', 6]]),
      ]),
      { ...makeSection(newId, 'main', eightSections(newId)), title: 'The eight sections' },
      ...[{ ...stillness(newId, 30), role: 'closing' as const }],
    ],
  },
  {
    id: 'nine-breaths',
    title: 'Nine breaths',
    says: 'Three times three, hands on the lower belly.',
    targetSeconds: 240,
    pace: { breathSeconds: 12, minBreathSeconds: 8, maxBreathSeconds: 16 },
    sections: (newId) => [
      makeSection(newId, 'arrival', [
        makeTalk(newId, 'Arrive', [
          ['Stand or sit, and let both hands rest on the lower belly.', 5],
          ['Nine breaths, in three threes. Take an extra one whenever you like.', 4],
        ]),
      ]),
      {
        ...makeSection(
          newId,
          'main',
          ['The first three', 'The second three', 'The last three'].map((name) => ({
            ...movements.handsToTheBelly(newId, { maxRounds: 3, teach: [] }),
            name,
            pinned: true,
          })),
        ),
        title: 'Nine breaths',
      },
      stillness(newId, 60),
    ],
  },
];

/** A new class from a template, landed on its target where that can be. */
export function planFromTemplate(newId: NewId, template: Template, title: string): ClassPlan {
  const empty = emptyPlan(newId, title, template.targetSeconds, template.pace.breathSeconds);
  const pace = {
    ...empty.pace,
    closingInhaleShare: template.pace.inhaleShare ?? empty.pace.closingInhaleShare,
    ...template.pace,
  };
  const plan = { ...empty, focus: template.says, pace, sections: template.sections(newId) };
  const fit = fitPlan(plan);
  return planAfter(plan, fit.feasible ? fit.edit : null);
}
