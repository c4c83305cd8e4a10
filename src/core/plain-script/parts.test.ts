import { countingIds } from '../../../tests/support/chance';
import { describe, expect, it } from 'vitest';
import { amongNames } from './layout/blocks';
import { headIn } from './layout/heads';
import { readScript } from './read';
import { isTold, talkOf } from './line-kinds/talks';

/** The steps of a script: part, kind, name, and its rounds or seconds. */
function stepsOf(...lines: string[]): string[] {
  const { plan } = readScript(countingIds('p'), lines.join('\n'));
  return plan.sections.flatMap(({ title, steps }) =>
    steps.map((step) => {
      const timed = step.kind === 'silence' || (step.kind === 'talk' && step.timed) || (step.kind === 'movement' && step.pacedBy === 'clock'); // prettier-ignore
      const amount =
        timed && 'seconds' in step ? `${step.seconds} s` : step.kind === 'movement' ? `x${step.rounds}` : '';
      return `${title} / ${step.kind} ${step.name} ${amount}`.trim();
    }),
  );
}

describe('how long a part lasts, where its heading says so', () => {
  it('is shared by what is in it and has no amount of its own', () => {
    expect(stepsOf('Tuesday, 40 min', '', 'Warm up (8 mins)', '- neck rolls', '- hips', '', 'Main set: 12 min', '1. Lift the Water x8', '2. Push the Boat')).toEqual([
      'Warm up / movement neck rolls 240 s',
      'Warm up / movement hips 240 s',
      'Main set / movement Lift the Water x8',
      'Main set / movement Push the Boat 650 s',
    ]); // prettier-ignore
  });

  it('is so many rounds of a movement whose breath is written', () => {
    const steps = stepsOf('Tuesday', 'Main set (3 min)', '- Push the Boat', '  in: draw back', '  out: push');
    expect(steps).toEqual(['Main set / movement Push the Boat x20']);
  });

  it('makes a part with nothing in it a step', () => {
    expect(stepsOf('Tuesday', 'Welcome (2 min)', 'Main set', 'Swing x8', 'Settling (3 min)', 'Closing (1 min)')).toEqual([
      'Welcome / talk Welcome 120 s',
      'Main set / movement Swing x8',
      'Settling / silence Settling 180 s',
      'Closing / talk Closing 60 s',
    ]); // prettier-ignore
  });

  it('is kept as a step where what follows takes far longer and so stands beside it', () => {
    const [first, ...others] = stepsOf('Tuesday', 'Welcome (1 min)', 'Swing 4 min', 'Sway 5 min');
    expect(first).toBe('Welcome / talk Welcome 60 s');
    expect(others).toHaveLength(2);
  });

  it('is the time of what is said in a part that is told', () => {
    const { plan } = readScript(
      countingIds('p'),
      'Tuesday\nIntroduction (3 min)\nNames first, then any aches.\nMain set\nSwing x8',
    );
    expect(plan.sections.map(({ steps }) => steps.map(({ kind, name }) => [kind, name]))).toEqual([
      [['talk', 'Introduction']],
      [['movement', 'Swing']],
    ]);
    expect(plan.sections[0]?.steps[0]).toMatchObject({ timed: true, seconds: 180, lines: [{ text: 'Names first, then any aches.' }] }); // prettier-ignore
  });

  it('begins with a welcome where something is said above the first part', () => {
    const { plan } = readScript(countingIds('p'), 'Tuesday\n\nGood evening, everyone.\n\nWarm up\n- Swing x8');
    expect(plan.sections.map(({ title, role }) => [title, role])).toEqual([['Welcome', 'welcome'], ['Warm up', 'loosening']]); // prettier-ignore
  });

  it('leaves steps with amounts as they are', () => {
    expect(stepsOf('Tuesday', 'Warm up (8 mins)', '- neck rolls x4', '- hips x6')).toEqual([
      'Warm up / movement neck rolls x4',
      'Warm up / movement hips x6',
    ]);
  });
});

