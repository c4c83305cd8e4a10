import { readFileSync } from 'node:fs';
import { describe, it } from 'vitest';
import type { Evidence } from '@/core/align';
import { proposeCuts, keptStretches, cutReading } from '@/core/cuts';
import { readCaptions } from '@/core/interchange';
import { knownTake, predictionsOf, proposalsOf, usualOf } from '@/core/learn';
import { practiceSchedule, type PracticeSchedule } from '@/core/practice';
import { publish, PUBLISH_FORMATS, type PublishFormat } from '@/core/publish';
import { breathsTaken, correct, glanceOf, readTake, type Reading } from '@/core/reading';
import { reportOf } from '@/core/report';
import { expandPlan } from '@/core/timeline';
import { itemAt, Random } from '@/core/units';
import { demoPlan } from '../support/demo-plan';
import { machineCaptions, speechHeard } from '../support/machine-captions';
import { areAsApproved, asText } from './as-text';

/* Readings of takes, with all that is told and made of them. All of them are synthetic. */

const NAMES = ['before-the-first-ferry', 'net-menders-break', 'storm-day-indoors', 'evening-ebb'];

function given(name: string, seed: number, leaps: boolean): PracticeSchedule {
  const plan = demoPlan(name);
  const chance = new Random(seed);
  const saying = practiceSchedule({ plan, tempo: seed % 2 === 0 ? 'steady' : 'wandering', seed, leaps });
  let next = saying.next();
  while (!next.done) next = saying.next((0.3 + 0.06 * next.value.length) * (0.9 + 0.2 * chance.next()));
  return next.value;
}

function evidenceOf(schedule: PracticeSchedule, seed: number): readonly (readonly [string, Evidence])[] {
  const lengthSeconds = Math.max(...schedule.said.map(({ endSeconds }) => endSeconds)) + 4;
  const captions = machineCaptions(schedule, { wordErrors: 0.12, timesOff: 0.4, invents: 0.3 }, seed);
  const speech = speechHeard(schedule, seed);
  return [
    ['captions', { captions, speech: null, lengthSeconds }],
    ['speech', { captions: null, speech, lengthSeconds }],
    ['both', { captions, speech, lengthSeconds }],
  ];
}

const readings: readonly { readonly name: string; readonly of: string; readonly reading: Reading }[] = NAMES.flatMap(
  (name, at) =>
    [false, true].flatMap((leaps) => {
      const seed = 20 + at;
      return evidenceOf(given(name, seed, leaps), seed).map(([by, evidence]) => ({
        name: `${name}, ${by}${leaps ? ', leaps' : ''}`,
        of: name,
        reading: readTake(expandPlan(demoPlan(name)), evidence),
      }));
    }),
);

/** Captions of a poor listener, and of one that gave up half way. */
const poor: readonly { readonly name: string; readonly reading: Reading }[] = NAMES.flatMap((name, at) => {
  const seed = 60 + at;
  const schedule = given(name, seed, at % 2 === 1);
  const captions = machineCaptions(schedule, { wordErrors: 0.35, timesOff: 0.8, invents: 0.6 }, seed);
  const lengthSeconds = Math.max(...captions.map(({ endSeconds }) => endSeconds)) + 4;
  const speech = speechHeard(schedule, seed);
  return [captions, captions.filter((_, one) => one % 9 < 2)].map((some, sparse) => ({
    name: `${name}, ${sparse ? 'few captions beside sound' : 'poor captions'}`,
    reading: readTake(expandPlan(demoPlan(name)), { captions: some, speech: sparse ? speech : null, lengthSeconds }),
  }));
});

/** The demo take's own captions, cut at any place as they ship. */
function demoReading(): Reading {
  const file = new URL('../../demo/take/before-the-first-ferry.vtt', import.meta.url);
  const read = readCaptions(readFileSync(file, 'utf8'));
  if (!read.ok) throw new Error(read.problem.code);
  const { captions } = read.value;
  const lengthSeconds = (captions.at(-1)?.endSeconds ?? 0) + 3;
  return readTake(expandPlan(demoPlan(itemAt(NAMES, 0))), { captions, speech: null, lengthSeconds });
}

