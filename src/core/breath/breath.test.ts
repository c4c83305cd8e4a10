import { describe, expect, it } from 'vitest';
import {
  breathsPerMinute,
  patternBreathsPerMinute,
  patternNotes,
  breathsPerRound,
  closingBreathSeconds,
  inShareAlong,
  lungsAtStarts,
  lungsWithin,
  paceMultiplier,
  phaseSeconds,
  roundMilliseconds,
  type PhaseLength,
} from '.';

const phase = (kind: PhaseLength['kind'], part: Partial<PhaseLength> = {}): PhaseLength => ({
  kind,
  share: null,
  seconds: null,
  ...part,
});
const pace = { breathSeconds: 9, inhaleShare: 0.45 };

describe('a breath pattern', () => {
  it('takes the class’s ratio, an own share, or own seconds, in that order of strength', () => {
    expect(phaseSeconds(phase('inhale'), pace)).toBeCloseTo(4.05);
    expect(phaseSeconds(phase('exhale'), pace)).toBeCloseTo(4.95);
    expect(phaseSeconds(phase('exhale', { share: 0.6 }), pace)).toBeCloseTo(5.4);
    expect(phaseSeconds(phase('exhale', { share: 0.6, seconds: 2 }), pace)).toBe(2);
  });

  it('adds own seconds to a round without stretching them with the breath', () => {
    const pattern = [phase('inhale'), phase('hold', { seconds: 1.5 }), phase('exhale')];
    expect(roundMilliseconds(pattern, pace)).toBe(10_500);
    expect(roundMilliseconds(pattern, { ...pace, breathSeconds: 12 })).toBe(13_500);
  });

  it('counts several breaths to a round by their in-phases', () => {
    const pattern = [phase('inhale'), phase('exhale'), phase('inhale'), phase('exhale', { share: 0.8 })];
    expect(breathsPerRound(pattern)).toBe(2);
    expect(breathsPerRound([phase('free', { seconds: 20 })])).toBe(1);
    expect(roundMilliseconds(pattern, pace)).toBe(Math.round(9000 * (1 + 0.45 + 0.8)));
  });

  it('gives breaths a minute', () => {
    // Slow breathing is 4 to 10 a minute (Russo and others 2017, Breathe 13): 15 s and 6 s a breath.
    expect(breathsPerMinute(15)).toBe(4);
    expect(breathsPerMinute(6)).toBe(10);
    expect(() => breathsPerMinute(0)).toThrow(RangeError);
  });
});

describe('the pace profile', () => {
  it('goes straight from the opening to the closing breath', () => {
    expect(
      [0, 1, 2, 3, 4].map((index) => paceMultiplier({ closingRatio: 1.5, curve: 'straight' }, index, 5, 1)),
    ).toEqual([1, 1.13, 1.25, 1.38, 1.5]);
    expect(closingBreathSeconds({ breathSeconds: 8, closingRatio: 1.5 })).toBe(12);
  });

  it('eases at both ends where that is asked, and meets the straight way at the ends and in the middle', () => {
    const eased = [0, 1, 2, 3, 4].map((index) => paceMultiplier({ closingRatio: 2, curve: 'eased' }, index, 5, 1));
    expect(eased).toEqual([1, 1.15, 1.5, 1.85, 2]);
  });

  it('takes the ratio along', () => {
    const profile = { inhaleShare: 0.5, closingInhaleShare: 0.4, curve: 'straight' } as const;
    expect([0, 1, 2].map((index) => inShareAlong(profile, index, 3))).toEqual([0.5, 0.45, 0.4]);
  });

  it('leaves a class of one movement at its opening breath', () => {
    expect(paceMultiplier({ closingRatio: 1.5, curve: 'straight' }, 0, 1, 0.8)).toBe(0.8);
  });
});

describe('the lungs', () => {
  it('fill with the in, empty with the out, and stay at a rest', () => {
    expect(lungsWithin('inhale', 1, 0)).toBe(1);
    expect(lungsWithin('inhale', 0.5, 0)).toBeCloseTo(0.5);
    expect(lungsWithin('hold', 0.7, 1)).toBe(1);
    expect(lungsWithin('exhale', 1, 1)).toBe(0);
  });

  it('are followed from phase to phase', () => {
    const kinds = ['spoken', 'inhale', 'hold', 'exhale', 'inhale', 'free'] as const;
    const phases = kinds.map((kind, index) => ({ kind, startSeconds: index, endSeconds: index + 1 }));
    expect(lungsAtStarts(phases)).toEqual([0, 0, 1, 1, 0, 1]);
  });
});

describe('remarks on a pattern', () => {
  it('counts breaths a minute from what breathes, an exhale alone too', () => {
    expect(patternBreathsPerMinute([phase('exhale', { seconds: 6 })], pace)).toBe(10);
    expect(patternBreathsPerMinute([phase('hold', { seconds: 6 })], pace)).toBe(0);
    expect(patternBreathsPerMinute([phase('inhale', { seconds: 0 })], pace)).toBe(0);
  });

  it('tells slow, quick and too quick breaths at the published bounds, and long rests', () => {
    const of = (seconds: number) => patternNotes([phase('exhale', { seconds })], pace).map(({ code }) => code);
    expect([of(15), of(6), of(16), of(5.9), of(3), of(2.9)]).toEqual([
      [],
      [],
      ['slower-than-slow'],
      ['quicker-than-slow'],
      ['quicker-than-slow'],
      ['quicker-than-resting'],
    ]);
    const rests = [phase('inhale'), phase('hold', { seconds: 4 }), phase('exhale'), phase('hold', { seconds: 4.5 })];
    expect(patternNotes(rests, pace).filter(({ code }) => code === 'long-rest')).toEqual([
      { code: 'long-rest', index: 3, seconds: 4.5 },
    ]);
  });
});
