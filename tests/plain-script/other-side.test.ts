import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { stepsInOrder, type MovementStep } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * That a movement is done on the other side or the other way as well, in as many words as people have for it behind its
 * amount; beside the name and below it, with counts, times and holds. Common practice, no published source.
 */

const forms = (all: string): readonly string[] => all.trim().split(/\s*[|\n]\s*/);
const OTHER_SIDE = forms(`
  {A}, then the other side | {A} then other side | {A}, and the other side | {A}, then swap sides | {A}, then switch
  {A}, swap sides | {A}, change sides | {A}, then change sides | {A} (then swap sides) | {A} then repeat on the other side
  {A}, repeat on the other side | {A}, repeat other side | {A}, same on the other side | {A}; same on the other side
  {A}, then same on the left | {A}, then the other leg | {A}, then the other foot | {A}, other side the same
  {A}, switch legs and repeat | {A}, swap legs | {A}, and switch sides | {A}, then left | {A} on the right, then on the left
  {A} right, then left | {A} R then L | {A} R, then the same L | {A}, both legs | {A} on both sides | {A} on either side
  {A} one side, then the other | {A} on one side, then on the other | {A} on one leg, then the other
  {A} first right, then left | {A} (L then R) | {A} to the right, then to the left | {A} each side. | {A} - each side
  {A}; each side | {A} each leg, one after the other | {A} each leg in turn | {A} per leg | {A} a leg | {A} for each leg
  {A} for both legs | {A} with each hand | {A} each hand | {A} with either arm | {A} on the left, {A} on the right
  {A} left, {A} right | {A} L, {A} R | left {A}, right {A}
`);
const OTHER_WAY = forms(`
  {A}, the other way too | {A}, then reverse | {A}, then the other direction | {A}, change direction and repeat
  {A} one way, then the other | {A}, then back the other way | {A} clockwise, then anticlockwise | {A} each way
  {A} in each direction
`);
const AMOUNTS: readonly (readonly [written: string, meant: Partial<MovementStep>])[] = [
  ['x4', { pacedBy: 'breath', rounds: 4 }],
  ['4 times', { pacedBy: 'breath', rounds: 4 }],
  ['45 s', { pacedBy: 'clock', seconds: 90 }],
  ['1 minute', { pacedBy: 'clock', seconds: 120 }],
];
const HELD = ['hold 45 s', { pacedBy: 'held', seconds: 90 }] as const;
const WRITTEN = ['1. Heron {W}', '1. Heron, {W}', '1. Heron\n   {W}', '1. Heron - {W}', '1. Heron: {W}'];

function wrongIn(form: string, sides: readonly string[], amounts: typeof AMOUNTS): string[] {
  return amounts.flatMap(([amount, meant]) =>
    WRITTEN.map((line) => line.replace('{W}', form.replaceAll('{A}', amount))).filter((line) => {
      const { plan } = readScript(countingIds('h'), `Class\n\nMain set\n${line}\n2. Cloud hands x6`);
      const [heron, , ...more] = stepsInOrder(plan).map(({ step }) => step as MovementStep);
      const told = Object.entries(meant).every(([key, value]) => heron?.[key as keyof MovementStep] === value);
      return !told || heron?.name !== 'Heron' || !sides.includes(heron.sides) || heron.teach.length > 0 || more.length > 0;
    }),
  ); // prettier-ignore
}

describe('the other side as well', () => {
  it.each(OTHER_SIDE)('“%s”', (form) => expect(wrongIn(form, ['one-then-other', 'alternating'], AMOUNTS)).toEqual([]));

  it.each(OTHER_SIDE.filter((form) => !/\{A\}.*\{A\}/.test(form)))('held: “%s”', (form) =>
    expect(wrongIn(form, ['one-then-other'], [HELD])).toEqual([]),
  );

  it('starts with the side that is named first', () => {
    const start = (line: string): string =>
      (stepsInOrder(readScript(countingIds('h'), `Class\n\nMain set\n1. ${line}`).plan)[0]?.step as MovementStep).startSide; // prettier-ignore
    expect(start('Heron x4 on the right, then on the left')).toBe('right');
    expect(start('Heron 45 s, then left')).toBe('right');
    expect(start('Heron 4 L, then the same R')).toBe('left');
  });

  it('is not read out of a name, or of what is said', () => {
    const named = (line: string): string =>
      (stepsInOrder(readScript(countingIds('h'), `Class\n\nMain set\n1. ${line}`).plan)[0]?.step as MovementStep).name;
    expect(named('Heron on the mudbank: stand on the left leg 20 seconds, then the right')).toBe(
      'Heron on the mudbank',
    );
    const said = readScript(
      countingIds('h'),
      'Class\n\nMain set\n1. Rowing x6\n   Feel both feet, then switch the weight.',
    );
    expect(stepsInOrder(said.plan)[0]?.step).toMatchObject({ sides: 'together', rounds: 6 });
  });
});

