import { describe, expect, it } from 'vitest';
import { itemAt, Random } from '@/core/units';
import { randomPlan } from '../../../tests/support/random-plan';
import { sameDocument } from '@/core/document';
import { makePhase } from '@/core/movement';
import {
  emptyPlan,
  LIMITS,
  makeMovement,
  makeSilence,
  makeSection,
  readPlan,
  readPlanText,
  writePlanText,
  type ClassPlan,
} from '.';

let count = 0;
const newId = (): string => `r${++count}`;

function withSteps(...steps: ClassPlan['sections'][number]['steps']): ClassPlan {
  return { ...emptyPlan(newId, 'Sample', 600), sections: [makeSection(newId, 'main', steps)] };
}

function codes(raw: unknown): string[] {
  const read = readPlan(raw);
  return read.ok ? [] : read.problem.map((issue) => `${issue.at} ${issue.code}`.trim());
}

describe('the door for plans', () => {
  it('reads what it writes, without loss', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const plan = randomPlan(new Random(seed), { steps: 12, breathTenths: 5, choicesAtMost: 5 });
      const read = readPlanText(writePlanText(plan));
      expect(read.ok && read.value, `seed ${seed}`).toEqual(plan);
    }
  });

  it('names every problem at its place', () => {
    const plan = withSteps(makeMovement(newId, 'One'));
    const bad = {
      ...plan,
      title: '',
      targetSeconds: -5,
      sections: [{ ...plan.sections[0], steps: [{ ...itemAt(plan.sections, 0).steps[0], rounds: 2.5, sides: 'up' }] }],
    };
    expect(codes(bad).sort()).toEqual([
      'sections[0].steps[0].rounds not-whole',
      'sections[0].steps[0].sides not-one-of',
      'targetSeconds out-of-range',
      'title empty',
    ]);
  });

  it('sees what single fields cannot tell', () => {
    const movement = makeMovement(newId, 'One', { minRounds: 5, maxRounds: 3 });
    const quiet = makeSilence(newId, 'Two', { minSeconds: 60, maxSeconds: 30 });
    const restless = makeMovement(newId, 'Three', {
      pattern: [{ ...makePhase(newId, { kind: 'hold' }), share: null }],
    });
    const plan = withSteps(movement, quiet, restless, { ...quiet, minSeconds: 10 });
    const turned = { ...plan, pace: { ...plan.pace, minBreathSeconds: 12, maxBreathSeconds: 8 } };
    expect(codes(turned)).toEqual([
      'pace.minBreathSeconds bounds-turned',
      'sections[0].steps[0].minRounds bounds-turned',
      'sections[0].steps[1].minSeconds bounds-turned',
      'sections[0].steps[2].pattern[0] phase-without-length',
      'sections[0].steps[3].id id-twice',
    ]);
  });

  it.each([
    ['', 'empty-file'],
    ['  \n', 'empty-file'],
    ['{"format": "calm-count/cl', 'not-json'],
    ['{"targetSeconds": NaN}', 'not-json'],
    ['[]', 'not-a-plan'],
    ['null', 'not-a-plan'],
    ['{"a": 1}', 'not-a-plan'],
    ['{"format": "calm-count/class-plan"}', 'no-version'],
    ['{"format": "calm-count/class-plan", "version": 99}', 'newer-version'],
    ['{"format": "calm-count/class-plan", "version": 1}', 'missing'],
  ])('refuses %j', (text, code) => {
    const read = readPlanText(text);
    expect(read.ok ? [] : read.problem.map((issue) => issue.code)).toContain(code);
  });

  it('refuses a number too large to be one', () => {
    const text = writePlanText(withSteps()).replace('"targetSeconds": 600', '"targetSeconds": 1e999');
    const read = readPlanText(text);
    expect(read.ok ? [] : read.problem.map((issue) => `${issue.at} ${issue.code}`)).toEqual([
      'targetSeconds out-of-range',
    ]);
  });

  it('refuses huge documents before looking into them', () => {
    const large = readPlanText(' '.repeat(LIMITS.documentBytes + 1));
    expect(large.ok ? '' : itemAt(large.problem, 0).code).toBe('too-large');
    const crowded = withSteps();
    const steps = Array.from({ length: 200_000 }, () => null);
    expect(codes({ ...crowded, sections: [{ ...crowded.sections[0], steps }] })).toEqual(['sections too-many-steps']);
    const sections = Array.from({ length: 61 }, () => crowded.sections[0]);
    expect(codes({ ...crowded, sections })).toEqual(['sections too-many-sections']);
  });

  it('refuses a plan of more than 20 000 cues', () => {
    const steps = Array.from({ length: 60 }, () =>
      makeMovement(newId, 'Long', { rounds: 200, preferredRounds: 200, maxRounds: 200, sides: 'alternating' }),
    );
    expect(codes(withSteps(...steps))).toEqual(['sections too-many-cues']);
  });

  it('keeps odd text as it is', () => {
    const title = 'a --> b <script>alert(1)</script> 🌊 مرحبا';
    const read = readPlan({ ...withSteps(), title });
    expect(read.ok && read.value.title).toBe(title);
  });

  it('brings version 1 to this version', () => {
    const plan = withSteps(
      makeMovement(newId, 'One', { preferredRounds: 4, rounds: 4 }),
      makeSilence(newId, 'Two', {}),
    );
    // As version 1 wrote it: without what came later, and with its own names.
    const names = new Map([
      ['minBreathSeconds', 'leastBreathSeconds'],
      ['maxBreathSeconds', 'mostBreathSeconds'],
      ['inhaleShare', 'inShare'],
      ['closingInhaleShare', 'closingInShare'],
      ['minRounds', 'leastRounds'],
      ['maxRounds', 'mostRounds'],
      ['minSeconds', 'leastSeconds'],
      ['maxSeconds', 'mostSeconds'],
    ]);
    const values = new Map([
      ['silence', 'quiet'],
      ['inhale', 'in'],
      ['exhale', 'out'],
      ['together', 'none'],
    ]);
    const later = new Set(['preferredBreathSeconds', 'closingRatio', 'preferredRounds', 'preferredSeconds']);
    later.add('pacedBy').add('skipped').add('style').add('dismissed');
    const olderValue = (value: unknown): unknown => {
      if (Array.isArray(value)) return value.map(olderValue);
      if (typeof value === 'string') return values.get(value) ?? value;
      if (typeof value !== 'object' || value === null) return value;
      const entries = Object.entries(value).filter(([key]) => !later.has(key));
      return Object.fromEntries(entries.map(([key, inner]) => [names.get(key) ?? key, olderValue(inner)]));
    };
    const old = { ...(olderValue(plan) as object), version: 1 };
    const read = readPlan(old);
    const holdLine = 'Leave out the rest whenever you like, and breathe on.';
    expect(read.ok && read.value).toEqual({ ...plan, style: { ...plan.style, holdLine } });
  });
});

describe('sameDocument', () => {
  it('does not mind the order of fields, and minds everything else', () => {
    expect(sameDocument({ a: 1, b: [{ c: 2, d: null }] }, { b: [{ d: null, c: 2 }], a: 1 })).toBe(true);
    expect(sameDocument({ a: [1, 2] }, { a: [2, 1] })).toBe(false);
    expect(sameDocument({ a: 1 }, { a: 1, b: undefined })).toBe(false);
    expect(sameDocument({ a: null }, { a: 0 })).toBe(false);
  });
});
