import { describe, expect, it } from 'vitest';
import { countingIds } from '../../../tests/support/chance';
import { readScript } from './read';

/** A line below a title, as kind, words and amounts; the unsure with a question mark. */
function read(...lines: string[]): string[] {
  return readScript(countingIds('o'), ['# Harbour class', ...lines].join('\n').replace('# ', ''))
    .lines.slice(1)
    .map(({ kind, words, counts, unsure }) => {
      const { rounds, seconds, sides, ownPace } = counts;
      const amounts = [rounds, seconds && `${seconds[0]} s`, sides, ownPace && 'own'].filter(
        (one) => one !== undefined,
      );
      return [`${kind}${unsure ? '?' : ''}`, words, ...amounts].join(' | ');
    });
}
const one = (line: string): string => read(line)[0] ?? '';

describe('amounts in ordinary writing', () => {
  it.each([
    ['Lift the kettle; six; slow.', 'movement? | Lift the kettle | 6'],
    ['Stand 2\'30", eyes closed', 'silence | Stand, eyes closed | 150 s'],
    ['Low post, not less than sixty seconds, not more than ninety', 'movement | Low post | 75 s'],
    ['Rolling the barrel, eight away from you and eight towards you', 'movement | Rolling the barrel | 8 | both-directions'], // prettier-ignore
    ['The tiger, six then six other side', 'movement | The tiger | 6 | one-then-other'],
    ['Wipe the table, ten, change direction, ten', 'movement | Wipe the table | 10 | both-directions'],
    ['Side steps: 4 R, 4 L, repeat x3', 'movement | Side steps | 12 | one-then-other'],
    ['Swinging drum, a hundred swings', 'movement | Swinging drum | 100'],
    ['The moon, thrice to every side', 'movement | The moon | 3 | alternating'],
    ['Planting seeds, once per breath for ten breaths', 'movement | Planting seeds | 10'],
    ['Gulls wheel, free, 2 min', 'movement | Gulls wheel | 120 s | own'],
    ['Mend the nets, at least 3 times', 'movement | Mend the nets | 3'],
    ['Collect the nets, at least 3 times', 'movement | Collect the nets | 3'],
    ['Row home 8r', 'movement | Row home | 8'],
    ['push the sea 4L 4R', 'movement | push the sea | 4 | one-then-other'],
    ['stand 1', 'silence? | stand | 60 s'],
    ['Sit on your towel, 4 min', 'silence? | Sit on your towel | 240 s'],
    ['Standing pillar, 90 secs', 'movement | Standing pillar | 90 s'],
    ['Standing quietly, 90 secs', 'silence | Standing quietly | 90 s'],
    ['(optional) pause, 15 s', 'pause |  | 15 s'],
    ['After this comes a movement that I call Turning the Pages, ten times.', 'movement? | Turning the Pages | 10'], // prettier-ignore
    ['Sitting - 5 min, bell at the end', 'silence | Sitting | 300 s'],
    ['Cloud hands 10', 'movement | Cloud hands | 10'],
    ['both together, no words', 'movement? | both together | own'],
    ['Warm-up: hip circles, 6 each direction', 'movement | hip circles | 6 | both-directions'],
  ])('are found: %s', (line, meant) => {
    expect(one(line)).toBe(meant);
  });

  it('are of each of several movements that are named before one of them', () => {
    const { plan } = readScript(countingIds('o'), 'Harbour class\nLoosening: arms, hips, ankles, 1 min each');
    const steps = plan.sections.flatMap((section) => section.steps);
    expect(steps.map((step) => step.kind === 'movement' && [step.name, step.seconds])).toEqual(
      ['arms', 'hips', 'ankles'].map((name) => [name, 60]),
    );
    expect(one('Ankle and knee circles, 8 each')).toMatch(/^movement\?? \| Ankle and knee circles \| 8/);
    expect(one('Push left 6, push right 6')).toMatch(/\| 6 \|/);
  });

  it('tell of the class where a sentence does', () => {
    expect(one('We’ve got the hall for 45 minutes.')).toBe('setting? |  | 2700 s');
    expect(one('happy to share. It’s 30 minutes and goes like this.')).toBe('setting? |  | 1800 s');
    expect(one('15 min, all seated')).toBe('setting? |  | 900 s');
    expect(one('Total 25 mins')).toBe('setting? |  | 1500 s');
    expect(one('It lasts thirty minutes if nobody is late.')).toBe('setting? |  | 1800 s');
    expect(read('Haul the rope, 8 times', 'no more than 22 min in all!')[1]).toMatch(/^said\? \| no more/);
  });

  it('are from one time to the next where a column of them climbs', () => {
    expect(read('0:00 Hello all', '0:30 Shake it loose', '2:30 Stand and breathe', '4:00 Bow, 6x')).toEqual([
      'said? | Hello all',
      'movement? | Shake it loose | 120 s',
      'silence? | Stand and breathe | 90 s',
      'movement | Bow | 6',
    ]);
    expect(one('0:30 Shake it loose')).toMatch(/^said/);
  });

  it('are found past slips of the fingers in the words around them', () => {
    expect(one('stnad still for a minuet')).toBe('silence | stnad still | 60 s');
    expect(one('Sand castle, 2 min')).toBe('movement | Sand castle | 120 s');
    expect(one('at your onw pace: sway, 90 secs')).toMatch(/sway \| 90 s \| own$/);
    expect(read('Lift the lamp, 6x', 'braethe in: lamp up')[1]).toMatch(/^inhale/);
  });

  it('stand before the name where other lines have a unit there', () => {
    expect(read('3 min – marching', '4x – bends', '8 – pulling the rope')[2]).toBe('movement | pulling the rope | 8');
    expect(read('1 Wake the crane x8', '2 Look back x3', '3 Sit 2 min')[0]).toBe('movement | Wake the crane | 8');
    expect(read('Main;Lifting;7x;slow', 'Main;Coiling;5x;low', 'Main;Rowing;9x;wide')[2]).toBe('movement | Rowing | 9');
  });

  it('stand in the class where the first line begins with them, and name no title', () => {
    const { plan, lines } = readScript(countingIds('o'), '0:00-2:00 Shake\n2:00-6:00 Swing');
    expect(lines.map(({ kind, counts }) => [kind, counts.seconds?.[0]])).toEqual([
      ['movement', 120],
      ['movement', 240],
    ]);
    expect(plan.title).toBe('New class');
  });

  it('name the length of a class that is told by the times of day', () => {
    const { plan } = readScript(countingIds('o'), 'Sunday lawn, 09:00-09:40\nSwing 8x');
    expect([plan.title, plan.targetSeconds]).toEqual(['Sunday lawn', 2400]);
  });
});

