import { describe, expect, it } from 'vitest';
import { isMovement, stepsInOrder, type MovementStep } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/*
 * A way in and a way out with marks behind their names, below a movement: each in ways that people write it, on two lines
 * and on one, with every mark between. What is said of them holds no mark, and no word is lost. Common practice, no
 * published source.
 */

const WAYS = `
  in: draw|out: release
  in - draw|out - release
  in – draw|out – release
  in → draw|out → release
  in -> draw|out -> release
  in = draw|out = release
  In: draw|Out: release
  IN: draw|OUT: release
  IN draw|OUT release
  (in) draw|(out) release
  [in] draw|[out] release
  in) draw|out) release
  inhale: draw|exhale: release
  inhale - draw|exhale - release
  inhale → draw|exhale → release
  Inhale – draw|Exhale – release
  inhale, draw|exhale, release
  inhale draw|exhale release
  inh: draw|exh: release
  inh. draw|exh. release
  i: draw|o: release
  in, draw|out, release
  in; draw|out; release
  in... draw|out... release
  breathe in: draw|breathe out: release
  breathe in - draw|breathe out - release
  breath in: draw|breath out: release
  Breathing in: draw|Breathing out: release
  in-breath: draw|out-breath: release
  in breath - draw|out breath - release
  inhalation: draw|exhalation: release
  draw (in)|release (out)
  draw - in|release - out
  draw = inhale|release = exhale
  draw on the in-breath|release on the out-breath
  on the inhale: draw|on the exhale: release
  on inhale draw|on exhale release
  with the in-breath draw|with the out-breath release
  in: draw (4 s)|out: release (6 s)
  in 4: draw|out 6: release
  in (4): draw|out (6): release
  in 4 - draw|out 6 - release
  inhale 4 s: draw|exhale 6 s: release
  inhale for 4, draw|exhale for 6, release
  inhale (4 counts) draw|exhale (6 counts) release
`
  .trim()
  .split(/\n\s*/)
  .map((line) => line.split('|') as [string, string]);

const BETWEEN = [', ', ' / ', '; ', '. ', ' | ', ' · ', ' '];
/** With a blank alone between them the second would have no mark before it. */
const NEEDS_MARK = /^(?:in, |draw|with the|on inhale draw)/;
const NAMED =
  /^(?:in|out|inhale|exhale|breathe in|breathe out|on the inhale|on the exhale)?,? ?(?:4|6)?,? ?(?:draw|release)\.?$/i;

function movementOf(lines: readonly string[]): MovementStep | null {
  const { plan } = readScript(countingIds('b'), ['Morning', '', 'Main set', 'Drawing the Bow, 3 each side', ...lines, 'Cloud hands x6'].join('\n')); // prettier-ignore
  const [step, , ...others] = stepsInOrder(plan).map((one) => one.step);
  return isMovement(step) && others.length === 0 && step.preferredRounds === 3 ? step : null;
}

function isRead([first, second]: readonly [string, string], lines: readonly string[]): boolean {
  const step = movementOf(lines);
  const [inhale, exhale, ...more] = step?.pattern ?? [];
  if (!step || !inhale || !exhale || more.length > 0 || inhale.kind !== 'inhale' || exhale.kind !== 'exhale')
    return false;
  const told =
    NAMED.test(inhale.full) && NAMED.test(exhale.full) && /draw/i.test(inhale.full) && /release/i.test(exhale.full);
  const counted = /4/.test(first) && /6/.test(second);
  return told && (!counted || (step.inhaleShare === 0.4 && Math.abs(step.paceMultiplier * 9 - 10) < 0.1));
}

const wrongOf = (put: (way: readonly [string, string]) => readonly string[]): string[] =>
  WAYS.filter((way) => !isRead(way, put(way))).map((way) => put(way).join(' ¦ '));

describe('a way in and a way out with marks behind their names', () => {
  it('on two lines', () => {
    expect(wrongOf(([a, b]) => [`  ${a}`, `  ${b}`])).toEqual([]);
    expect(wrongOf(([a, b]) => [`  - ${a}`, `  - ${b}`])).toEqual([]);
    expect(wrongOf(([a, b]) => [a, b])).toEqual([]);
  });

  it.each(BETWEEN)('on one line, with "%s" between', (mark) => {
    const ways = WAYS.filter(([a]) => mark !== ' ' || !NEEDS_MARK.test(a));
    expect(ways.filter((way) => !isRead(way, [`  ${way[0]}${mark}${way[1]}`]))).toEqual([]);
  });

  it('in brackets', () => {
    const ways = WAYS.filter(([a]) => !/[()]/.test(a));
    expect(ways.filter((way) => !isRead(way, [`  (${way[0]}, ${way[1]})`]))).toEqual([]);
  });

  it('one way with its seconds keeps them by itself', () => {
    expect(movementOf(['  in: draw', '  out (6 s): release'])?.pattern.map(({ seconds }) => seconds)).toEqual([
      null,
      6,
    ]);
  });
});
