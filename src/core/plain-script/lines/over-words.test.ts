import { describe, expect, it } from 'vitest';
import { isMovement, isSilence, stepsInOrder } from '@/core/plan';
import { readScript } from '..';

let count = 0;
const newId = (): string => `o${++count}`;
const under = (head: string, line: string) => {
  const { plan, lines } = readScript(newId, `# Class\n## Main set\n${head}\n${line}`);
  const step = stepsInOrder(plan).map((one) => one.step)[0];
  const during = step && (isMovement(step) || isSilence(step)) ? step.during : [];
  return { during: during.map(({ on, number, text }) => [on, number, text]), last: lines.at(-1) };
};

describe('headings of two parts', () => {
  it.each(['Welcome + settling in', 'Warm-up & joints', 'Arrival / grounding'])('“%s”', (title) => {
    const { lines } = readScript(newId, `# Class\n${title}\n1. Rowing, 6 times`);
    expect(lines[1]).toMatchObject({ kind: 'section', words: title });
  });
});

describe('lines over the rounds in ordinary words', () => {
  it.each([
    ['Round 3: a little lower.', ['round', 3, 'a little lower.']],
    ['on round two - softer hands', ['round', 2, 'softer hands']],
    ['From round 4 on: only the breath.', ['round', 4, 'only the breath.']],
    ['- the second time: feel the feet', ['round', 2, 'feel the feet']],
    ['3rd round: eyes on the horizon', ['round', 3, 'eyes on the horizon']],
    ['every other round: knees', ['every', 2, 'knees']],
    ['Every third time – let go of the neck.', ['every', 3, 'let go of the neck.']],
    ['every breath: soft', ['every', 1, 'soft']],
    ['last two: slower', ['last', 2, 'slower']],
    ['The last round: as small as you like.', ['last', 1, 'as small as you like.']],
    ['after 20 seconds: look up', ['time', 20, 'look up']],
    ['halfway: nearly home', ['anywhere', 0, 'nearly home']],
    ['While they go: heavy elbows', ['anywhere', 0, 'heavy elbows']],
    ['On the third push, say: soften the elbows.', ['round', 3, 'soften the elbows.']],
    ['On the last two, close the eyes.', ['last', 2, 'Close the eyes.']],
    ['In round 2 remind them to breathe', ['round', 2, 'breathe']],
    ['After 3 rounds tell them to sink the shoulders', ['round', 4, 'sink the shoulders']],
    ['after the second lift, let the jaw hang', ['round', 3, 'let the jaw hang']],
    ['“Heavy shoulders” on the first one', ['round', 1, 'Heavy shoulders']],
  ])('“%s”', (line, wanted) => {
    const { during, last } = under('1. Rowing, 6 times', line);
    expect(during).toEqual([wanted]);
    expect(last).toMatchObject({ kind: 'said', unsure: false, text: line });
  });

  it.each([
    'Last one: closing the gate x3',
    'Round 3 is lovely.',
    'Round and round: slowly',
    'After tea: the form, x4',
  ])('“%s” is none', (line) => {
    expect(under('1. Rowing, 6 times', line).during).toEqual([]);
  });

  it('lie over a silence by their time alone', () => {
    expect(under('Stand quietly for two minutes', 'after a minute: still here').during).toEqual([
      ['time', 60, 'still here'],
    ]);
    expect(under('Stand quietly for two minutes', 'round 2: still here').during).toEqual([]);
  });
});
