import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readMovementText } from '@/core/movement';
import { readScript, writeScript } from '@/core/plain-script';
import { readPlanText, stepsInOrder, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { countingIds } from '../support/chance';

/*
 * Documents as older versions wrote them, kept as files. They are read as what they were: as long, with the same words.
 */

const olderText = (name: string): string => readFileSync(new URL(`older/${name}`, import.meta.url), 'utf8');

function readClass(version = 5): ClassPlan {
  const read = readPlanText(olderText(`class-version-${version}.json`));
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  return read.value;
}

describe('a class of version 5', () => {
  it('is as long as it was, and has the names of this version', () => {
    const plan = readClass();
    expect(plan.version).toBe(itemAt(demoClasses(), 0).plan.version);
    // The length that version 5 gave this class.
    expect(expandPlan(plan).runtimeSeconds).toBe(617.086);
    const movements = stepsInOrder(plan).flatMap(({ step }) => (step.kind === 'movement' ? [step] : []));
    expect(movements.slice(0, 4).map(({ sides }) => sides)).toEqual([
      'together',
      'alternating',
      'one-then-other',
      'both-directions',
    ]);
    expect(movements.slice(0, 4).map(({ pacedBy }) => pacedBy)).toEqual(['breath', 'own-pace', 'clock', 'breath']);
    expect(movements.map(({ skipped }) => skipped).indexOf(true)).toBe(3);
    expect(movements[0]?.pattern.map(({ kind }) => kind)).toEqual(['inhale', 'hold', 'exhale']);
    expect(stepsInOrder(plan).some(({ step }) => step.kind === 'silence')).toBe(true);
    expect(plan.lengths.map(({ way }) => way)).toEqual(['skip-steps', 'balanced']);
    expect(plan.lengths[0]?.pins[0]).toMatchObject({ skipped: true });
    expect(plan.dismissed).toMatchObject([{ check: 'rounds-style', reason: 'As taught here.' }]);
    expect(plan.style).toMatchObject({ counting: 'end', holdLine: expect.stringContaining('breathe on') as string });
    expect(plan.pace).toMatchObject({ minBreathSeconds: 7, maxBreathSeconds: 12, inhaleShare: 0.45 });
    expect(plan.sections.every(({ inhaleShare }) => inhaleShare === 0.45)).toBe(true);
  });

  it('reads the same from its script', () => {
    const { plan } = readScript(countingIds(), olderText('class-version-5.txt'));
    expect(writeScript(plan)).toBe(writeScript(readClass()));
  });
});

describe('a class of version 6', () => {
  it('is as long as it was, says the same, and offers its levels in lines', () => {
    const plan = readClass(6);
    const timeline = expandPlan(plan);
    // What version 6 gave this class.
    expect([timeline.runtimeSeconds, timeline.cues.length]).toEqual([562.278, 80]);
    const levels = stepsInOrder(plan).flatMap(({ step }) => (step.kind === 'movement' ? step.levels : []));
    expect(levels.slice(0, 2).map(({ lines }) => lines)).toEqual([['Toes may stay down.'], []]);
    expect(stepsInOrder(plan).every(({ step }) => step.blockId === null && step.tieId === null)).toBe(true);
  });

  it('reads the same from its script', () => {
    const { plan } = readScript(countingIds(), olderText('class-version-6.txt'));
    expect(writeScript(plan)).toBe(writeScript(readClass(6)));
  });
});

describe('a movement of version 4', () => {
  it('is read with its levels in lines', () => {
    const read = readMovementText(olderText('movement-version-4.json'));
    expect(read.ok && read.value).toMatchObject({
      version: 5,
      during: [],
      levels: [{ lines: ['Toes may stay down.'] }, {}, {}],
    });
  });
});

describe('a movement of version 3', () => {
  it('is read with the names of this version', () => {
    const read = readMovementText(olderText('movement-version-3.json'));
    expect(read.ok && read.value).toMatchObject({ version: 5, pacedBy: 'breath', minRounds: 1 });
  });
});
