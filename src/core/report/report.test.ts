import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { readTake, type Reading } from '@/core/reading';
import { emptyPlan, makeMovement, makeSection, makeTalk } from '@/core/plan';
import { expandPlan, type Cue } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { reportOf } from '.';

const { plan } = itemAt(demoClasses(), 0);
const timeline = expandPlan(plan);
const names = new Map(plan.sections.flatMap(({ steps }) => steps.map((step) => [step.name, step.id] as const)));
const stepOf = (name: string) => {
  const step = timeline.steps.find((one) => one.step === names.get(name));
  if (!step) throw new Error(`no step ${name}`);
  return step;
};
const TEMPO = 1.06;

interface Line {
  readonly startSeconds: number;
  readonly endSeconds: number;
  readonly text: string;
}

/** The class said 6 % slower than planned, 4 s late; `where` moves or drops a line, `beside` adds others. */
function taken(where: (cue: Cue, at: number) => number | null, beside: readonly Line[] = []): Reading {
  const lines = timeline.cues.flatMap((cue, index): Line[] => {
    const at = where(cue, index);
    if (at === null) return [];
    const startSeconds = 4 + TEMPO * cue.startSeconds + at;
    return [{ startSeconds, endSeconds: startSeconds + cue.endSeconds - cue.startSeconds, text: cue.text }];
  });
  const captions = [...lines, ...beside].sort((a, b) => a.startSeconds - b.startSeconds);
  const lengthSeconds = Math.max(...captions.map(({ endSeconds }) => endSeconds)) + 5;
  return readTake(timeline, { captions, speech: null, lengthSeconds });
}

const asPlanned = taken(() => 0);

describe('what a reading tells of its steps', () => {
  const report = reportOf(timeline, asPlanned);

  it('finds no difference in a take that is only slower', () => {
    expect(report.differences).toEqual([]);
    expect(report.silences).toEqual([]);
    for (const step of report.steps)
      for (const { planned, found } of step.rounds) expect([null, planned]).toContain(found);
    expect(report.steps.flatMap(({ rounds }) => rounds).filter(({ found }) => found !== null).length).toBeGreaterThan(
      6,
    );
  });

  it('measures breath, teaching and when a step began', () => {
    for (const step of report.steps) {
      if (step.breathActualSeconds !== null)
        expect(step.breathActualSeconds / (step.breathPlannedSeconds ?? 0)).toBeCloseTo(TEMPO, 1);
      if (step.teachTakenSeconds !== null)
        expect(step.teachTakenSeconds / (step.teachPlannedSeconds ?? 0)).toBeCloseTo(TEMPO, 1);
      if (step.startsAtSeconds !== null)
        expect(Math.abs(step.startsAtSeconds - 4 - TEMPO * step.plannedStartSeconds)).toBeLessThan(1.5);
    }
    expect(report.steps.filter((step) => step.breathActualSeconds !== null).length).toBeGreaterThan(3);
    expect(report.steps.filter((step) => step.teachTakenSeconds !== null).length).toBeGreaterThan(2);
  });

  it('measures the rate of speaking and the talk of each section', () => {
    expect(Math.abs((report.syllablesPerMinute ?? 0) / plan.voice.syllablesPerMinute - 1)).toBeLessThan(0.06);
    expect(report.talk.length).toBe(plan.sections.length);
    for (const { planned, taken: share } of report.talk) {
      expect(share).toBeGreaterThan(0);
      expect(Math.abs((share ?? 0) - planned / TEMPO)).toBeLessThan(0.12);
    }
  });
});

