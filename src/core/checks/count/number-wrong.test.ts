import { describe, expect, it } from 'vitest';
import { checkPlan } from '@/core/checks';
import { isMovement, planAfter, setFields, stepsInOrder, type MovementStep } from '@/core/plan';
import { demoClasses } from '@/demo/classes';
import { itemAt } from '@/core/units';

const { plan } = itemAt(demoClasses(), 0);
const movement = stepsInOrder(plan).flatMap(({ step }) =>
  isMovement(step) && step.pacedBy === 'breath' && !step.skipped ? [step] : [],
)[0] as MovementStep;

/** What is said and what is planned, where the check finds a movement of four rounds wrong. */
function found(line: keyof MovementStep['moments'] | 'lastRoundLine', text: string): readonly unknown[] {
  const said = line === 'lastRoundLine' ? { lastRoundLine: text } : { moments: { ...movement.moments, [line]: text } };
  const edit = setFields(movement, { rounds: 4, minRounds: 1, maxRounds: 9, multiple: 1, ...said });
  const after = edit ? planAfter(plan, edit) : plan;
  return checkPlan(after).flatMap(({ check, stepId, facts, fix }) =>
    check === 'number-wrong' && stepId === movement.id
      ? [
          [
            facts.said,
            facts.planned,
            fix?.kind === 'edit' ? /\{rounds(?: left)?\}/.exec(JSON.stringify(fix.edit))?.[0] : null,
          ],
        ]
      : [],
  );
}

describe('a number of rounds that is written out', () => {
  it.each([
    ['We do five rounds of it.', [[5, 4, '{rounds}']]],
    ['Six times, at your own ease.', [[6, 4, '{rounds}']]],
    ['Three each side.', [[3, 4, '{rounds}']]],
    ['Four rounds of it.', []],
    ['One each side is the last.', []],
    ['One round is four breaths.', []],
    ['Five fingers spread.', []],
  ])('%s', (text, wrong) => {
    expect(found('naming', text)).toEqual(wrong);
  });

  it('is one of the rounds left, where the line is said on one round', () => {
    expect(found('lastRoundLine', 'Three more.')).toEqual([[3, 1, '{rounds left}']]);
    expect(found('lastRoundLine', 'One more.')).toEqual([]);
    expect(found('roundsLeft', 'Three more.')).toEqual([[3, 2, '{rounds left}']]);
    expect(found('roundsLeft', 'Two more.')).toEqual([]);
    expect(found('naming', 'Three more.')).toEqual([]);
  });
});