describe('the top of a script', () => {
  const top = (...lines: string[]): unknown[] => {
    const { plan } = readScript(countingIds('o'), lines.join('\n'));
    return [plan.title, plan.targetSeconds];
  };

  it('has its title behind a label, between stars, or below the head of a letter', () => {
    expect(top('Title: Rope walk', 'Length: 22 min')).toEqual(['Rope walk', 1320]);
    expect(top('* Class for new members, 18 min *', '- swing 8x')).toEqual(['Class for new members', 1080]);
    expect(top('From: Anke', 'To: all', 'Subject: Thursday (30 min)', 'Dear all,')).toEqual(['Thursday', 1800]);
    expect(top('weds noon / 20', 'swing 8x')).toEqual(['weds noon', 1200]);
  });

  it('has its length behind a stroke or a dash', () => {
    expect(top('Ferry crew stretch | 10 minutes')).toEqual(['Ferry crew stretch', 600]);
    expect(top('mon pm - 20')).toEqual(['mon pm', 1200]);
    expect(top('Sunrise - 10')).not.toEqual(['Sunrise', 600]);
    expect(top('Bowing - 10')).not.toEqual(['Bowing', 600]);
  });

  it('stays whole where a sentence tells of the class', () => {
    expect(top("Here's how I'd run the 25 minutes on Sunday.", 'swing 8x')).toEqual([
      "Here's how I'd run the 25 minutes on Sunday",
      1500,
    ]);
    expect(top('The Friday class, as I teach it.', 'swing 8x')[0]).toBe('The Friday class, as I teach it');
    // What is done for two minutes is no class.
    expect(top('First I get them to settle for two minutes', 'swing 8x')[0]).toBe('New class');
  });

  it('names nothing where it is longer than any title, and is not looked through', () => {
    expect(top(`Title: ${'-'.repeat(100_000)}a`)).toEqual(['New class', 10]);
  });
});

describe('lists in lists', () => {
  const kinds = (...lines: string[]): string[] => read(...lines).map((line) => line.replace(/ \|.*$/, ''));

  it('are headed in small letters as well', () => {
    expect(kinds('- main part', '  - Row home, 8 times', '  - Bow, 4 times', '- the rest is talk')).toEqual([
      'section',
      'movement',
      'movement',
      expect.not.stringContaining('section'),
    ]);
  });

  it('are headed by what has steps further in, and by nothing that has remarks there', () => {
    expect(kinds('• Loosening', '  • Turn the wrists, 8x', '  • Shake, 30 s', '• Main part', '  • Row x 8')).toEqual([
      'section', 'movement', 'movement', 'section', 'movement',
    ]); // prettier-ignore
    expect(kinds('• Row the boat', '  • inhale: pull', '  • exhale: lean', '  • 8 times')[0]).toMatch(/^movement/);
  });

  it('are steps where one has the number after the other, also by the name of a part', () => {
    expect(kinds('1. Settling (one minute)', '2. Opening the gate, 8 repetitions')[0]).toBe('silence');
    expect(kinds('1. Settling (one minute)', '- swing 8x')[0]).toBe('section');
  });
});

