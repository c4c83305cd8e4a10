import { describe, expect, it } from 'vitest';
import { readCaptions, writeChapterList } from '@/core/interchange';
import { proposeFits } from '@/core/pacing';
import { emptyPlan, makeMovement, makeSilence, makeSection, type ClassPlan, type Step } from '@/core/plan';
import { readTake } from '@/core/reading';
import { findAndReplace, fitWords } from '@/core/script';
import { expandPlan } from '@/core/timeline';
import { firstItems, itemAt, formatClock, parseClock } from '@/core/units';
import { countingIds } from '../support/chance';

const newId = countingIds('w');
const planOf = (...steps: Step[]): ClassPlan => ({
  ...emptyPlan(newId, 'Class', 600),
  sections: [makeSection(newId, 'main', steps)],
});
const lines = (plan: ClassPlan): string[] => expandPlan(plan).cues.map(({ text }) => text);

describe('the last one', () => {
  it('is never said where there is one round', () => {
    expect(lines(planOf(makeMovement(newId, 'Lamp', { rounds: 1 }))).join(' ')).not.toContain('Last one');
    expect(lines(planOf(makeMovement(newId, 'Lamp', { rounds: 2 }))).join(' ')).toContain('Last one');
  });
});

describe('a movement at its own pace', () => {
  it('calls back with time to come back, and not in its last instant', () => {
    const step = makeMovement(newId, 'Sway', {
      pacedBy: 'own-pace',
      seconds: 60,
      lastRoundLine: 'Come back to the hall.',
    });
    const { cues, steps } = expandPlan(planOf(step));
    const call = cues.find(({ text }) => text === 'Come back to the hall.');
    const wordsEnd = (call?.startSeconds ?? 0) + 3;
    expect(itemAt(steps, 0).endSeconds - wordsEnd).toBeGreaterThan(5);
    expect(call?.startSeconds).toBeGreaterThan(itemAt(steps, 0).startSeconds + 30);
  });
});

describe('fitting the words', () => {
  it('leaves full lines that end in time, and shortens only what does not', () => {
    const step = makeMovement(newId, 'Lamp', { rounds: 3, fade: ['full'] });
    const [first, second] = firstItems(step.pattern, 2);
    const short = {
      ...step,
      pattern: [
        { ...first, full: 'Lamp up, and wide.' },
        { ...second, full: 'And down, easy now.' },
      ],
    };
    const plan = { ...planOf(short), silenceShare: 0.9 };
    expect(fitWords(plan, expandPlan(plan)).changes).toEqual([]);
    const words =
      'Breathe in and let the wrists carry the lamp up past the window and over the long wall of the harbour.';
    const long = {
      ...short,
      pattern: [{ ...itemAt(short.pattern, 0), full: words, short: 'Lamp up.' }, itemAt(short.pattern, 1)],
    };
    const crowded = planOf(long);
    expect(fitWords(crowded, expandPlan(crowded)).changes.map(({ round, from, to }) => [round, from, to])).toEqual([
      [1, 'full', 'short'],
      [2, 'full', 'short'],
      [3, 'full', 'short'],
    ]);
  });
});

describe('find and replace', () => {
  const step = makeMovement(newId, 'Lamp', { lastRoundLine: 'Lamp down. The lamp rests. LAMP OUT.' });
  const search = { find: 'lamp', replace: 'light', wholeWords: true };
  const after = (matchCase: boolean): string | undefined =>
    findAndReplace(planOf(step), { ...search, matchCase }).find(({ from }) => from.startsWith('Lamp down'))?.to;
  it('keeps the capitals of what it replaces, or takes the words as typed', () => {
    expect(after(false)).toBe('Light down. The light rests. LIGHT OUT.');
    expect(after(true)).toBe('Lamp down. The light rests. LAMP OUT.');
  });
});

describe('a time as typed', () => {
  it.each([
    ['20', 'minutes', 1200],
    ['20', 'seconds', 20],
    ['7.5', 'minutes', 450],
    ['7.5 min', 'seconds', 450],
    ['90 s', 'minutes', 90],
    ['1:30', 'minutes', 90],
    ['as', 'minutes', null],
    ['20 m 5', 'minutes', null],
  ] as const)('%j in %s is %j', (text, bare, seconds) => expect(parseClock(text, bare)).toBe(seconds));
});

describe('a chapter', () => {
  it('begins when the desk says it does', () => {
    const chapters = [0, 17.6, 61.5].map((startSeconds) => ({
      startSeconds,
      endSeconds: startSeconds + 5,
      title: 'Part',
    }));
    const times = writeChapterList(chapters).trim().split('\n').map((line) => line.split(' ')[0]); // prettier-ignore
    expect(times).toEqual(['0:00', formatClock(17.6), formatClock(61.5)]);
    expect(times[1]).toBe('0:18');
  });
});

describe('what would have to give way', () => {
  it('is never a step at many times its length', () => {
    const quiet = makeSilence(newId, 'Mooring post', {
      seconds: 75,
      preferredSeconds: 75,
      minSeconds: 60,
      maxSeconds: 75,
    });
    const plan = { ...planOf(quiet, makeMovement(newId, 'Lamp')), targetSeconds: 1200 };
    const proposals = proposeFits(plan);
    const why = proposals.feasible ? [] : proposals.why.loosen;
    for (const one of why.filter(({ what }) => what === 'time')) expect(one.to).toBeLessThanOrEqual(2 * one.from);
    expect(proposals.feasible).toBe(false);
  });
});

describe('a bare word of the breath', () => {
  it('is not found by hearing the other one', () => {
    const [first, second] = firstItems(makeMovement(newId, 'x').pattern, 2);
    const bare = [
      { ...first, full: 'Inhale.', short: 'Inhale.', breath: 'Inhale.' },
      { ...second, full: 'Exhale.', short: 'Exhale.', breath: 'Exhale.' },
    ];
    const plan = planOf({
      ...makeMovement(newId, 'Lamp', { rounds: 4, lastRoundLine: '', fade: ['full'] }),
      pattern: bare,
    });
    const timeline = expandPlan(plan);
    const captions = timeline.cues.map(({ startSeconds }) => ({
      startSeconds,
      endSeconds: startSeconds + 0.8,
      text: 'Inhale.',
    }));
    const { cues } = readTake(timeline, { captions, speech: null, lengthSeconds: 60 });
    for (const cue of cues.filter(({ text }) => text === 'Exhale.')) {
      expect(cue.evidence?.by === 'words' && cue.evidence.heard === 'Inhale.').toBe(false);
    }
    expect(cues.filter(({ text, status }) => text === 'Inhale.' && status === 'said').length).toBe(4);
  });
});

describe('captions', () => {
  it('too long to be kept are refused when they are read, with their place', () => {
    const text = `WEBVTT\n\n00:01.000 --> 00:02.000\nshort\n\n00:03.000 --> 00:04.000\n${'word '.repeat(1200)}\n`;
    const read = readCaptions(text);
    expect(read.ok ? null : read.problem).toMatchObject({ code: 'caption-too-long', at: 'caption 2' });
  });
});