/** What is the same with a take, or has a test of its own to the letter. */
const NOT_PLANNED: ReadonlySet<PublishFormat> = new Set(['plan', 'script', 'srt', 'cut-list', 'labels']);
const NOT_TAKEN: ReadonlySet<PublishFormat> = new Set(['plan', 'script', 'srt', 'ssml', 'reading', 'metadata']);

describe('readings, as they were looked at', () => {
  it('of each line', () =>
    areAsApproved(
      'readings',
      [...readings, ...poor].flatMap(({ name, reading: { cues, adLibs, totals } }) => [
        `== ${name}: ${asText(totals)} ${asText(adLibs)}`,
        ...cues.map(({ status, actualStart, actualEnd, confidence }) =>
          asText([status, actualStart, actualEnd, confidence]),
        ),
      ]),
    ));

  it('with their reports, breaths and cuts', () =>
    areAsApproved(
      'reports',
      readings.flatMap(({ name, of, reading }) => {
        const timeline = expandPlan(demoPlan(of));
        return [
          `== ${name}`,
          asText(reportOf(timeline, reading)),
          asText(glanceOf(reading)),
          asText(breathsTaken(timeline, reading.cues)),
          asText(proposeCuts(timeline, reading)),
        ];
      }),
    ));

  it('with every fifth line put right by hand', () =>
    areAsApproved(
      'corrected',
      readings.slice(0, 6).flatMap(({ name, of, reading }) => {
        const timeline = expandPlan(demoPlan(of));
        const corrections = Object.fromEntries(
          timeline.cues.flatMap(({ id, startSeconds }, at) =>
            at % 5 === 2
              ? [
                  [
                    id,
                    {
                      actualStart: at % 3 === 0 ? null : startSeconds + 2.5,
                      ...(at % 2 === 0 ? { lengthSeconds: 1.75 } : {}),
                    },
                  ],
                ]
              : [],
          ),
        );
        const { cues, totals, adLibs } = correct(reading, timeline, corrections, reading.totals.runtimeSeconds);
        return [
          `== ${name}: ${asText(totals)} ${adLibs.length}`,
          ...cues.flatMap(({ corrected, status, actualStart, actualEnd }) =>
            corrected ? [asText([status, actualStart, actualEnd])] : [],
          ),
        ];
      }),
    ));

  it('with what is learned from them', () =>
    areAsApproved(
      'learned',
      NAMES.flatMap((name) => {
        const plan = demoPlan(name);
        const takes = readings.filter(({ of }) => of === name).map(({ reading }) => knownTake({ plan, reading }));
        const usual = usualOf(takes);
        return [
          `== ${name}`,
          asText(usual),
          ...[0.5, 0.97, 1, 1.02, 30].map((share) => asText(proposalsOf(plan, usual, share * plan.targetSeconds))),
          asText(
            proposalsOf(plan, { ...usual, syllablesPerMinute: 40, breathSeconds: 3, beyond: 0.2 }, plan.targetSeconds),
          ),
          asText(proposalsOf(plan, { ...usual, syllablesPerMinute: 900, breathSeconds: 40 }, plan.targetSeconds)),
          asText(predictionsOf(takes)),
        ];
      }),
    ));

  it('with everything that is published of one', () => {
    const plan = demoPlan(itemAt(NAMES, 0));
    const timeline = expandPlan(plan);
    const reading = demoReading();
    const kept = keptStretches(proposeCuts(timeline, reading), reading.totals.runtimeSeconds);
    return areAsApproved(
      'published',
      [null, reading, cutReading(reading, timeline, kept)].flatMap((one, at) =>
        PUBLISH_FORMATS.filter((format) => !(at === 0 ? NOT_PLANNED : NOT_TAKEN).has(format)).flatMap((format) => {
          const { text, notes } = publish(plan, timeline, format, one);
          return [`== ${at} ${format} ${asText(notes)}`, text];
        }),
      ),
    );
  });
});
