import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { stepsInOrder, type MovementStep, type Step } from '@/core/plan';
import { readScript, type LineKind } from '.';
import { findCounts } from './phrases/counts';

let count = 0;
const newId = (): string => `p${++count}`;

const PASTED = `Harbour morning

WELCOME
Good morning, and welcome to the hall.
Stay within seventy per cent.
(pause 5 s)

Warm up:
1. Shoulder circles, 5 each way
2. Shake out for a minute or so
- Feet apart, hip width

Main set
=========
3) Raising the lamp x6
   in: wrists rise
   out: wrists sink
4) Turning the lighthouse - 3 times each side, starting right
   Inhale as you turn, exhale as you come home.
5) Heron on the piling, four times on the left, then the right
   Breathe in, the knee floats up (hold 3 s)
   Breathe out, set it down.
6) Push the boat for two to three minutes
7) Sway in your own time for 90 seconds

Closing
Stand quietly for two minutes
Thank you for standing with me.`;

function stepsOf(text: string, put?: ReadonlyMap<number, LineKind>): Step[] {
  return stepsInOrder(readScript(newId, text, put).plan).map(({ step }) => step);
}

const movement = (steps: readonly Step[], name: string): MovementStep => {
  const step = steps.find((one) => one.name === name);
  if (step?.kind !== 'movement')
    throw new Error(`no movement ${name} among ${steps.map((one) => one.name).join(', ')}`);
  return step;
};

describe('a pasted script', () => {
  const { plan, lines } = readScript(newId, PASTED);
  const steps = stepsInOrder(plan).map(({ step }) => step);

  it('finds the title, the sections and their parts in a class', () => {
    expect(plan.title).toBe('Harbour morning');
    expect(plan.sections.map(({ title, role }) => [title, role])).toEqual([
      ['WELCOME', 'welcome'],
      ['Warm up', 'loosening'],
      ['Main set', 'main'],
      ['Closing', 'closing'],
    ]);
  });

  it('reads counts, sides and times', () => {
    expect(movement(steps, 'Shoulder circles')).toMatchObject({
      sides: 'both-directions',
      rounds: 5,
      preferredRounds: 5,
    });
    expect(movement(steps, 'Shake out')).toMatchObject({ pacedBy: 'clock', preferredSeconds: 60 });
    expect(movement(steps, 'Raising the lamp')).toMatchObject({ sides: 'together', rounds: 6 });
    expect(movement(steps, 'Turning the lighthouse')).toMatchObject({
      sides: 'alternating',
      rounds: 3,
      startSide: 'right',
    });
    expect(movement(steps, 'Heron on the piling')).toMatchObject({ sides: 'one-then-other', rounds: 4 });
    expect(movement(steps, 'Push the boat')).toMatchObject({
      pacedBy: 'clock',
      minSeconds: 120,
      preferredSeconds: 150,
      maxSeconds: 180,
    });
    expect(movement(steps, 'Sway')).toMatchObject({ pacedBy: 'own-pace', preferredSeconds: 90 });
  });

  it('reads breaths, holds and what is said', () => {
    const lamp = movement(steps, 'Raising the lamp');
    expect(lamp.pattern.map(({ kind, action, full }) => [kind, action, full])).toEqual([
      ['inhale', 'wrists rise', 'In, wrists rise.'],
      ['exhale', 'wrists sink', 'Out, wrists sink.'],
    ]);
    const turning = movement(steps, 'Turning the lighthouse');
    expect(turning.pattern.map(({ kind, full }) => [kind, full])).toEqual([
      ['inhale', 'Inhale as you turn.'],
      ['exhale', 'Exhale as you come home.'],
    ]);
    const heron = movement(steps, 'Heron on the piling');
    expect(heron.pattern.map(({ kind, seconds }) => [kind, seconds])).toEqual([['inhale', null], ['hold', 3], ['exhale', null]]); // prettier-ignore
    expect(steps[0]).toMatchObject({ kind: 'talk', lines: [{ pauseSeconds: 1.5 }, { pauseSeconds: 5 }] });
  });

  it('knows quiets and changes of feet', () => {
    expect(steps.find((step) => step.kind === 'transition')?.name).toBe('Feet apart, hip width');
    expect(steps.find((step) => step.kind === 'silence')).toMatchObject({ name: 'Stand quietly', seconds: 120 });
  });

  it('says of each line how it was taken, in order', () => {
    expect(lines).toHaveLength(PASTED.split('\n').length);
    expect(lines.map((line) => line.number)).toEqual(lines.map((_, index) => index + 1));
    expect(itemAt(lines, 0).kind).toBe('title');
    expect(lines.filter((line) => line.kind === 'movement')).toHaveLength(7);
  });

  it('takes a line as a person puts it', () => {
    const text = 'Evening\n\n## Main\nLet the arms hang';
    expect(stepsOf(text)[0]).toMatchObject({ kind: 'talk' });
    expect(itemAt(readScript(newId, text).lines, 3).unsure).toBe(true);
    expect(stepsOf(text, new Map([[4, 'movement']]))[0]).toMatchObject({ kind: 'movement', name: 'Let the arms hang' });
    expect(stepsOf(text, new Map([[4, 'nothing']]))).toEqual([]);
  });

  it('makes a class of anything at all', () => {
    for (const text of [
      '',
      '\n\n',
      '<script>alert(1)</script>',
      '###### ######',
      ')))(((',
      'x'.repeat(100_000),
      '- '.repeat(2000),
    ]) {
      expect(readScript(newId, text).plan.sections.length, text.slice(0, 20)).toBeGreaterThan(0);
    }
  });
});

