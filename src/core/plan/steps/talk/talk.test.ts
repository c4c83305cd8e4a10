import { describe, expect, it } from 'vitest';
import { countingIds } from '../../../../../tests/support/chance';
import { makeTalk, talk } from './index';

const voice = { syllablesPerMinute: 190, leadSeconds: 0.8, pauseSeconds: 1 };
const said = makeTalk(countingIds(), 'Welcome', ['Good morning, and welcome to the hall.']);

describe('what of a talk may stretch', () => {
  it('is its tempo within its bounds', () => {
    const { fixed, stretch } = talk.parts({ ...said, minTempo: 0.9, maxTempo: 1.2 }, voice, false);
    expect(fixed).toBe(0);
    const plain = stretch?.preferred ?? 0;
    expect(plain).toBeGreaterThan(1000);
    expect(stretch).toMatchObject({ of: 'talk', min: Math.ceil(plain * 0.9), max: Math.floor(plain * 1.2) });
  });

  it('is nothing where it stays, has one tempo, or no words', () => {
    const free = { ...said, minTempo: 0.9, maxTempo: 1.2 };
    expect(talk.parts(free, voice, true).stretch).toBeNull();
    expect(talk.parts(said, voice, false).stretch).toBeNull();
    expect(talk.parts(said, voice, false).fixed).toBeGreaterThan(1000);
    expect(talk.parts({ ...free, lines: [] }, voice, false)).toEqual({ fixed: 0, stretch: null });
  });
});
