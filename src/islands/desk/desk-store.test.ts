import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { ask, findStep, isMovement, isSilence, stepsInOrder } from '@/core/plan';
import { demoClasses } from '@/demo/classes';
import { createDesk, type DeskStore } from './desk-store';
import { dropStep, moveStepBy } from './timeline/moves';

const { plan } = itemAt(demoClasses(), 0);
const steps = stepsInOrder(plan).map(({ step }) => step);

function desk(): DeskStore {
  return createDesk('class', plan, 7);
}

describe('the desk’s state', () => {
  it('replans at once and waits to be saved', () => {
    const store = desk();
    const movement = steps.find(isMovement);
    const edit = movement && ask(movement, movement.rounds + 2);
    if (!edit) throw new Error('no movement');
    const before = store.getState().timeline.runtimeSeconds;
    expect(store.edit(edit)).toBe(true);
    expect(store.getState().timeline.runtimeSeconds).toBeGreaterThan(before + 10);
    expect(store.getState().save).toEqual({ kind: 'waiting' });
    expect(store.getState().revision).toBe(7);
  });

  it('undoes letters typed into one field as one, and other edits one by one', () => {
    const store = desk();
    for (const value of ['B', 'Be', 'Bef']) store.edit({ kind: 'set-plan', field: 'title', value }, 'title');
    store.edit({ kind: 'set-plan', field: 'focus', value: 'x' }, 'focus');
    expect(store.getState().done.length).toBe(2);
    store.undo();
    expect(store.getState().plan).toMatchObject({ title: 'Bef', focus: plan.focus });
    store.undo();
    expect(store.getState().plan).toEqual(plan);
    store.undo();
    store.redo();
    expect(store.getState().plan.title).toBe('Bef');
    store.edit({ kind: 'set-plan', field: 'title', value: 'New' }, 'title');
    expect(store.getState().undone).toEqual([]);
  });

  it('says nothing more of an edit that was taken back', () => {
    const store = desk();
    store.edit({ kind: 'set-plan', field: 'targetSeconds', value: 60 });
    const range = { shortestSeconds: 300, longestSeconds: 900, feasible: false as const };
    const why = { ...range, reason: 'below-reach' as const, nearestSeconds: null, loosen: [], enough: false };
    store.setLanding({ kind: 'cannot', why });
    store.undo();
    expect(store.getState().landing).toEqual({ kind: 'still' });
    store.setLanding({ kind: 'cannot', why });
    store.redo();
    expect(store.getState().landing).toEqual({ kind: 'still' });
  });

  it('refuses an edit that finds nothing, and stays as it was', () => {
    const store = desk();
    expect(store.edit({ kind: 'remove-step', stepId: 'nobody' })).toBe(false);
    expect(store.getState().plan).toBe(plan);
  });
});

describe('moving steps', () => {
  it('goes over the border of a section, and stops at the ends', () => {
    const [welcome, stance] = firstItems(steps, 2);
    expect(moveStepBy(plan, stance.id, -1)).toEqual({
      kind: 'move-step',
      stepId: stance.id,
      toSectionId: itemAt(plan.sections, 0).id,
      toIndex: 1,
    });
    expect(moveStepBy(plan, welcome.id, -1)).toBeNull();
    expect(moveStepBy(plan, itemAt(steps, steps.length - 1).id, 1)).toBeNull();
    expect(moveStepBy(plan, 'nobody', 1)).toBeNull();
  });

  it('drops a step on another, or on the head of a section', () => {
    const [first] = firstItems(steps, 1);
    const last = itemAt(steps, steps.length - 1);
    expect(dropStep(plan, first.id, last.id)).toMatchObject({ toSectionId: itemAt(plan.sections, 5).id, toIndex: 1 });
    expect(dropStep(plan, first.id, itemAt(plan.sections, 3).id)).toMatchObject({
      toSectionId: itemAt(plan.sections, 3).id,
      toIndex: 0,
    });
    expect(dropStep(plan, first.id, first.id)).toBeNull();
  });
});

describe('what somebody asks for', () => {
  it('widens the bounds to hold it', () => {
    const store = desk();
    const movement = steps.find(isMovement);
    const quiet = steps.find(isSilence);
    if (!movement || !quiet) throw new Error('no steps');
    for (const edit of [ask(movement, 30), ask(quiet, 5)]) if (edit) store.edit(edit);
    expect(findStep(store.getState().plan, movement.id)?.step).toMatchObject({
      rounds: 30,
      preferredRounds: 30,
      maxRounds: 30,
    });
    expect(findStep(store.getState().plan, quiet.id)?.step).toMatchObject({
      seconds: 5,
      preferredSeconds: 5,
      minSeconds: 5,
    });
    expect([ask(movement, 0), ask(movement, 201)]).toEqual([null, null]);
  });
});
