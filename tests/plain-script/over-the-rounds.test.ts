import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isMovement, stepsInOrder } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * A line on chosen rounds, at a time, or somewhere in a step, in as many ways as people have for it; below the breath of
 * the movement, and below nothing but its name.
 */

interface Places {
  readonly step: string;
  readonly said: string;
  readonly at: readonly [on: string, number: number];
  readonly forms: readonly string[];
}

const forms = (all: string): readonly string[] => all.split('|').map((one) => one.trim());

const ALL: Readonly<Record<string, Places>> = {
  'on the third round': {
    step: 'Rowing x8',
    said: 'a little lower',
    at: ['round', 3],
    forms: forms(
      'round 3: a little lower|Round three - a little lower|R3: a little lower|rd 3: a little lower|rnd 3 – a little lower|rep 3: a little lower|on rep 3, a little lower|on the 3rd: a little lower|3rd one: a little lower|third time: a little lower|on the third round a little lower|on the third round say a little lower|on the third, say “a little lower”|(3rd: a little lower)|(round 3: a little lower)|[round 3] a little lower|(round 3) a little lower|round 3 → a little lower|round 3 -> a little lower|at round 3: a little lower|during round 3: a little lower|@3: a little lower|@ round 3: a little lower|round 3 say: a little lower|say on round 3: a little lower|“a little lower” (round 3)|a little lower (round 3)|a little lower - round 3|a little lower on round 3|a little lower on the third|a little lower on the third round|a little lower in round 3|cue on 3: a little lower|when we get to the third: a little lower|third round: a little lower|in the third round: a little lower|round 3/8: a little lower|round 3 of 8: a little lower|after two rounds: a little lower|after 2: a little lower|after two: a little lower|after the second: a little lower|round 3 = a little lower|Round 3. a little lower|Round 3. A little lower.|breath 3: a little lower|3rd breath: a little lower|by round 3: a little lower|on 3: a little lower|3rd round - say: a little lower|round 3, a little lower|round 3; a little lower|round 3—a little lower|round 3 (say): a little lower|add on round 3: a little lower|third go: a little lower|ROUND 3: a little lower|- round 3: a little lower|* on the third: a little lower|cue (round 3): a little lower|say (3rd round): a little lower',
    ),
  },
  'on the last': {
    step: 'Rowing x8',
    said: 'close the eyes',
    at: ['last', 1],
    forms: forms(
      'last one: close the eyes|last round: close the eyes|final round: close the eyes|on the last: close the eyes|the last time: close the eyes|for the last one close the eyes|for the last one, close the eyes|final one - close the eyes|very last: close the eyes|close the eyes on the last one|close the eyes for the last one|close the eyes (last one)|“close the eyes” on the last|“close the eyes” on the last one|at the last round: close the eyes|last rep – close the eyes|last time: close the eyes|on the final round: close the eyes|last go: close the eyes|(last one: close the eyes)|[last round] close the eyes|last → close the eyes|in the last round close the eyes|with the last one: close the eyes|close the eyes in the last round|last breath: close the eyes',
    ),
  },
  'on the last two': {
    step: 'Rowing x8',
    said: 'close the eyes',
    at: ['last', 2],
    forms: forms(
      'last two: close the eyes|last 2: close the eyes|last two rounds: close the eyes|final two: close the eyes|final two rounds - close the eyes|for the last two: close the eyes|on the last two, close the eyes|the last two: close the eyes|last couple: close the eyes|last couple of rounds: close the eyes|close the eyes for the last two|close the eyes (last two)|close the eyes on the last two|during the last two rounds: close the eyes|last 2 reps - close the eyes|last two times: close the eyes|last 2x: close the eyes|last two breaths: close the eyes|for the last two rounds close the eyes|[last 2] close the eyes|(last two rounds) close the eyes|with two to go: close the eyes|two to go: close the eyes|2 left: close the eyes',
    ),
  },
  'on every second round': {
    step: 'Rowing x8',
    said: 'look up',
    at: ['every', 2],
    forms: forms(
      'every other round: look up|every second round: look up|every 2nd: look up|every 2nd round - look up|every other one: look up|every two rounds: look up|each second round: look up|on every other: look up|on every other round: look up|alternate rounds: look up|every other time, look up|every other time: look up|look up every other time|look up (every other round)|look up every second round|every other: look up|every 2 rounds: look up|every second time look up|every other breath: look up|every second one – look up',
    ),
  },
  'on every round': {
    step: 'Rowing x8',
    said: 'look up',
    at: ['every', 1],
    forms: forms(
      'every round: look up|each round: look up|each time: look up|every time: look up|on each round: look up|each rep: look up|look up (each round)|every single round: look up|on every round: look up|with each round: look up|each one: look up|each go: look up|every rep - look up|on each: look up|each breath: look up',
    ),
  },
  'after a minute': {
    step: 'Rowing 3 min',
    said: 'close the eyes',
    at: ['time', 60],
    forms: forms(
      'after a minute: close the eyes|at 1 min: close the eyes|after 60 s: close the eyes|after one minute, close the eyes|after 1 min: close the eyes|1 min in: close the eyes|one minute in – close the eyes|@1:00 close the eyes|@1 min: close the eyes|at 1:00: close the eyes|at 1:00 close the eyes|close the eyes after a minute|close the eyes after one minute|close the eyes (after 1 min)|a minute in: close the eyes|after a minute say: close the eyes|after a minute, say “close the eyes”|after about a minute: close the eyes|+1:00 close the eyes|at one minute: close the eyes|60 s in: close the eyes',
    ),
  },
  'half a minute before the end': {
    step: 'Rowing 3 min',
    said: 'slow down',
    at: ['time', 150],
    forms: forms(
      'last 30 s: slow down|for the last 30 seconds: slow down|last half minute – slow down|30 s before the end: slow down|with 30 s to go: slow down|30 seconds left: slow down|final 30 s: slow down|in the last 30 s: slow down|last 30 seconds slow down|half a minute before the end: slow down|slow down for the last 30 s|slow down (last 30 s)|30 s to go: slow down|at 2:30: slow down|after 2.5 min: slow down',
    ),
  },
  'somewhere in it': {
    step: 'Rowing x8',
    said: 'soft elbows',
    at: ['anywhere', 0],
    forms: forms(
      'halfway: soft elbows|half way: soft elbows|half-way: soft elbows|halfway through: soft elbows|half-way, soft elbows|at the halfway mark: soft elbows|midway: soft elbows|midway through - soft elbows|in the middle: soft elbows|half time: soft elbows|at half time: soft elbows|around the middle: soft elbows|somewhere in the middle: soft elbows|at some point: soft elbows|during: soft elbows|while moving: soft elbows|while they move: soft elbows|as we go: soft elbows|as they go: soft elbows|meanwhile: soft elbows|in between: soft elbows|now and then: soft elbows|from time to time: soft elbows|occasionally: soft elbows|sometime: soft elbows|along the way: soft elbows|on the way: soft elbows|throughout: soft elbows|while you do it: soft elbows|somewhere: soft elbows|in here somewhere: soft elbows|anywhere: soft elbows|say during: soft elbows|during the rounds: soft elbows|during this: soft elbows|while doing it: soft elbows|mid-way: soft elbows|soft elbows (halfway)',
    ),
  },
};