describe('where take and plan differ in kind', () => {
  const heron = stepOf('Heron on the piling');
  const lastOf = (step: typeof heron) => step.cueRange[1] - 1;

  it('tells two rounds more, spoken or silent, and that the last one was not the last', () => {
    const round = TEMPO * heron.roundSeconds;
    for (const spoken of [false, true]) {
      const last = itemAt(timeline.cues, lastOf(heron));
      const at = 4 + TEMPO * last.startSeconds;
      const beside = spoken
        ? [1, 2].map((more) => ({
            startSeconds: at + more * round,
            endSeconds: at + more * round + 1.4,
            text: 'And gently once again.',
          }))
        : [];
      const { differences } = reportOf(
        timeline,
        taken((_, index) => (index > lastOf(heron) ? 2 * round : 0), beside),
      );
      const rounds = differences.filter(({ kind }) => kind === 'rounds');
      expect(rounds).toHaveLength(1);
      expect(rounds[0]).toMatchObject({ step: heron.step, planned: heron.rounds, found: heron.rounds + 2 });
      expect(differences).toContainEqual(expect.objectContaining({ kind: 'last-one', step: heron.step, more: 2 }));
    }
  });

  it('tells rounds that were dropped', () => {
    const more = stepOf('Raising the lamp');
    expect(more.rounds).toBeGreaterThan(3);
    const [from, to] = more.cueRange;
    const gone = timeline.cues.slice(from, to).filter(({ round }) => round === 2 || round === 3);
    const report = reportOf(
      timeline,
      taken((cue, index) =>
        gone.includes(cue)
          ? null
          : index >= from && (cue.round > 3 || index >= to)
            ? -2 * TEMPO * more.roundSeconds
            : 0,
      ),
    );
    expect(report.differences).toContainEqual(
      expect.objectContaining({ kind: 'rounds', step: more.step, planned: more.rounds, found: more.rounds - 2 }),
    );
    expect(report.differences.filter(({ kind }) => kind !== 'rounds')).toEqual([]);
  });

  it('tells a step left out, and one that came elsewhere', () => {
    const [from, to] = heron.cueRange;
    const length = TEMPO * (heron.endSeconds - heron.startSeconds);
    const without = (_: Cue, index: number) => (index >= from && index < to ? null : index >= to ? -length : 0);
    expect(reportOf(timeline, taken(without)).differences).toEqual([
      expect.objectContaining({ kind: 'left-out', step: heron.step }),
    ]);
    const last = itemAt(timeline.cues, timeline.cues.length - 1);
    const end = 10 + TEMPO * last.endSeconds - length;
    const later = timeline.cues.slice(from, to).map((cue) => ({
      startSeconds: end + TEMPO * (cue.startSeconds - heron.startSeconds),
      endSeconds: end + TEMPO * (cue.startSeconds - heron.startSeconds) + cue.endSeconds - cue.startSeconds,
      text: cue.text,
    }));
    expect(reportOf(timeline, taken(without, later)).differences).toContainEqual(
      expect.objectContaining({ kind: 'moved', step: heron.step }),
    );
    // Where nobody knows its words, by how long its lines are and how they follow each other; not by any speech at all.
    const reading = taken(without);
    const heard = (adLibs: readonly { startSeconds: number; endSeconds: number }[]) =>
      reportOf(timeline, { ...reading, adLibs: adLibs.map((one) => ({ ...one, text: null })) }).differences;
    expect(heard(later)).toContainEqual(expect.objectContaining({ kind: 'moved', step: heron.step }));
    const even = later.map((_, at) => ({ startSeconds: end + 3 * at, endSeconds: end + 3 * at + 1 }));
    expect(heard(even)).toEqual([expect.objectContaining({ kind: 'left-out', step: heron.step })]);
  });

  it('tells an interruption that is no whole round, and long silence', () => {
    const [, to] = heron.cueRange;
    const middle = heron.cueRange[0] + Math.floor((to - heron.cueRange[0]) / 2);
    const extra = 3.5 * TEMPO * heron.roundSeconds;
    const { differences, silences } = reportOf(
      timeline,
      taken((_, index) => (index > middle ? extra : 0)),
    );
    expect(differences).toEqual([expect.objectContaining({ kind: 'interrupted', step: heron.step })]);
    expect(itemAt(silences, 0).endSeconds - itemAt(silences, 0).startSeconds).toBeGreaterThan(extra);
  });

  it('says nothing of what it cannot know', () => {
    const nothing = readTake(timeline, { captions: null, speech: [], lengthSeconds: 60 });
    const report = reportOf(timeline, nothing);
    expect(report.differences).toEqual([]);
    expect(report.syllablesPerMinute).toBeNull();
    expect(report.steps.every(({ rounds }) => rounds.every(({ found }) => found === null))).toBe(true);
  });
});

describe('one round on each side', () => {
  const newId = (() => {
    let count = 0;
    return () => `o${++count}`;
  })();
  /** After a talk of a minute, so that it is not at the start of the class. */
  const sidesOf = (sides: 'alternating' | 'one-then-other') => {
    const talk = makeTalk(newId, 'Talk', [['Stand easy, and let the shoulders hang.', 60]]);
    const step = makeMovement(newId, 'Turning', { sides, rounds: 1, preferredRounds: 1, minRounds: 1 });
    const short = { ...emptyPlan(newId, 'Short', 120), sections: [makeSection(newId, 'main', [talk, step])] };
    const expanded = expandPlan(short);
    const captions = expanded.cues.map(({ startSeconds, endSeconds, text }) => ({ startSeconds, endSeconds, text }));
    const reading = readTake(expanded, { captions, speech: null, lengthSeconds: expanded.runtimeSeconds });
    return reportOf(expanded, reading)
      .steps.find((one) => one.step === step.id)
      ?.rounds.map(({ side }) => side);
  };

  it('is one count where they alternate, and two where one follows the other', () => {
    expect(sidesOf('alternating')).toEqual([null]);
    expect(sidesOf('one-then-other')).toEqual(['left', 'right']);
  });
});
