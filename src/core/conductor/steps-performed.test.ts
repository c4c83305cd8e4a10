import { describe, expect, it } from 'vitest';
import { planAfter } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { LOG_FORMAT, LOG_VERSION, stepsPerformed, wereChanged, type LoggedEvent, type PerformanceLog } from '.';

const { plan } = itemAt(demoClasses(), 0);
const timeline = expandPlan(plan);
const { steps, runtimeSeconds } = timeline;
const logOf = (
  events: readonly (readonly [LoggedEvent['event'], number, number])[],
  performed: PerformanceLog['performed'] = null,
): PerformanceLog => ({
  format: LOG_FORMAT,
  version: LOG_VERSION,
  title: plan.title,
  events: events.map(([event, atSeconds, placeSeconds]) => ({ event, atSeconds, placeSeconds })),
  performed,
});
const sum = (rows: ReturnType<typeof stepsPerformed>): number =>
  rows.reduce((total, { performed }) => total + (performed?.seconds ?? 0), 0);

describe('the steps of a class as they were planned, changed and performed', () => {
  it('are the same where it ran by the clock from end to end', () => {
    const rows = stepsPerformed(
      plan,
      logOf([
        ['start', 0, 0],
        ['tick', runtimeSeconds, runtimeSeconds],
      ]),
    );
    expect(rows.map(({ step }) => step)).toEqual(steps.map(({ step }) => step));
    expect(wereChanged(rows)).toBe(false);
    for (const { name, planned, changed, performed, offSeconds } of rows) {
      expect(name).not.toBe('');
      expect(changed).toEqual(planned);
      expect(offSeconds).toBe(0);
      expect(performed?.startSeconds).toBeCloseTo(planned.startSeconds, 2);
      expect(performed?.seconds).toBeCloseTo(planned.seconds, 2);
    }
  });

  it('take a pause into the step where it was, and begin later after it', () => {
    const [first, second, third] = [itemAt(steps, 0), itemAt(steps, 1), itemAt(steps, 2)];
    const place = second.startSeconds + 2;
    const rows = stepsPerformed(
      plan,
      logOf([
        ['start', 0, 0],
        ['hold', place, place],
        ['go-on', place + 40, place],
        ['tick', runtimeSeconds + 40, runtimeSeconds],
      ]),
    );
    expect(itemAt(rows, 0).performed?.seconds).toBeCloseTo(first.endSeconds - first.startSeconds, 2);
    expect(itemAt(rows, 1).performed?.seconds).toBeCloseTo(second.endSeconds - second.startSeconds + 40, 2);
    expect(itemAt(rows, 2).performed?.startSeconds).toBeCloseTo(third.startSeconds + 40, 2);
    expect(sum(rows)).toBeCloseTo(runtimeSeconds + 40, 1);
    expect(itemAt(rows, 1).offSeconds).toBe(40);
  });

  it('were never performed where they were jumped over, and wait for a hand in the step that they stand in', () => {
    const third = itemAt(steps, 2);
    const rows = stepsPerformed(
      plan,
      logOf([
        ['start', 0, 0],
        ['by-hand', 0, 0],
        ['next-step', 300, third.startSeconds],
        ['end', 330, third.startSeconds],
      ]),
    );
    expect(itemAt(rows, 0).performed).toEqual({ startSeconds: 0, seconds: 300 });
    expect(itemAt(rows, 1).performed).toBeNull();
    expect(itemAt(rows, 2).performed).toEqual({ startSeconds: 300, seconds: 30 });
    expect(itemAt(rows, 3).performed).toBeNull();
  });

  it('show what was changed on the way', () => {
    const movement = plan.sections.flatMap(({ steps: own }) => own).find((one) => one.kind === 'movement');
    if (movement?.kind !== 'movement') throw new Error('no movement');
    const rounds = movement.rounds - 2;
    const changedPlan = planAfter(plan, { kind: 'set-step', stepId: movement.id, field: 'rounds', value: rounds });
    const rows = stepsPerformed(
      plan,
      logOf(
        [
          ['start', 0, 0],
          ['adapt', 1, 1],
          ['tick', 2, 2],
        ],
        changedPlan,
      ),
    );
    const row = rows.find(({ step }) => step === movement.id);
    expect(wereChanged(rows)).toBe(true);
    expect(row?.changed?.seconds).toBeLessThan(row?.planned.seconds ?? 0);
  });
});