function read(step: string, line: string, withBreath: boolean) {
  const script = withBreath
    ? ['Morning - 20 min', '', 'Main set', `- ${step}`, '  in: arms rise', '  out: arms sink', `  ${line}`, '- Cloud hands x6'] // prettier-ignore
    : ['Morning - 20 min', '', 'Main set', step, line, 'Cloud hands x6'];
  const { plan } = readScript(countingIds('p'), script.join('\n'));
  return stepsInOrder(plan).map(({ step: one }) => one);
}

const plainly = (text: string): string => text.toLowerCase().replace(/[.“”]/g, '');

describe.each(Object.entries(ALL))('what is said %s', (_, { step, said, at, forms: all }) => {
  it.each(all)('“%s”', (line) => {
    for (const withBreath of [true, false]) {
      const [first, ...others] = read(step, line, withBreath);
      expect(others.map(({ name }) => name)).toEqual(['Cloud hands']);
      expect(first && isMovement(first) ? first.during : []).toEqual([
        expect.objectContaining({ on: at[0], number: at[1] }),
      ]);
      expect(first && isMovement(first) ? first.during.map(({ text }) => plainly(text)) : []).toEqual([said]);
    }
  });
});

describe('what is no place', () => {
  it.each([
    ['- Push the wave (round 2)', 'Push the wave'],
    ['Last 3 min: sitting, eyes closed', 'Sitting, eyes closed'],
    ['- Last one: Closing the Gate x3', 'Closing the Gate'],
    ['- First step: Push the Wave', 'Push the Wave'],
  ])('“%s” is a step', (line, name) => {
    const steps = read('Rowing x8', line, false);
    expect(steps.map((one) => one.name).join('; ')).toContain(name);
    expect(steps[0] && isMovement(steps[0]) ? steps[0].during : []).toEqual([]);
  });

  it.each([
    'Each time you breathe out, sink.',
    'Last one.',
    'Let the shoulders drop on the last one.',
    'Every breath is a wave.',
    'Round and round it goes.',
    'As they go deeper the knees bend.',
    'Meanwhile, the knees stay soft.',
    'Halfway up the wall is a mark.',
    'After this the arms are tired.',
    'At last the arms rest.',
    'Last one: Closing the Gate',
    'At first the arms are heavy.',
  ])('“%s” is said as it stands', (line) => {
    const [first] = read('Rowing x8', line, true);
    expect(first && isMovement(first) ? first.during : []).toEqual([]);
  });
});