describe('how often all of a list is done', () => {
  it('stands above it once', () => {
    expect(stepsOf('Tuesday', 'Eight pieces, six times each', '1. hold up the sky', '2. draw the bow', '3. look back x4')).toEqual([
      'Eight pieces / movement hold up the sky x6',
      'Eight pieces / movement draw the bow x6',
      'Eight pieces / movement look back x4',
    ]); // prettier-ignore
    expect(stepsOf('Tuesday', 'Joint circles (8 each):', '- wrists', '- elbows')).toEqual([
      'Joint circles / movement wrists x8',
      'Joint circles / movement elbows x8',
    ]);
  });

  it.each([
    ['Warm-up - 5 min', 'Warm-up', { seconds: [300, 225, 450] }],
    ['MAIN SET 20 MINUTES', 'MAIN SET', { seconds: [1200, 900, 1800] }],
    ['wm up 5', 'wm up', { seconds: [300, 225, 450] }],
    ['Joint circles (8 each):', 'Joint circles', { rounds: 8 }],
  ])('“%s”', (line, name, counts) => {
    expect(headIn(line)).toMatchObject({ name, counts });
  });

  it.each(['Row home 6 each side', 'swing 2 min', 'Warm up', 'Sway x8'])('is nothing in “%s”', (line) => {
    expect(headIn(line)).toBeNull();
  });
});

describe('names below each other', () => {
  it('are steps under the name of a part', () => {
    expect(amongNames(['Class', '', 'Warm up', 'neck rolls', 'hips', '', 'Thank you all.', 'See you'])).toEqual([
      false, false, false, true, true, false, false, false,
    ]); // prettier-ignore
  });

  it('are steps among steps with amounts', () => {
    expect(amongNames(['Class', 'shake 1 min', 'neck rolls', 'lift x8', 'bow'])).toEqual([false, false, true, false, true]); // prettier-ignore
  });

  it('are steps where they name what they are made of', () => {
    expect(amongNames(['Class', 'Ending (5 min)', 'Self massage: face, neck, arms', 'Three deep breaths', 'Thank everyone'])).toEqual([false, false, true, false, false]); // prettier-ignore
  });

  it('are told where sentences stand between them', () => {
    expect(amongNames(['Class', 'Warm up', 'neck rolls', 'Let it all hang. Breathe.', 'hips'])).not.toContain(true);
  });
});

describe('what is told for some time', () => {
  it.each([
    ['Say hello (30 s)', 'Say hello', 30],
    ['Intro talk 2 min', 'Intro talk', 120],
    ['Questions - 5 mins', 'Questions', 300],
    ['Tell them about the retreat (1 min)', 'Tell them about the retreat', 60],
    ['Explain the breathing for two minutes', 'Explain the breathing', 120],
    ['safety reminder, 30 sec', 'Safety reminder', 30],
  ])('“%s”', (line, words, seconds) => {
    expect(talkOf(line)).toMatchObject({ kind: 'talk', words, counts: { seconds: [seconds, expect.any(Number), expect.any(Number)] } }); // prettier-ignore
    expect(stepsOf('Class', line, 'Swing x8')).toContain(`Main set / talk ${words} ${seconds} s`);
  });

  it.each([
    'Tell them to hold it for ten seconds',
    'Ask them to stay for two minutes',
    'Thank everyone. Homework: one minute of standing.',
    '20 s quiet before the chat',
    'Cloud hands 2 min',
    'Say hello x3',
    'Welcome',
  ])('is not “%s”', (line) => {
    expect(talkOf(line)).toBeNull();
  });

  it('is seen by its name', () => {
    expect(['housekeeping', 'a few words about the breath', 'posture talk'].filter(isTold)).toHaveLength(3);
    expect(['lift the water', 'the story of the heron turns slowly in the wind and goes on'].filter(isTold)).toEqual(
      [],
    );
  });
});

describe('a rest behind a movement', () => {
  it('comes after its rounds, and what is said below it after the rest', () => {
    expect(stepsOf('Class', 'Lift the water x6', 'Soft knees.', 'Rest 1 min', 'Push the boat x6', '(pause 20 s)', 'Water break, two minutes', 'And on we go.')).toEqual([
      'Main set / movement Lift the water x6',
      'Main set / silence Rest 60 s',
      'Main set / movement Push the boat x6',
      'Main set / silence Silence 20 s',
      'Main set / silence Water break 120 s',
      'Main set / talk Talk',
    ]); // prettier-ignore
  });

  it('is no step between two lines that are said', () => {
    expect(stepsOf('Class', 'Good evening.', '(pause 20 s)', 'Let us begin.')).toEqual(['Main set / talk Talk']);
  });
});