describe('a table', () => {
  const TABLE = [
    '| Part | Exercise | Reps/Time | Cue |',
    '|---|---|---|---|',
    '| Warm up | Swing | 1 min | loose |',
    '| | Neck turns | 5 L/R | slow |',
    '| Main | Row home | 8 | in up, out down |',
    '| Main | Bow | 4 each | left first |',
  ];

  it('has steps in its rows, in the parts that its first column names, and none in its head', () => {
    const { lines, plan } = readScript(countingIds('o'), TABLE.join('\n'));
    expect(lines.map(({ kind, words }) => [kind, words])).toEqual([
      ['nothing', ''],
      ['nothing', ''],
      ['movement', 'Swing'],
      ['movement', 'Neck turns'],
      ['movement', 'Row home'],
      ['movement', 'Bow'],
    ]);
    expect(plan.sections.map(({ title, steps }) => [title, steps.length])).toEqual([
      ['Warm up', 2],
      ['Main', 2],
    ]);
  });
});

describe('a line put right', () => {
  it('keeps its own name and amounts where its row names a part as well', () => {
    const rows = '| Warm up | Swing | 1 min |\n| Main | Bow | 4 |\n| Main | Row | 6 |';
    const { lines, plan } = readScript(countingIds('o'), rows, new Map([[1, 'silence']]));
    expect(lines[0]).toMatchObject({ kind: 'silence', words: 'Swing', counts: { seconds: [60, 45, 90] } });
    expect(plan.sections[0]?.steps[0]).toMatchObject({ kind: 'silence', name: 'Swing' });
  });
});

describe('what is said', () => {
  it('stays in words where it is a number alone, and heads nothing above a rule', () => {
    expect(read('Row x6', 'Three.', 'Two')[2]).toMatch(/\| Two$/);
    const apart = ['Quay', '', 'Row x6', '', 'Slow and easy, please.', '', '---', '', 'Bow x4', '', 'Sway 1 min', '', 'Sit 2 min', '', 'Bye']; // prettier-ignore
    const { lines } = readScript(countingIds('o'), apart.join('\n'));
    expect(lines[4]).toMatchObject({ kind: 'said' });
    expect(read('Row x6', 'in 4, hold 2, out 6')[1]).toMatch(/^setting/);
  });
});

describe('what is no movement', () => {
  it('is a pause of the step above, or a silence before any step', () => {
    expect(read('Swing 8x', 'Water break (1 min)')[1]).toBe('pause | Water break | 60 s');
    expect(read('Swing 8x', 'Give me a short rest of fifteen seconds here.')[1]).toBe('pause? |  | 15 s');
    expect(read('Swing 8x', 'A short rest of twenty seconds follows.')[1]).toBe('pause |  | 20 s');
    expect(read('Swing 8x', 'Silence, 1 minute')[1]).toBe('silence | Silence | 60 s');
    const { lines } = readScript(countingIds('o'), 'Harbour class\nSwing 8x\nSilence (1-2 min)');
    expect(lines.at(-1)).toMatchObject({ kind: 'silence', counts: { seconds: [90, 60, 120] } });
    expect(read('Swing 8x', '(in your own time)')[1]).toBe('setting |  | own');
    expect(one('Please begin with a minute of silence.')).toBe('silence? | Silence | 60 s');
  });

  it.each([
    ['breather - half a minute, nobody talks', 'silence'],
    ['Everybody finds a quiet place and stands there, three minutes', 'silence'],
    ['three minutes hush', 'silence'],
    ['down to sitting', 'transition'],
    ['whoever falls in makes the tea', 'said'],
    ['end 12:20', 'said'],
    ['Part one, getting warm', 'section'],
  ])('is told: %s', (line, kind) => {
    expect(one(line).split(/[?]? \|/)[0]).toBe(kind);
  });
});

describe('what is written below a step', () => {
  const stepOf = (...lines: string[]) =>
    readScript(countingIds('b'), ['Hall class', ...lines].join('\n')).plan.sections[0]?.steps[0];

  it('gives its own pace a time, and calls back where two rounds are left', () => {
    expect(stepOf('Free choice, own pace', 'Time: 1:30')).toMatchObject({ pacedBy: 'own-pace', seconds: 90 });
    expect(stepOf('Rowing x6', 'Call back: two more, then hands down')).toMatchObject({
      moments: { roundsLeft: 'two more, then hands down' },
      lastRoundLine: 'Last one.',
    });
  });
});
