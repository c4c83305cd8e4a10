import { describe, expect, it } from 'vitest';
import {
  areNeighbours,
  blockEdit,
  blockOf,
  emptyPlan,
  makeMovement,
  makeSection,
  placeName,
  planAfter,
  stepsInOrder,
} from '.';
import { itemAt } from '@/core/units';

let count = 0;
const newId = (): string => `b${++count}`;
const plan = {
  ...emptyPlan(newId, 'Blocks', 600),
  sections: [
    makeSection(newId, 'main', [
      makeMovement(newId, 'One', {}),
      makeMovement(newId, 'Two', {}),
      makeMovement(newId, 'Three', {}),
    ]),
  ],
};
const steps = stepsInOrder(plan).map(({ step }) => step);
const [one, two, three] = [itemAt(steps, 0), itemAt(steps, 1), itemAt(steps, 2)];

describe('steps done again on the other side', () => {
  it('can only be neighbours', () => {
    expect(areNeighbours(plan, [one.id, two.id])).toBe(true);
    expect(areNeighbours(plan, [two.id, three.id])).toBe(true);
    expect(areNeighbours(plan, [one.id, three.id])).toBe(false);
    expect(areNeighbours(plan, [three.id, 'nobody'])).toBe(false);
    expect(areNeighbours(plan, ['nobody'])).toBe(false);
  });

  it('are one block until they are parted, and a step alone is in none', () => {
    const edit = blockEdit([one, two], 'block');
    const joined = planAfter(plan, edit ?? { kind: 'together', edits: [] });
    const now = stepsInOrder(joined).map(({ step }) => step);
    expect(blockOf(joined, itemAt(now, 0)).map(({ name }) => name)).toEqual(['One', 'Two']);
    expect(blockOf(joined, itemAt(now, 2))).toEqual([]);
    expect(blockEdit(now.slice(0, 2), 'block')).toBeNull();
    expect(blockEdit(now.slice(0, 2), null)).not.toBeNull();
  });
});

describe('the place of a text', () => {
  it('has a name of its own in its step', () => {
    expect(
      [
        { part: 'phase', phaseId: 'p', form: 'full' } as const,
        { part: 'teach', lineId: 'l' } as const,
        { part: 'moment', moment: 'caution' } as const,
        { part: 'short', line: 'caution' } as const,
        { part: 'level', index: 1, line: 0 } as const,
        { part: 'level', index: 1, line: 2 } as const,
        { part: 'lastRoundLine' } as const,
      ].map(placeName),
    ).toEqual(['phase p full', 'teach l', 'moment caution', 'short caution', 'level 1', 'level 1 2', 'lastRoundLine']);
  });
});
