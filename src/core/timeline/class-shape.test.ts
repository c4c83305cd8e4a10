import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoClasses } from '@/demo/classes';
import { expandPlan, packShape, shapeOf, unpackShape, type ShapeStretch } from '.';

const stretch = fc.record({
  kind: fc.constantFrom<ShapeStretch['kind']>('spoken', 'breath', 'own', 'silence'),
  seconds: fc.integer({ min: 0, max: 9_999 }),
  breaths: fc.integer({ min: 0, max: 999 }),
  opens: fc.boolean(),
});

describe('a class drawn small', () => {
  it('is as long as the class, with a stretch for each section and each breath led', () => {
    for (const { plan } of demoClasses()) {
      const timeline = expandPlan(plan);
      const stretches = shapeOf(plan, timeline);
      const total = stretches.reduce((sum, { seconds }) => sum + seconds, 0);
      expect(total).toBeCloseTo(timeline.runtimeSeconds, 1);
      const sections = timeline.sections.filter(({ startSeconds, endSeconds }) => endSeconds > startSeconds);
      expect(stretches.filter(({ opens }) => opens).length).toBe(sections.length);
      const breaths = stretches.reduce((sum, one) => sum + one.breaths, 0);
      expect(breaths).toBe(timeline.phases.filter(({ kind }) => kind === 'inhale').length);
    }
  });

  it('is the same after it was packed and unpacked', () => {
    fc.assert(
      fc.property(fc.array(stretch, { maxLength: 60 }), (stretches) => {
        expect(unpackShape(packShape(stretches))).toEqual(stretches);
      }),
    );
  });

  it('takes any text, and leaves what it cannot read', () => {
    expect(unpackShape('')).toEqual([]);
    expect(unpackShape('|s10 nonsense b9x2 b-3')).toEqual([
      { kind: 'spoken', seconds: 10, breaths: 0, opens: true },
      { kind: 'breath', seconds: 9, breaths: 2, opens: false },
    ]);
    fc.assert(fc.property(fc.string(), (text) => void unpackShape(text)));
  });
});
