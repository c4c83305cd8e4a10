import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isMovement, stepsInOrder } from '@/core/plan';
import type { DuringLine, Phase } from '@/core/movement';
import { countingIds } from '../support/chance';

/*
 * What changes in a movement on a round, in as many ways as people write it: below a numbered movement, behind dashes, and
 * right below one without any mark. Common practice, no published source.
 */

const below = {
  'further in': (line: string) => `1. Rowing x8\n  in: arms rise\n  out: arms sink\n  ${line}\n2. Cloud hands x6`,
  'behind a dash': (line: string) =>
    `1. Rowing x8\n  - in: arms rise\n  - out: arms sink\n  - ${line}\n2. Cloud hands x6`,
  'right below': (line: string) => `Rowing x8\nin: arms rise\nout: arms sink\n${line}\nCloud hands x6`,
} as const;

function phaseText({ kind, fromRound, toRound, seconds }: Phase): string {
  const word = { inhale: 'in', exhale: 'out', hold: 'hold', free: 'free' }[kind];
  const rounds = fromRound > 1 || toRound !== null ? ` ${fromRound}-${toRound ?? ''}` : '';
  return `${word}${rounds}${seconds === null ? '' : ` ${seconds}s`}`;
}

function duringText({ on, number, text, layer }: DuringLine, byLayer: boolean): string {
  const place = on === 'last' && number === 4 ? 'round 5' : `${on} ${number}`;
  return `${place} ${byLayer && layer ? layer : text.toLowerCase().replace(/[.“”"]/g, '')}`;
}

/** The breath of the first movement and what is said over it; all steps where they are not the two that are written. */
function becomes(body: string, byLayer: boolean): string {
  const { plan } = readScript(countingIds('r'), `Morning - 20 min\n\nMain set\n${body}`);
  const steps = stepsInOrder(plan).map(({ step }) => step);
  const [first] = steps;
  if (!isMovement(first) || steps.length !== 2 || first.preferredRounds !== 8)
    return steps.map(({ name }) => name).join('; ');
  const left = [first.moments.leaving, ...first.teach.map(({ text }) => text)].filter((text) => text !== '');
  const during = first.during.map((line) => duringText(line, byLayer)).join('; ');
  return [`${first.pattern.map(phaseText).join(', ')} :: ${during}`.trim(), ...left].join(' | ');
}

/** The forms that are read otherwise, each with what it is read as. */
function wrong(forms: string, want: string, notRightBelow: readonly string[] = []): string[] {
  const byLayer = /:: round \d (?:feet$|arms;)/.test(want);
  return forms
    .trim()
    .split(/\s*\n\s*/)
    .flatMap((form) =>
      Object.entries(below).flatMap(([where, put]) => {
        if (where === 'right below' && notRightBelow.includes(form)) return [];
        const got = becomes(put(form), byLayer);
        return got === want ? [] : [`${where}: ${form} -> ${got}`];
      }),
    );
}

