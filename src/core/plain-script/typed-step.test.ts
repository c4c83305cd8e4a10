import { describe, expect, it } from 'vitest';
import { makeMovement } from '@/core/plan';
import { likelyKinds, readTypedStep, stepTyped, withWritten } from './typed-step';

let count = 0;
const newId = (): string => `id-${++count}`;

describe('a step that is typed', () => {
  it.each([
    ['Turning the lighthouse, 3 each side', 'Turning the lighthouse', { rounds: 3, sides: 'alternating' }],
    ['Turning the lighthouse 3x', 'Turning the lighthouse', { rounds: 3 }],
    ['Raising the lamp x6', 'Raising the lamp', { rounds: 6 }],
    ['Standing post for 2 min', 'Standing post', { seconds: [120, 90, 180] }],
    ['Wrists 1 min', 'Wrists', { seconds: [60, 45, 90] }],
    ['Shoulders', 'Shoulders', {}],
    ['Wave hands like clouds', 'Wave hands like clouds', {}],
    ['Holding up the lamp', 'Holding up the lamp', {}],
  ])('%s', (typed, name, counts) => {
    const read = readTypedStep(newId, typed);
    expect(read.name).toBe(name);
    expect(read.counts).toMatchObject(counts);
    expect(read.step === null).toBe(Object.keys(counts).length === 0);
  });

  it('becomes a step of the kind chosen, with its amounts where that kind has them', () => {
    const reach = stepTyped(newId, 'movement', readTypedStep(newId, 'Reach, 4 each side'));
    expect(reach).toMatchObject({ kind: 'movement', name: 'Reach', rounds: 4, sides: 'alternating' });
    expect(stepTyped(newId, 'silence', readTypedStep(newId, 'Silence 2 min'))).toMatchObject({
      kind: 'silence',
      seconds: 120,
    });
    expect(stepTyped(newId, 'silence', readTypedStep(newId, 'Mooring 90 s'))).toMatchObject({
      name: 'Mooring',
      seconds: 90,
    });
    expect(stepTyped(newId, 'talk', readTypedStep(newId, 'Hello'))).toMatchObject({ kind: 'talk', name: 'Hello' });
  });

  it('gives its amounts to a movement of the library', () => {
    const taken = makeMovement(newId, 'Reach', { preferredRounds: 9 });
    const { step, counts } = readTypedStep(newId, 'Reach 4 each side');
    expect(withWritten(taken, step, counts)).toMatchObject({ name: 'Reach', rounds: 4, sides: 'alternating' });
    expect(withWritten(taken, null, {})).toEqual(taken);
  });

  it('is most likely what its name and its section say', () => {
    expect(likelyKinds('main', readTypedStep(newId, 'Reach'))[0]).toBe('movement');
    expect(likelyKinds('welcome', readTypedStep(newId, 'Good morning'))[0]).toBe('talk');
    expect(likelyKinds('closing', readTypedStep(newId, 'Silence 1 min'))[0]).toBe('silence');
    expect(likelyKinds('closing', readTypedStep(newId, 'Stillness'))[0]).toBe('silence');
    expect([...likelyKinds('main', readTypedStep(newId, 'x'))].sort()).toEqual([
      'movement',
      'silence',
      'talk',
      'transition',
    ]);
  });
});