describe('counts in ordinary writing', () => {
  it.each([
    ['three times', { rounds: 3 }, ''],
    ['Lift x 6', { rounds: 6 }, 'Lift'],
    ['Lift (6x)', { rounds: 6 }, 'Lift'],
    ['Lift, 9 rounds', { rounds: 9 }, 'Lift'],
    ['Sweep 5 each way', { rounds: 5, sides: 'both-directions' }, 'Sweep'],
    ['Bow 3 times each side', { rounds: 3, sides: 'alternating' }, 'Bow'],
    ['Bow on each side', { sides: 'alternating' }, 'Bow'],
    ['Stand for two minutes', { seconds: [120, 90, 180] }, 'Stand'],
    ['Stand 20 s', { seconds: [20, 15, 30] }, 'Stand'],
    ['Stand one minute and a half', { seconds: [90, 68, 135] }, 'Stand'],
    ['Nine winds', {}, 'Nine winds'],
    ['Embrace the moon', {}, 'Embrace the moon'],
  ])('%s', (text, counts, rest) => {
    expect(findCounts(text)).toMatchObject({ counts, rest });
    expect(Object.keys(findCounts(text).counts)).toEqual(Object.keys(counts));
  });
});

describe('what stands around a script', () => {
  const kindsOf = (text: string): (readonly [LineKind, string])[] =>
    readScript(newId, text).lines.map(({ kind, words }) => [kind, words]);

  it('is an e-mail’s mark, an arrow, a tick box or a small picture', () => {
    expect(
      kindsOf('Harbour morning\n> shake, 1 min\n> rest 15 s\n[ ] Rowing x6\n☐ Bow x2\n🐻 Bear sway, 1 min'),
    ).toEqual([
      ['title', 'Harbour morning'],
      ['movement', 'shake'],
      ['pause', 'Rest'],
      ['movement', 'Rowing'],
      ['movement', 'Bow'],
      ['movement', 'Bear sway'],
    ]);
  });

  it('keeps a said line of the tidy form said', () => {
    expect(kindsOf('# Harbour\n## Main set\n> shake, 1 min')[2]).toEqual(['said', 'shake, 1 min']);
  });

  it('is from when to when a line goes, which is its time where it has none', () => {
    const { lines } = readScript(
      newId,
      'Harbour\n0:00-2:00 Welcome\n2:00–6:30 Sway\n7-9 min: Bow x4\n0-10 min Main set',
    );
    expect(lines.map(({ kind, words, counts }) => [kind, words, counts])).toEqual([
      ['title', 'Harbour', {}],
      ['talk', 'Welcome', { seconds: [120, 90, 180] }],
      ['movement', 'Sway', { seconds: [270, 203, 405] }],
      ['movement', 'Bow', { rounds: 4 }],
      ['section', 'Main set', { seconds: [600, 450, 900] }],
    ]);
  });

  it('is a table with its rows numbered, its head and its rule', () => {
    const table = '| # | What | How many |\n|---|---|---|\n| 1 | Lift the lid | 8 |\n| 2 | Pause | 15 s |';
    expect(kindsOf(`Harbour\n${table}`)).toEqual([
      ['title', 'Harbour'],
      ['nothing', ''],
      ['nothing', ''],
      ['movement', 'Lift the lid'],
      ['pause', ''],
    ]);
  });

  it('is an outline, whose upper numbers name parts', () => {
    expect(
      kindsOf('Harbour\nII. Preparing (8 min.)\n  a) neck, 4 times\n  b) sinking\nIII. The set\n  a) rowing x6'),
    ).toEqual([
      ['title', 'Harbour'],
      ['section', 'Preparing'],
      ['movement', 'neck'],
      ['movement', 'sinking'],
      ['section', 'The set'],
      ['movement', 'rowing'],
    ]);
  });

  it('is a list without marks, further in than its head', () => {
    const list = 'The first forms, 3 repetitions each:\n   Commencing\n   Broadening the chest\nThey sit for the last.';
    expect(kindsOf(`Harbour\n${list}`).slice(2)).toEqual([
      ['movement', 'Commencing'],
      ['movement', 'Broadening the chest'],
      ['said', 'They sit for the last.'],
    ]);
  });

  it('is what ends a silence, and is not said into it', () => {
    const steps = stepsOf('Harbour\nStand quietly for two minutes\nFeel the feet.\nThank you, see you tomorrow');
    expect(steps.map(({ kind }) => kind)).toEqual(['silence', 'talk']);
  });
});

