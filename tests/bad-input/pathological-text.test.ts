import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { PARSERS, pathologicalTexts } from '../support/pathological';

const SMALL = 10_000;
const LARGE = 100_000;
/** Ten times the text takes ten times as long; a quadratic pattern takes a hundred. */
const TIMES_AT_MOST = 35;
/** Quicker than this at 10 000 characters is no danger at 100 000, not even where it grows with the square. */
const UNSEEN_MILLISECONDS = 2;
/** And slower than this, at 100 000, is told from what else the machine does. */
const SLOW_MILLISECONDS = 300;

/** The growth is judged, not the time: a busy machine may take its time over all texts of a parser. */
const RUNNER_WAITS = 300_000;

function milliseconds(parse: (text: string) => unknown, text: string): number {
  const began = performance.now();
  parse(text);
  return performance.now() - began;
}

/** The shortest of a few runs: what else the machine does only ever makes it longer. */
function shortest(parse: (text: string) => unknown, text: string, runs: number): number {
  return Math.min(...Array.from({ length: runs }, () => milliseconds(parse, text)));
}

/** How many times longer ten times the text takes; 0 where it is quick anyway. */
function growth(parse: (text: string) => unknown, small: string, large: string): number {
  if (milliseconds(parse, small) < UNSEEN_MILLISECONDS) return 0;
  const long = shortest(parse, large, 2);
  return long < SLOW_MILLISECONDS ? 0 : long / shortest(parse, small, 3);
}

const texts = [...pathologicalTexts(SMALL)].map(([name, small]) => ({ name, small, large: '' }));
[...pathologicalTexts(LARGE)].forEach(([, large], at) => (itemAt(texts, at).large = large));

describe('text from outside that looks for the weak place of a pattern', () => {
  it.each(Object.entries(PARSERS))(
    'is read in time that grows with its length: %s',
    (_, parse) => {
      const slow = texts.filter(({ small, large }) => growth(parse, small, large) > TIMES_AT_MOST);
      expect(slow.map(({ name }) => name)).toEqual([]);
    },
    RUNNER_WAITS,
  );
});
