import { describe, expect, it } from 'vitest';
import { checkPlan } from '@/core/checks';
import { findStep } from '@/core/plan';
import { demoPlan } from '../support/demo-plan';

/* The deliberately faulty demo class: over length, a late caution, a side for the other, a line longer than its breath. */

describe('Storm Day Indoors', () => {
  it('gives exactly this list', () => {
    const plan = demoPlan('storm-day-indoors');
    const list = checkPlan(plan).map(({ gravity, check, stepId, detail }) =>
      [gravity, check, stepId === null ? 'class' : findStep(plan, stepId)?.step.name, detail.replace(/storm-\S+/, '…')]
        .join(' | ')
        .replace(/ \| $/, ''),
    );
    expect(list).toEqual([
      'must | class-caution | class',
      'must | line-too-long | Raising the lamp | phase … full',
      'must | side-wrong | Turning the lighthouse | phase … full',
      'must | side-wrong | Turning the lighthouse | phase … short',
      'must | caution-late | Setting down the nets | forward-bend',
      'must | caution-late | Setting down the nets | head-low',
      'should | off-target | class',
      'should | no-seated | class',
      'should | no-arrival | class',
      'should | no-easier-level | Setting down the nets',
      'should | stance-broken | Hauling the slow net',
      'could | no-thanks | class',
      'could | feet-together | Hauling the slow net',
    ]);
  });
});