describe('a breath in counts', () => {
  it('is the class’s above the first step, and a movement’s own under it', () => {
    const { plan } = readScript(
      newId,
      'Harbour\nbreathe in 4, out 6\n1. Rowing x6\n2. Bow x3, 6 in / 9 out\n3. Wave x3\n   inhale for three, exhale for five',
    );
    expect(plan.pace).toMatchObject({ breathSeconds: 10, inhaleShare: 0.4, closingInhaleShare: 0.4 });
    const own = stepsInOrder(plan).map(
      ({ step }) => step.kind === 'movement' && [step.paceMultiplier, step.inhaleShare],
    );
    expect(own).toEqual([
      [1, null],
      [1.5, 0.4],
      [0.8, 0.38],
    ]);
  });

  it('is none where something else is counted, or where nobody breathes so', () => {
    for (const line of ['Rowing, in 4, out 6 times', 'Rowing, in 1 out 1', 'Rowing, in 40 out 60', 'Row in line 4'])
      expect(findCounts(line).counts).not.toHaveProperty('breath');
  });
});

describe('pauses as people write them', () => {
  const lineOf = (text: string) => readScript(newId, `# Class\n## Main set\nStand here.\n${text}`).lines[3];

  it.each([
    ['(pause 20 s)', 20],
    ['pause 5', 5],
    ['Pause: 300', 300],
    ['pause, half a minute', 30],
    ['pause for half a minute', 30],
    ['a long pause (25 secs)', 25],
    ['10 s of nothing', 10],
    ['(20 s)', 20],
    ['[pause 12 s]', 12],
    ['give them 15 seconds', 15],
    ['breather, 40 s', 40],
    ['wait 5 s before the next', 5],
    ['gap 8 s', 8],
    ['30 s of quiet', 30],
    ['Between the sides: pause 6 s', 6],
    ['Hands down, then wait 4 s', 4],
  ])('“%s” is %d seconds', (text, seconds) => {
    expect(lineOf(text)).toMatchObject({ kind: 'pause', counts: { seconds: [seconds, seconds, seconds] } });
  });

  it.each([
    'pause 301',
    'pause 6 minutes',
    'Pause the arms 3 times',
    'wait for me',
    'nothing hurts here',
    'a break on Monday',
  ])('“%s” is none', (text) => {
    expect(lineOf(text)?.kind).not.toBe('pause');
  });
});

describe('several steps in one line', () => {
  const namesOf = (line: string) =>
    stepsOf(`Harbour\n## Main set\n${line}`).map((step) =>
      step.kind === 'movement' ? [step.name, step.pacedBy === 'breath' ? step.rounds : step.seconds] : [step.kind],
    );

  it.each([
    [
      'neck nods 6, neck turns 8',
      [
        ['neck nods', 6],
        ['neck turns', 8],
      ],
    ],
    [
      '- arms 30 s, legs 20 s, belly 1 min',
      [
        ['arms', 30],
        ['legs', 20],
        ['belly', 60],
      ],
    ],
    [
      'Push the boat x6 + pull the rope x4',
      [
        ['Push the boat', 6],
        ['Pull the rope', 4],
      ],
    ],
    [
      'Sinking 4 times, then rising three times',
      [
        ['Sinking', 4],
        ['Rising', 3],
      ],
    ],
  ] as const)('“%s”', (line, wanted) => {
    expect(namesOf(line)).toEqual(wanted);
    const { lines } = readScript(newId, `# Harbour\n## Main set\n${line}`);
    expect(lines[2]).toMatchObject({ kind: 'movement', unsure: true, steps: wanted.length });
  });

  it.each([
    'Bow, 5 forward, 5 back',
    'Row x6, hold 3 s',
    'Sway 1 min, eyes closed',
    'Heron, 4 left, 4 right',
    'Crane, 4 times, low',
  ])('“%s” is one', (line) => {
    expect(namesOf(line)).toHaveLength(1);
  });
});

describe('a step that is done again on the other side', () => {
  it('is one step on both sides, which takes as long again where it goes by time', () => {
    const steps = stepsOf(
      'Harbour\n## Set\n1. Post, hold 40 s\nDo the same on the other leg.\n2. Bow x4\nThe other side too.\n3. Sway 1 min, alternating\nAnd the other side.',
    );
    expect(movement(steps, 'Post')).toMatchObject({ sides: 'one-then-other', pacedBy: 'held', seconds: 80 });
    expect(movement(steps, 'Bow')).toMatchObject({ sides: 'one-then-other', rounds: 4 });
    // What was by turns had both sides in its time already.
    expect(movement(steps, 'Sway').seconds).toBe(60);
    expect(steps).toHaveLength(3);
  });
});

describe('a length behind the first words that are said', () => {
  const targetOf = (line: string) => readScript(newId, `Tide class\nGood morning.\n${line}`).plan.targetSeconds;

  it('is that of the class, unless it is too short for one', () => {
    expect(targetOf('Duration: 24 minutes')).toBe(1440);
    // It is about as long as its talk, then.
    expect(targetOf('Duration: 2 minutes')).toBe(120);
    expect(readScript(newId, 'Tide class\nDuration: 2 minutes').plan.targetSeconds).toBe(120);
  });
});