describe('the other way as well', () => {
  it.each(OTHER_WAY)('“%s”', (form) => expect(wrongIn(form, ['both-directions'], AMOUNTS)).toEqual([]));
});

const IN_ALL = forms(`
  5 times in total, alternating | 5 in total, alternating sides | 5 altogether, L R L R L | L R L R L | left, right, left, right, left
  x5 (L R L R L) | x5, L-R-L-R-L | L/R/L/R/L | 5 (LRLRL) | LRLRL | alternate sides, 5 turns in total | alternate, 5 in all
  5 reps total, alternating legs
`);
const EACH_WAY_EACH_LEG = forms(`
  x4 each way on each leg | 4 circles each way, each leg | 4 each way, both legs | 4 forward and 4 back on each leg
  4 forward, 4 back, then the other leg | 4 clockwise and 4 anticlockwise on each side | 4 each direction per side | per leg 4 each way
  x4 both ways, both sides | 4 one way, 4 the other way, then swap legs | left leg 4 each way, right leg 4 each way
  4 times each way, then the other leg | 4 each way, swap legs | 4 rounds in each direction on either leg
`);
const ONE_SIDE = forms(`
  x6 right side only | 6 times, right only | x6 on the right only | 6 on the right side | x6 (right) | x6, only right | 6x R only
  6 times with the right arm only | 6 times, right arm | x6 just the right | 6 to the right only | x6 R
`);
const read = (line: string): MovementStep =>
  stepsInOrder(readScript(countingIds('h'), `Class\n\nMain set\n${line}\n2. Cloud hands x6`).plan)[0]
    ?.step as MovementStep;

describe('how turns and sides are counted', () => {
  it.each(IN_ALL)('turns in all: “%s”', (form) => {
    const { name, rounds, sides } = read(`1. Heron, ${form}`);
    expect({ name, rounds, sides }).toEqual({ name: 'Heron', rounds: 5, sides: 'turn-by-turn' });
  });

  it.each(EACH_WAY_EACH_LEG)('each way on each leg: “%s”', (form) => {
    const { name, rounds, sides } = read(`1. Heron, ${form}`);
    expect({ name, rounds, sides }).toEqual({ name: 'Heron', rounds: 4, sides: 'both-directions-each-side' });
  });

  it.each(ONE_SIDE)('one side: “%s”', (form) => {
    const { name, rounds, sides, startSide } = read(`1. Heron, ${form}`);
    expect({ name, rounds, sides, startSide }).toEqual({ name: 'Heron', rounds: 6, sides: 'one-side', startSide: 'right' });
  }); // prettier-ignore

  it.each([
    ['x6 right', 'x6 left', { rounds: 6 }],
    ['R: x6', 'L: x6', { rounds: 6 }],
    ['right side x6', 'left side x6', { rounds: 6 }],
    ['45 s R', '45 s L', { seconds: 90, pacedBy: 'clock' }],
    ['right: hold 30 s', 'left: hold 30 s', { seconds: 60, pacedBy: 'held' }],
  ] as const)('a line for each side is both: “%s”, “%s”', (right, left, meant) => {
    const heron = read(`1. Heron\n   ${right}\n   ${left}`);
    expect(heron).toMatchObject({ name: 'Heron', sides: 'one-then-other', startSide: 'right', ...meant });
  });

  it('leaves a way that is of the name where it is', () => {
    expect(read('1. Turn right x4')).toMatchObject({ name: 'Turn right', sides: 'together', rounds: 4 });
    expect(read('1. Drawing bow, five rounds, start from left')).toMatchObject({ sides: 'together', rounds: 5 });
  });
});
