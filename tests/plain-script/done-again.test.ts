import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isMovement, performedSteps, stepsInOrder } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * Steps that are written once and done again on the other side, in as many ways as people have for it.
 */

const forms = (all: string): readonly string[] => all.split('|').map((one) => one.trim());
const TITLE = ['Morning - 20 min', '', 'Main set'];
const STEPS = ['- Bow x3', '- Press the wall x3', '- Sink 30 s'];
const NAMES = ['Rowing', 'Bow', 'Press the wall', 'Sink', 'Cloud hands'];

function read(lines: readonly string[]) {
  const { plan, lines: found } = readScript(countingIds('b'), lines.join('\n'));
  return { plan, found, steps: stepsInOrder(plan).map(({ step }) => step) };
}

/** Three of the five are one block, begun on a side; and are performed on that, then on the other. */
function expectBlock(lines: readonly string[], side = 'left'): void {
  const { plan, steps } = read(lines);
  expect(steps.map(({ name }) => name)).toEqual(NAMES);
  const [rowing, bow, press, sink, cloud] = steps.map(({ blockId }) => blockId);
  expect([rowing, cloud]).toEqual([null, null]);
  expect(bow).not.toBeNull();
  expect([press, sink]).toEqual([bow, bow]);
  for (const step of steps) if (isMovement(step)) expect(step.sides).toBe('together');
  const performed = performedSteps(plan).map(({ step, side: on }) => `${step.name} ${on ?? ''}`.trim());
  const other = side === 'left' ? 'right' : 'left';
  const pass = (on: string): string[] => ['Bow', 'Press the wall', 'Sink'].map((name) => `${name} ${on}`);
  expect(performed).toEqual(['Rowing', ...pass(side), ...pass(other), 'Cloud hands']);
}

describe('below the name of a side, up to a line that does it again', () => {
  const HEADS = forms(
    'On the left:|Left side:|Left side first:|Left first:|Left:|L:|On the left side:|Left leg forward:|Left foot forward:|With the left foot forward:|First on the left:|Left side|LEFT SIDE|Start on the left:|All on the left first:|On the left leg:',
  );
  const AGAIN = forms(
    'Same on the right|The same on the right.|Repeat on the right|Repeat on the right side|Then the same on the right|Then all on the right|Right side: same|Right side the same|Right: the same|Right: repeat|R: same|Repeat all on the other side|Repeat all of that on the other side|Now the other side: the same|Now all of that on the right|Switch sides and repeat|Change sides and repeat|Change legs, same again|Other side: same again|And the other side|Other side|Then the other side|Then the whole thing on the right|Everything again on the right|All again on the other side|Repeat the sequence on the right|Repeat these on the other side|All three again to the right|Repeat the three on the other side|Swap sides and do it all again|Now the right side, same again|RIGHT SIDE - SAME|(repeat on the right)|→ repeat right|Rpt R|Repeat R|Same R|Now right|Right side',
  );
  it.each(HEADS)('“%s”', (head) => {
    for (const again of ['Same on the right', 'Repeat on the right', 'Then the other side'])
      expectBlock([...TITLE, '- Rowing x8', '', head, ...STEPS, again, '', '- Cloud hands x6']);
  });
  it.each(AGAIN)('… “%s”', (again) => {
    for (const head of ['On the left:', 'Left side'])
      expectBlock([...TITLE, '- Rowing x8', '', head, ...STEPS, again, '', '- Cloud hands x6']);
  });

  it('begins on the right where that is named', () => {
    expectBlock([...TITLE, '- Rowing x8', 'On the right:', ...STEPS, 'Same on the left', '- Cloud hands x6'], 'right');
  });

  it('holds what is breathed and said in its steps', () => {
    const { steps } = read([...TITLE, 'On the left:', '1. Bow x3', '   in: rise', '   out: sink', '   Keep the knee soft.', '2. Press the wall x3', 'Same on the right.']); // prettier-ignore
    expect(steps.map(({ name, blockId }) => [name, blockId !== null])).toEqual([
      ['Bow', true],
      ['Press the wall', true],
    ]);
    expect(steps[0] && isMovement(steps[0]) ? steps[0].pattern.map(({ action }) => action) : []).toEqual(['rise', 'sink']); // prettier-ignore
  });

  it('holds the change of place that opens it', () => {
    const { steps } = read([...TITLE, '- Rowing x8', 'Left foot forward', '- Bow x3', '- Press the wall x3', 'Change feet and do it all again', '- Cloud hands x6']); // prettier-ignore
    expect(steps.map(({ name, kind, blockId }) => [name, kind, blockId !== null])).toEqual([
      ['Rowing', 'movement', false],
      ['Left foot forward', 'transition', true],
      ['Bow', 'movement', true],
      ['Press the wall', 'movement', true],
      ['Cloud hands', 'movement', false],
    ]);
  });

  it('is no block where nothing does it again', () => {
    const { plan, steps } = read([...TITLE, '- Rowing x8', '', 'Left side:', ...STEPS, '', 'Right side:', ...STEPS]);
    expect(steps.every(({ blockId }) => blockId === null)).toBe(true);
    expect(plan.sections.map(({ title }) => title)).toEqual(['Main set', 'Left side', 'Right side']);
  });

  it('with one step in it, is that step on both sides', () => {
    const { steps } = read([...TITLE, 'On the right:', '- Bow x3', 'Same on the left', '- Cloud hands x6']);
    expect(steps).toMatchObject([
      { name: 'Bow', sides: 'one-then-other', startSide: 'right', blockId: null },
      { name: 'Cloud hands' },
    ]);
  });
});

