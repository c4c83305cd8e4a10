import { describe, expect, it } from 'vitest';
import { isMovement, planAfter, stepsInOrder, type MovementStep } from '@/core/plan';
import { demoClasses } from '@/demo/classes';
import { itemAt } from '@/core/units';
import { addToCaution, withSideToken } from './fixes';

const { plan } = itemAt(demoClasses(), 0);
const movement = stepsInOrder(plan).flatMap(({ step }) => (isMovement(step) ? [step] : []))[0] as MovementStep;
const withCaution = (caution: string, short: string): MovementStep => ({
  ...movement,
  moments: { ...movement.moments, caution },
  shorts: { ...movement.shorts, caution: short },
});

/** The movement's caution and its shorter wording after a fix of it. */
function after(step: MovementStep, line: string): readonly [string, string] | null {
  const fix = addToCaution(step, line);
  if (fix?.kind !== 'edit') return null;
  const found = stepsInOrder(planAfter(plan, fix.edit)).find(({ step: { id } }) => id === step.id)?.step;
  return found && isMovement(found) ? [found.moments.caution, found.shorts.caution] : null;
}

describe('a fix of a caution', () => {
  it('is said alone where there was none, and as it is in short too', () => {
    expect(after(withCaution('', ''), 'Sit down if you are dizzy.')).toEqual(['Sit down if you are dizzy.', '']);
    expect(after(withCaution('  ', '  '), 'Sit.')).toEqual(['Sit.', '']);
  });

  it('is said after the one there is, and after its shorter wording', () => {
    expect(after(withCaution('Mind your knees.', ''), 'Sit.')).toEqual(['Mind your knees. Sit.', '']);
    expect(after(withCaution('Mind your knees.', 'Knees.'), 'Sit.')).toEqual(['Mind your knees. Sit.', 'Knees. Sit.']);
  });

  it('is none where nothing is to be said', () => {
    expect(addToCaution(movement, '  ')).toBeNull();
  });

  it('writes the side of the plan for one that is named, as a word', () => {
    const step = { ...movement, moments: { ...movement.moments, caution: 'Left of leftover: LEFT.' } };
    const fix = withSideToken(step, 'Left of leftover: LEFT.', 'left');
    expect(JSON.stringify(fix)).toContain('{side} of leftover: {side}.');
    expect(withSideToken(step, 'Something else', 'left')).toBeNull();
  });
});
