import { describe, expect, it } from 'vitest';
import { isMovement } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/*
 * How a movement is breathed, a way in and a way out, in sixty-eight ways, below it and beside it: one movement with both,
 * in their order.
 */

const IN_FIRST = [
  'in up, out down',
  'in up / out down',
  'in: up, out: down',
  'In - up. Out - down.',
  'inhale up, exhale down',
  'inhale up / exhale down',
  'Inhale up; exhale down',
  'Inhale up. Exhale down.',
  'inhale: arms rise, exhale: arms sink',
  'Inhale as the arms rise, exhale as they sink',
  'inhale to lift, exhale to lower',
  'inhale lift exhale lower',
  'in=lift, out=lower',
  'in = up; out = down',
  'IN: up OUT: down',
  'IN up, OUT down',
  'breathe in up, breathe out down',
  'breathe in lifting, out lowering',
  'Breathe in as you lift and out as you lower',
  'breathe in on the way up, out on the way down',
  'in on the rise, out on the fall',
  'inhale on the lift, exhale on the press',
  'inhaling up, exhaling down',
  'up on the inhale, down on the exhale',
  'lift on the in breath, lower on the out breath',
  'rise with the inhale, sink with the exhale',
  'arms up (inhale), arms down (exhale)',
  'arms up (in), arms down (out)',
  'up - in, down - out',
  'raise: in, lower: out',
  'inh up exh down',
  'inh. up, exh. down',
  'i: up / e: down',
  'breath: in up, out down',
  'Breath: in to rise, out to sink',
  'Breathing: inhale up, exhale down',
  'breath in up, out down',
  'in-breath up, out-breath down',
  'in breath: up; out breath: down',
  '(in up, out down)',
  '(inhale up, exhale down)',
  '- inhale up, exhale down',
  'inhale, arms float up... exhale, arms float down',
  'Inhale up and exhale down',
  'Inhale up then exhale down',
  'On the inhale the arms rise, on the exhale they sink',
  'As you inhale raise the arms, as you exhale lower them',
  'Inhale – arms rise – exhale – arms sink',
  'In with the lift, out with the drop',
  'inhale when lifting, exhale when lowering',
  'lift up inhaling, lower exhaling',
  'Inhale raising the arms, exhale lowering the arms',
  'in thru the nose up, out thru the mouth down',
  'inhale (nose) up, exhale (mouth) down',
  'in 4 up, out 6 down',
  'inhale 4 counts up, exhale 6 counts down',
  'breathe IN = open, OUT = close',
  'open on in, close on out',
  'in/open, out/close',
  'in → open, out → close',
  'in -> open, out -> close',
];
const OUT_FIRST = [
  'out down, in up',
  'exhale down, inhale up',
  'Exhale as you push, inhale as you return',
  'exhale on the push, inhale on the pull',
  'out: push, in: back',
  'breathe out as you press, in as you come back',
  'push on the exhale, back on the inhale',
];
const FRAMES: Readonly<Record<string, (told: string) => readonly string[]>> = {
  below: (f) => ['Lifting the Water x8', f],
  inset: (f) => ['- Lifting the Water x8', `  - ${f}`],
  tab: (f) => [`Lifting the Water\tx8\t${f}`],
  dash: (f) => [`Lifting the Water x8 - ${f}`],
  comma: (f) => [`Lifting the Water x8, ${f}`],
  colon: (f) => [`Lifting the Water x8: ${f}`],
  brackets: (f) => [`Lifting the Water x8 (${f.replace(/[()]/g, '')})`],
  nameColon: (f) => [`Lifting the Water: ${f} x8`],
  sentence: (f) => [`Lifting the Water x8. ${f.charAt(0).toUpperCase()}${f.slice(1)}.`],
};

/** Of the ways, in each place. */
const WRONG_AT_MOST: Readonly<Record<string, number>> = { nameColon: 6 };

function breathedAs(lines: readonly string[]): string {
  const { plan } = readScript(countingIds('b'), ['Harbour class', '', 'Main', ...lines].join('\n'));
  return plan.sections
    .flatMap(({ steps }) => steps.filter(isMovement))
    .map((step) => `${step.name} ${step.rounds} ${step.pattern.map(({ kind }) => kind).join(' ')}`)
    .join('; ');
}

describe('a way in and a way out', () => {
  it.each(Object.entries(FRAMES))('%s', (place, written) => {
    const wrong = (told: readonly string[], ways: string): readonly string[] =>
      told.filter((one) => breathedAs(written(one)) !== `Lifting the Water 8 ${ways}`);
    const found = [...wrong(IN_FIRST, 'inhale exhale'), ...wrong(OUT_FIRST, 'exhale inhale')];
    expect(found.slice(WRONG_AT_MOST[place] ?? 0)).toEqual([]);
  });
});