describe('a list under a line that says on each side', () => {
  const WRAPS = forms(
    'Each side:|On each side:|Both sides:|On both sides:|Do these on both sides:|All three on each side:|On the left, then all of it on the right:|Left, then the same right:|First left, then right:|Each leg:|On each leg:|Once on each side:|The following on each side:|Do this sequence on both sides:|One side, then the other:|These three on the left, then on the right:',
  );
  it.each(WRAPS)('“%s”', (head) => {
    expectBlock([...TITLE, '- Rowing x8', `- ${head}`, ...STEPS.map((step) => `  ${step}`), '- Cloud hands x6']);
    expectBlock([...TITLE, 'Rowing x8', '', head, ...STEPS, '', 'Closing', 'Cloud hands x6']);
  });

  it('begins on the side that is named first', () => {
    expectBlock([...TITLE, '- Rowing x8', '- Right, then left:', ...STEPS.map((step) => `  ${step}`), '- Cloud hands x6'], 'right'); // prettier-ignore
  });
});

describe('the last so many steps, or those by their numbers', () => {
  const LASTS = forms(
    'Repeat the last three on the other side|Repeat the last 3 on the other side|The last three again on the other side|Last three on the other side as well|Repeat 2-4 on the other side|Repeat 2 to 4 on the other side|Repeat exercises 2-4 on the other side|Repeat nos. 2-4 on the right|2-4 again on the other side|Now 2-4 on the other side|Same three on the other side|Do the last three on the other side too|Repeat steps 2-4, other side|Repeat these three on the other side|Do all three again on the other side|All three on the other side|Do 2, 3 and 4 on the other side as well|All three on both sides|Mirror the last three on the other side',
  );
  const NUMBERED = ['1. Rowing x8', '2. Bow x3', '3. Press the wall x3', '4. Sink 30 s'];
  it.each(LASTS)('“%s”', (again) => {
    expectBlock([...TITLE, ...NUMBERED, again, '5. Cloud hands x6']);
    expectBlock([...TITLE, ...NUMBERED, '', `- ${again}`, '', '5. Cloud hands x6']);
  });

  it.each(['Mirror both on the other side', '(both of these on both sides)', 'Both on each side'])('“%s”', (again) => {
    const { steps } = read([...TITLE, '- Rowing x8', '- Bow x3', '- Press the wall x3', again, '- Cloud hands x6']);
    expect(steps.map(({ name, blockId }) => [name, blockId !== null])).toEqual([
      ['Rowing', false],
      ['Bow', true],
      ['Press the wall', true],
      ['Cloud hands', false],
    ]);
  });

  it('all of a part is a guess', () => {
    const { found, steps } = read([...TITLE, ...STEPS, 'Repeat all of that on the other side', '', 'Closing', '- Cloud hands x6']); // prettier-ignore
    expect(found[6]).toMatchObject({ kind: 'setting', unsure: true, counts: { sides: 'one-then-other' } });
    expect(steps.map(({ blockId }) => blockId !== null)).toEqual([true, true, true, false]);
  });
});

describe('what is done on both sides otherwise', () => {
  it.each([
    ['Then the other side', 'one-then-other'],
    ['And the other leg.', 'one-then-other'],
    ['Both sides', 'alternating'],
  ])('“%s” is of the step above alone', (line, sides) => {
    const { steps } = read([...TITLE, '- Rowing x8', '- Bow x3', line, '- Cloud hands x6']);
    expect(steps).toMatchObject([
      { name: 'Rowing', sides: 'together', blockId: null },
      { name: 'Bow', sides, blockId: null },
      { name: 'Cloud hands', sides: 'together', blockId: null },
    ]);
  });

  it.each([
    'The other side of the room is warmer.',
    'Both feet stay on the floor.',
    'Let the left hand follow the right.',
    'Four steps to the left, four to the right.',
    'Repeat it in your own time.',
    'All the way to the right.',
    'The other three go to the left.',
    'All to the left',
    'Turn all the way to the other side.',
  ])('“%s” makes no block', (line) => {
    const { steps } = read([...TITLE, '- Rowing x8', '- Bow x3', `  ${line}`, '- Cloud hands x6']);
    expect(steps.every(({ blockId }) => blockId === null)).toBe(true);
  });
});
