import { describe, expect, it } from 'vitest';
import type { Caption } from '@/core/interchange';
import { emptyPlan, makeSection, makeTalk } from '@/core/plan';
import { expandPlan, type Timeline } from '@/core/timeline';
import { itemAt, Random } from '@/core/units';
import { wordedSpeech } from './word-distances';
import { wordsInSpeech } from './words-in-speech';

let count = 0;
const newId = (): string => `w${++count}`;
const caption = (startSeconds: number, endSeconds: number, text: string): Caption => ({
  startSeconds,
  endSeconds,
  text,
});
const stretch = (startSeconds: number, endSeconds: number) => ({ startSeconds, endSeconds, likely: 0.9 });
/** Words of lines, each line's time shared out evenly. */
const heard = (...lines: readonly Caption[]) =>
  lines.flatMap(({ startSeconds, endSeconds, text }, index) => {
    const words = text.split(' ');
    const each = (endSeconds - startSeconds) / words.length;
    return words.map((word, at) => {
      const from = startSeconds + at * each;
      return { word, caption: index, startSeconds: from, endSeconds: from + each };
    });
  });

describe('words of captions in stretches of speech', () => {
  it('lie by their time, also where a caption runs over a pause', () => {
    const words = heard(caption(10, 16, 'there goes the boat breathe in'));
    expect(wordsInSpeech(words, [stretch(10, 13.6), stretch(14.6, 16)])).toEqual({
      ranges: [
        [0, 4],
        [4, 6],
      ],
      invented: 0,
    });
  });

  it('go to the stretch that has time for them where their own time is off', () => {
    // Half a second early: the first word lies before the first stretch, the second between the two.
    const words = heard(caption(9.5, 9.9, 'in'), caption(11.6, 12, 'out'));
    expect(wordsInSpeech(words, [stretch(10, 10.4), stretch(12.1, 12.5)]).ranges).toEqual([
      [0, 1],
      [1, 2],
    ]);
  });

  it('that a machine invents lie in none, and a stretch may hold none', () => {
    const words = heard(caption(10, 11, 'breathe in'), caption(30, 31, 'thank you'), caption(51, 52, 'breathe out'));
    const found = wordsInSpeech(words, [stretch(10, 11), stretch(44, 45), stretch(51, 52)]);
    expect(
      found.ranges.map(([from, to]) =>
        words
          .slice(from, to)
          .map(({ word }) => word)
          .join(' '),
      ),
    ).toEqual(['breathe in', '', 'breathe out']);
    expect(found.invented).toBe(2);
    expect(wordsInSpeech([], [stretch(1, 2)])).toEqual({ ranges: [[0, 0]], invented: 0 });
    expect(wordsInSpeech(words, [])).toEqual({ ranges: [], invented: 6 });
  });

  it('are in order, each in one stretch at most, whatever is heard', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const chance = new Random(seed);
      let at = 0;
      const lines = Array.from({ length: 20 }, () => {
        at += 3 * chance.next();
        const from = at;
        at += 0.3 + 3 * chance.next();
        return caption(from, at, Array.from({ length: chance.whole(1, 9) }, () => 'word').join(' '));
      });
      const speech = lines
        .filter(() => chance.yes(0.85))
        .map(({ startSeconds, endSeconds }) => stretch(startSeconds + chance.next() - 0.5, endSeconds));
      const words = heard(...lines);
      const { ranges, invented } = wordsInSpeech(words, speech);
      expect(ranges.length).toBe(speech.length);
      let last = 0;
      for (const [from, to] of ranges) {
        expect(from).toBeGreaterThanOrEqual(last);
        expect(to).toBeGreaterThanOrEqual(from);
        last = to;
      }
      const held = ranges.reduce((sum, [from, to]) => sum + to - from, 0);
      expect(held + invented).toBe(words.length);
    }
  });
});

describe('what stretches of speech are like by their words', () => {
  const lines = ['Let the shoulders hang.', 'In.', 'Out, and let the wrists settle.'];
  const { cues }: Timeline = expandPlan({
    ...emptyPlan(newId, 'Sample', 300, 9),
    sections: [makeSection(newId, 'arrival', [makeTalk(newId, 'Talk', lines)])],
  });
  const captions = [
    caption(1, 3, 'let the shoulder hang'),
    caption(5, 5.4, 'on'),
    caption(7, 8, 'okay in'),
    caption(10, 12, 'the kettle is on the stove'),
  ];
  const speech = [stretch(1, 3), stretch(5, 5.4), stretch(7, 8), stretch(10, 12), stretch(14, 15)];
  const words = heard(...captions);
  const worded = wordedSpeech(cues, captions, words, speech, []);
  const distances = worded?.distances;

  it('is nearest for the text, bears a mishearing, and rules out what shares no word', () => {
    expect(distances?.distance(0, 1, itemAt(lines, 0))).toBeLessThan(-3.5);
    expect(distances?.distance(0, 1, itemAt(lines, 2))).toBeGreaterThan(-0.5);
    expect(distances?.distance(3, 4, itemAt(lines, 0))).toBeGreaterThan(0.5);
    // One short word is easily misheard: it tells little.
    expect(Math.abs(distances?.distance(1, 2, 'In.') ?? 9)).toBeLessThan(1.5);
    expect(distances?.distance(4, 5, itemAt(lines, 0))).toBe(0);
    expect(distances?.distance(0, 1, 'none of the class')).toBeNull();
  });

  it('is asked of the end alone where words run into the text', () => {
    expect(distances?.distanceOfEnd(2, 3, 'In.')).toBeLessThan(-4);
    expect(distances?.distance(2, 3, 'In.')).toBeGreaterThan(-2.5);
    expect(distances?.distanceOfEnd(1, 2, 'In.')).toBeNull();
  });

  it('gives ad-libs their words, and takes speech without words for less likely', () => {
    expect(worded?.wordsIn({ startSeconds: 10, endSeconds: 12 })).toBe('the kettle is on the stove');
    expect(worded?.wordsIn({ startSeconds: 14, endSeconds: 15 })).toBeNull();
    expect(worded?.speech.map(({ likely }) => likely < 0.5)).toEqual([false, false, false, false, true]);
  });

  it('is not relied on where the words lie in no stretch', () => {
    expect(wordedSpeech(cues, captions, words, [stretch(1, 3)], [])).toBeNull();
    expect(wordedSpeech(cues, [], [], speech, [])).toBeNull();
  });
});
