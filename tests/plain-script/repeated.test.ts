import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isMovement, readPlan, stepsInOrder } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * Several steps that are done several times over, in as many words as people have for it. A class has no loops, so the
 * steps stand there as often; each time a guess.
 */

const forms = (all: string): readonly string[] => all.split('|').map((one) => one.trim());
const TITLE = ['Morning - 20 min', '', 'Main set'];
const NUMBERED = ['1. Rowing x8', '2. Bow x3', '3. Press the wall x3'];
const BOTH = ['Bow 3', 'Press the wall 3'];

function read(lines: readonly string[]) {
  const { plan, lines: found } = readScript(countingIds('d'), lines.join('\n'));
  expect(plan.sections.map(({ title }) => title)).toEqual(['Main set']);
  expect(readPlan(plan).ok).toBe(true);
  const steps = stepsInOrder(plan).map(({ step }) => `${step.name} ${isMovement(step) ? step.rounds : step.kind}`);
  return { steps, found };
}

describe('the steps above', () => {
  it.each(
    forms(
      'Repeat the last two|Repeat the last 2|The last two again|Repeat 2-3|Repeat 2 and 3|Repeat nos 2 and 3|Repeat these two|Do both again|Repeat both|Both again|Repeat exercises 2 and 3|Do the last two twice|Last two again|Repeat the last two once more|Do 2 and 3 again|2-3 again|Last two x2|Repeat the last two movements|Then the last two again',
    ),
  )('“%s”', (line) => {
    const { steps, found } = read([...TITLE, ...NUMBERED, line, '4. Cloud hands x6']);
    expect(steps).toEqual(['Rowing 8', ...BOTH, ...BOTH, 'Cloud hands 6']);
    expect(found[6]).toMatchObject({ kind: 'setting', unsure: true, counts: { rounds: 2 } });
  });

  it.each(
    forms(
      'Repeat all three|All three again|Repeat the whole set|The whole set again|Repeat all|Repeat everything|Do it all again|All again|Repeat the sequence|Repeat the set once more|From the top again|Repeat from the top|Again from the beginning|Do all three twice|Whole set twice|Repeat 1-3|The whole lot once more|Go through all of it again|Repeat all of the above|All of that again|Repeat circuit|x2 all',
    ),
  )('“%s”', (line) => {
    const all = ['Rowing 8', ...BOTH];
    expect(read([...TITLE, ...NUMBERED, line]).steps).toEqual([...all, ...all]);
  });

  it('so often as is said', () => {
    const { steps } = read([...TITLE, ...NUMBERED, 'Do the last two three times']);
    expect(steps).toEqual(['Rowing 8', ...BOTH, ...BOTH, ...BOTH]);
  });
});

describe('a list under a line that says how often', () => {
  it.each(
    forms(
      'Twice through:|Two rounds of:|Do this circuit twice:|2 rounds:|Repeat twice:|2x:|x2:|Two sets of:|Do the following twice:|Two times:|Do these twice:|Twice:|Two rounds:|2 sets:|Go through this twice:|The following 2x:|Two times through:',
    ),
  )('“%s”', (head) => {
    expect(
      read([...TITLE, '- Rowing x8', `- ${head}`, '  - Bow x3', '  - Press the wall x3', '- Cloud hands x6']).steps,
    ).toEqual(['Rowing 8', ...BOTH, ...BOTH, 'Cloud hands 6']);
    expect(read([...TITLE, 'Rowing x8', '', head, 'Bow x3', 'Press the wall x3']).steps).toEqual(['Rowing 8', ...BOTH, ...BOTH]); // prettier-ignore
  });
});

describe('steps in one line', () => {
  it.each(
    forms(
      '2 x (Bow x3, Press the wall x3)|2x (Bow x3, Press the wall x3)|2 x [Bow x3 + Press the wall x3]|(Bow x3, Press the wall x3) x2|(Bow x3, Press the wall x3) twice|Twice: Bow x3, Press the wall x3|Two rounds of: Bow x3, Press the wall x3|2 rounds: Bow x3, Press the wall x3|Bow x3, Press the wall x3 - twice through|Two times (Bow x3 + Press the wall x3)|2 rounds of Bow x3, Press the wall x3|2 sets: Bow x3, Press the wall x3|Bow x3, Press the wall x3, twice through|2x: Bow x3, Press the wall x3',
    ),
  )('“%s”', (line) => {
    const { steps, found } = read([...TITLE, '- Rowing x8', `- ${line}`, '- Cloud hands x6']);
    expect(steps).toEqual(['Rowing 8', ...BOTH, ...BOTH, 'Cloud hands 6']);
    expect(found[4]).toMatchObject({ unsure: true, steps: 4 });
  });
});

describe('what is no repeat of several steps', () => {
  it.each([
    'Repeat three times',
    'Repeat.',
    'And again',
    'Repeat it slowly.',
    'All the way up again.',
    'Three more',
    'Again, softer this time.',
    'Do it all again',
    'All again.',
  ])('“%s”', (line) => {
    const { plan } = readScript(countingIds('d'), [...TITLE, '- Rowing x8', '- Bow x3', `  ${line}`, '- Cloud hands x6'].join('\n')); // prettier-ignore
    expect(stepsInOrder(plan).map(({ step }) => step.name)).toEqual(['Rowing', 'Bow', 'Cloud hands']);
  });
});
