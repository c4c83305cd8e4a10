import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { fitPlan, type FitOptions } from '@/core/pacing';
import { findStep, isMovement, setPlan, setStep, stepsInOrder, type ClassPlan } from '@/core/plan';
import { demoClasses } from '@/demo/classes';
import type { Fitter } from '@/workers/fitter/client';
import { createDesk } from '../desk-store';
import { heldBy, keepOnTarget } from './keep-on-target';

/** A fitter that answers when it is told to; the newest question alone gets an answer. */
function slowFitter() {
  const asked: { plan: ClassPlan; held: FitOptions['held']; answer: () => void }[] = [];
  const fitter: Fitter = {
    fit: (plan, held) =>
      new Promise((settle) => {
        const id = asked.length + 1;
        asked.push({
          plan,
          held,
          answer: () => settle(id === asked.length ? fitPlan(plan, plan.targetSeconds, { held }) : null),
        });
      }),
    propose: () => Promise.resolve(null),
    lengths: () => Promise.resolve(null),
    stop: () => undefined,
  };
  return { asked, fitter };
}

const settled = (): Promise<void> => new Promise((done) => setTimeout(done, 0));
const { plan: demo } = itemAt(demoClasses(), 0);
const [first] = firstItems(
  stepsInOrder(demo).flatMap(({ step }) => (isMovement(step) ? [step] : [])),
  1,
);

function keptDesk() {
  const plan = { ...itemAt(demoClasses(), 0).plan, keepOnTarget: true };
  const desk = createDesk('c1', plan, 1);
  const { asked, fitter } = slowFitter();
  const stop = keepOnTarget(desk, fitter);
  const gulls = plan.sections
    .flatMap((section) => section.steps)
    .filter(isMovement)
    .find((step) => step.name === 'Gulls leaving the wall');
  if (!gulls) throw new Error('no gulls');
  const off = (): number => desk.getState().timeline.runtimeSeconds - desk.getState().plan.targetSeconds;
  return { plan, desk, asked, stop, gulls, off };
}

describe('what an edit has just set', () => {
  it('is the step or the breath that was chosen, not what was only written', () => {
    const pace = setPlan('pace', demo.pace);
    expect(heldBy(setStep(first, 'rounds', 4))).toEqual({ stepIds: [first.id], breath: false });
    expect(heldBy(setStep(first, 'lastRoundLine', 'Last.'))).toEqual({ stepIds: [], breath: false });
    expect(heldBy(setStep(first, 'minRounds', 4))).toEqual({ stepIds: [], breath: false });
    expect(heldBy({ kind: 'together', edits: [setStep(first, 'seconds', 40), pace] })).toEqual({
      stepIds: [first.id],
      breath: true,
    });
  });
});

describe('keeping on target', () => {
  it('refits the rest after an edit and is undone with it', async () => {
    const { plan, desk, asked, gulls, off } = keptDesk();
    desk.edit(setStep(gulls, 'rounds', 7));
    expect(desk.getState().landing).toEqual({ kind: 'working' });
    expect(Math.abs(off())).toBeGreaterThan(1);
    itemAt(asked, 0).answer();
    await settled();
    expect(Math.abs(off())).toBeLessThan(0.5);
    expect(findStep(desk.getState().plan, gulls.id)?.step).toMatchObject({ rounds: 7 });
    expect(desk.getState().landing).toEqual({ kind: 'still' });
    desk.undo();
    expect(desk.getState().plan).toEqual(plan);
    expect(asked).toHaveLength(1);
  });

  it('never shows an answer to an older question', async () => {
    const { desk, asked, gulls } = keptDesk();
    desk.edit(setStep(gulls, 'rounds', 7));
    desk.edit(setStep(gulls, 'rounds', 8));
    const now = desk.getState().plan;
    itemAt(asked, 0).answer();
    await settled();
    expect(desk.getState().plan).toBe(now);
    itemAt(asked, 1).answer();
    await settled();
    expect(findStep(desk.getState().plan, gulls.id)?.step).toMatchObject({ rounds: 8 });
  });

  it('says when it cannot be done, and moves nothing', async () => {
    const { desk, asked } = keptDesk();
    desk.edit({ kind: 'set-plan', field: 'targetSeconds', value: 30 });
    const now = desk.getState().plan;
    itemAt(asked, 0).answer();
    await settled();
    expect(desk.getState().plan).toBe(now);
    expect(desk.getState().landing).toMatchObject({ kind: 'cannot', why: { reason: 'below-reach' } });
  });

  it('asks nothing while it is off, or once it has been stopped', () => {
    const { desk, asked, stop, gulls } = keptDesk();
    desk.edit({ kind: 'set-plan', field: 'keepOnTarget', value: false });
    desk.edit(setStep(gulls, 'rounds', 7));
    stop();
    desk.edit({ kind: 'set-plan', field: 'keepOnTarget', value: true });
    expect(asked).toHaveLength(0);
  });
});

describe('choosing several steps', () => {
  it('takes all between, or one more, in the order of the class', () => {
    const { plan, desk } = keptDesk();
    const ids = plan.sections.flatMap((section) => section.steps.map((step) => step.id));
    desk.select(itemAt(ids, 4));
    desk.selectMore(itemAt(ids, 2), 'up-to');
    expect(desk.getState().group).toEqual([ids[2], ids[3], ids[4]]);
    desk.selectMore(itemAt(ids, 6), 'this-too');
    desk.selectMore(itemAt(ids, 3), 'this-too');
    expect(desk.getState().group).toEqual([ids[2], ids[4], ids[6]]);
    desk.selectMore(itemAt(ids, 2), 'this-too');
    desk.selectMore(itemAt(ids, 6), 'this-too');
    expect(desk.getState()).toMatchObject({ selectedId: ids[4], group: [] });
    desk.select(itemAt(ids, 0));
    expect(desk.getState().group).toEqual([]);
  });
});