describe('what changes in a movement on a round', () => {
  it('another breath from the fifth round', () => {
    const forms = `
      from round 5: in 4, out 6
      from round 5 in for 4, out for 6
      from round 5, in 4, out 6
      from round 5 - in 4 out 6
      round 5 on: in 4 out 6
      round 5 onwards: in 4, out 6
      rounds 5-8: in 4, out 6
      rounds 5 to 8: in 4, out 6
      round 5 to 8: in 4 out 6
      R5-8: in 4 out 6
      last four rounds: in 4, out 6
      last 4: in 4, out 6
      for the last four, in 4, out 6
      after round 4: in 4, out 6
      after four rounds: in 4, out 6
      from the fifth: in 4, out 6
      from the fifth round: in 4, out 6
      then from round 5 breathe in 4, out 6
      from round 5 breathe in for 4 and out for 6
      (from round 5: in 4, out 6)
      in 4, out 6 from round 5
      in 4 / out 6 from round 5 on
      breath 4/6 from round 5
      from round 5: breath 4/6
      from round 5: inhale 4, exhale 6
      from round 5, inhale for four, exhale for six
      from rep 5: in 4 out 6
      from 5: in 4, out 6
      5-8: in 4, out 6
      second half: in 4, out 6
      from halfway: in 4, out 6
      in 4, out 6 (rounds 5-8)
      in 4, out 6 (from round 5)
      in 4, out 6 for the last four
      change to in 4, out 6 on round 5
      from round 5 change to in 4, out 6
      from round 5 slow down to in 4, out 6
      from round 5 the breath is in 4, out 6
`;
    expect(wrong(forms, 'in 1-4, in 5- 4s, out 1-4, out 5- 6s ::')).toEqual([]);
  });

  it('a hold that joins where the breath is full', () => {
    const forms = `
      from round 5: hold 2 s at the top
      from round 5 hold 2 s at the top
      from round 5: pause 2 s at the top
      from round 5 add a hold of 2 seconds
      add a 2 s hold from round 5
      from round 5: hold 2 s after the inhale
      from round 5, hold the breath 2 s
      rounds 5-8: hold 2 s at the top
      last four: hold 2 s at the top
      hold 2 s at the top from round 5
      (from round 5 hold 2 s at the top)
      from the fifth round a 2 s pause at the top
      from round 5: hold full 2 s
      from round 5: hold 2 s after breathing in
`;
    expect(wrong(forms, 'in, hold 5- 2s, out ::')).toEqual([]);
  });

  it('a hold that joins where it is empty', () => {
    const forms = `
      from round 5: hold 2 s at the bottom
      from round 5: pause 2 s after the exhale
      from round 5 rest 2 s after the exhale
      from round 5: hold empty 2 s
      hold 2 s at the bottom from round 5
      from round 5: pause 2 s at the end of the out-breath
      rounds 5-8: pause 2 s after breathing out
`;
    expect(wrong(forms, 'in, out, hold 5- 2s ::')).toEqual([]);
  });

  it('a hold in every round where the breath is full', () => {
    const forms = `
      hold 2 s at the top
      hold 2 s after the inhale
      pause 2 s at the top
      hold the breath for 2 s
      hold for 2 seconds at the top
      2 s hold at the top
      hold full 2 s
      rest 2 s at the top
`;
    expect(wrong(forms, 'in, hold 2s, out ::')).toEqual([]);
  });

  it('one where it is empty', () => {
    const forms = `
      hold 2 s at the bottom
      pause 2 s after the exhale
      rest 2 s at the bottom
      hold empty 2 s
      pause for 2 seconds after breathing out
      2 s pause at the bottom
`;
    expect(wrong(forms, 'in, out, hold 2s ::')).toEqual([]);
  });

  it('other actions from the fifth round', () => {
    const forms = `
      from round 5: in: reach higher, out: sink lower
      from round 5 - in: reach higher / out: sink lower
      from round 5, inhale and reach higher, exhale and sink lower
      rounds 5-8: in: reach higher, out: sink lower
      rounds 5-8 in: reach higher out: sink lower
      from round 5: inhale reach higher, exhale sink lower
`;
    expect(wrong(forms, 'in 1-4, out 1-4, in 5-, out 5- ::')).toEqual([]);
  });

  it('what is said from the fifth round', () => {
    const forms = `
      from round 5: widen the arms
      from round 5 on, widen the arms
      rounds 5-8: widen the arms
      rounds 5 to 8 widen the arms
      round 5-8 - widen the arms
      R5-8 widen the arms
      R5–R8: widen the arms
      5-8: widen the arms
      rounds 5, 6, 7 and 8: widen the arms
      rounds five to eight: widen the arms
      reps 5-8: widen the arms
      widen the arms from round 5
      widen the arms (rounds 5-8)
      widen the arms in rounds 5-8
      widen the arms from the fifth round on
      on rounds 5-8, widen the arms
      starting with round 5: widen the arms
      beginning at round 5, widen the arms
      once we reach round 5: widen the arms
`;
    expect(wrong(forms, 'in, out :: round 5 widen the arms')).toEqual([]);
  });

  it('what is said part by part', () => {
    const forms = `
      rounds 1-4: arms only; rounds 5-8: add the feet
      rounds 1-4 arms only, rounds 5-8 add the feet
      R1-4 arms only, R5-8 add the feet
      1-4: arms only, 5-8: add the feet
      1-4 arms only / 5-8 add the feet
      first 4 arms only, last 4 add the feet
      first four: arms only, then add the feet
      rounds 1-4 arms only, from round 5 add the feet
      rounds 1 to 4: arms only. Rounds 5 to 8: add the feet.
      arms only for the first four, then add the feet
      arms only (1-4), add the feet (5-8)
      round 1: arms only; round 5: add the feet
      round 1: arms only, round 5: add the feet
      round 1 arms only, round 5 add the feet
`;
    // Numbers alone may as well be how long, or how often.
    expect(
      wrong(forms, 'in, out :: round 1 arms only; round 5 add the feet', [
        '1-4 arms only / 5-8 add the feet',
        'arms only (1-4), add the feet (5-8)',
      ]),
    ).toEqual([]);
  });

  it('a layer that joins on the third round', () => {
    const forms = `
      add the feet on round 3
      round 3: add the feet
      from round 3 add the feet
      feet join on round 3
      feet join from round 3
      3rd round: feet join in
      on round 3 add the feet
      add feet at round 3
      feet from round 3
      from round 3: feet
      the feet join in on the third round
      on the third, add the feet
      add the steps from round 3
      with the step from round 3
      legs join in from round 3
`;
    expect(wrong(forms, 'in, out :: round 3 feet')).toEqual([]);
  });

  it('three layers', () => {
    const forms = `
      arms first, feet from round 3, breath from round 5
      arms only, feet join on round 3, breath on round 5
      round 1 arms, round 3 feet, round 5 breath
      arms (round 1), feet (round 3), breath (round 5)
      first arms, then feet (round 3), then breath (round 5)
`;
    expect(wrong(forms, 'in, out :: round 1 arms; round 3 feet; round 5 breath')).toEqual([]);
  });

  it('is only what is told to happen: an amount, a posture and a talk of the rounds stay what they are', () => {
    const { plan } = readScript(
      countingIds('n'),
      'Morning\n\nMain set\n1. Rowing x8\n  hold 20 s on each leg\n2. Bow, 5-8 times',
    );
    const [rowing, ...others] = stepsInOrder(plan).map(({ step }) => step);
    expect(isMovement(rowing) && rowing.pattern.every(({ kind }) => kind !== 'hold')).toBe(true);
    expect(others.at(-1)).toMatchObject({ name: 'Bow', minRounds: 5, maxRounds: 8 });
    const told = becomes(
      '1. Rowing x8\n  in: up\n  out: down\n  The first two rounds are for learning.\n2. Bow x3',
      false,
    );
    expect(told).toContain('The first two rounds are for learning.');
  });

  it('takes a hold where it stands between the way in and the way out', () => {
    expect(becomes('1. Rowing x8\n  in: up\n  hold: 2 s\n  out: down\n2. Bow x3', false)).toBe('in, hold 2s, out ::');
    expect(becomes('1. Rowing x8\n  in: up\n  out: down\n  hold 2 s\n2. Bow x3', false)).toBe('in, out, hold 2s ::');
  });

  it('comes back where a stretch ends before the last round', () => {
    const found = becomes('1. Rowing x8\n  in: up\n  out: down\n  rounds 3-5: in 4, out 6\n2. Bow x3', false);
    expect(found).toBe('in 1-2, in 3-5 4s, in 6-, out 1-2, out 3-5 6s, out 6- ::');
  });

  it('says which part joins', () => {
    const { plan } = readScript(
      countingIds('l'),
      'Morning\n\nMain set\n1. Rowing x8\n  round 3: add the feet\n  round 5: add the breath\n2. Bow x3',
    );
    const [rowing] = stepsInOrder(plan).map(({ step }) => step);
    expect(isMovement(rowing) && rowing.during.map(({ layer }) => layer)).toEqual(['feet', 'breath']);
  });
});
