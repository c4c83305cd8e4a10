import { describe, expect, it } from 'vitest';
import { isMovement, setFields, planAfter, stepsInOrder, type ClassPlan, type MovementStep } from '@/core/plan';
import { demoClasses } from '@/demo/classes';
import { itemAt } from '@/core/units';
import { slackOf, type Slack } from './slack';

const { plan } = itemAt(demoClasses(), 0);
const first = stepsInOrder(plan).flatMap(({ step }) => (isMovement(step) && step.pacedBy === 'breath' ? [step] : []))[0] as MovementStep; // prettier-ignore

/** The class with its first movement changed. */
function having(fields: Partial<MovementStep>): ClassPlan {
  const edit = setFields(first, fields);
  return edit ? planAfter(plan, edit) : plan;
}
const ofFirst = (plan: ClassPlan, tooLong: boolean): readonly Omit<Slack, 'editTo'>[] =>
  slackOf(plan, tooLong).flatMap(({ editTo: _, ...slack }) => (slack.stepId === first.id ? [slack] : []));

describe('bounds that could give way', () => {
  it('are of the breath, by tenths, as far as a person breathes', () => {
    const shorter = itemAt(slackOf({ ...plan, pace: { ...plan.pace, pinned: false, minBreathSeconds: 4.3 } }, true), 0);
    expect(shorter).toMatchObject({ what: 'breath', stepId: null, from: 4.3, to: 4 });
    expect(shorter.values.map((value) => Number(value.toFixed(3)))).toEqual([4.2, 4.1, 4]);
    const longer = itemAt(
      slackOf({ ...plan, pace: { ...plan.pace, pinned: false, maxBreathSeconds: 19.8 } }, false),
      0,
    );
    expect(longer.values.map((value) => Number(value.toFixed(3)))).toEqual([19.9, 20]);
  });

  it('are pins, which are only taken out', () => {
    expect(ofFirst(having({ pinned: true }), true)).toEqual([
      { what: 'pin', stepId: first.id, from: 0, to: 0, values: [] },
    ]);
    const pinned = slackOf({ ...plan, pace: { ...plan.pace, pinned: true } }, true);
    expect(pinned[0]).toMatchObject({ what: 'pin', stepId: null, to: 0, values: [] });
  });

  it('are of the rounds, down to one and up to eighteen', () => {
    const free = having({ pinned: false, minRounds: 3, maxRounds: 5, rounds: 4, multiple: 1 });
    expect(ofFirst(free, true)).toEqual([{ what: 'rounds', stepId: first.id, from: 3, to: 1, values: [2, 1] }]);
    const [longer] = ofFirst(free, false);
    expect([longer?.from, longer?.to, longer?.values.length]).toEqual([5, 18, 13]);
  });

  it('are of the time, down to ten seconds, and up to twice as long or ten minutes', () => {
    const timed = { pinned: false, pacedBy: 'own-pace', seconds: 40, minSeconds: 25, maxSeconds: 60 } as const;
    expect(ofFirst(having(timed), true)).toEqual([
      { what: 'time', stepId: first.id, from: 25, to: 10, values: [20, 15, 10] },
    ]);
    expect(ofFirst(having(timed), false).map(({ from, to }) => [from, to])).toEqual([[60, 120]]);
    const long = { ...timed, seconds: 500, maxSeconds: 590 };
    expect(ofFirst(having(long), false).map(({ values }) => values)).toEqual([[595, 600]]);
  });

  it('are of rounds and of the time after them', () => {
    const both = {
      pinned: false,
      pacedBy: 'breath-then-own-pace',
      rounds: 3,
      minRounds: 2,
      maxRounds: 4,
      multiple: 1,
      seconds: 40,
      minSeconds: 20,
      maxSeconds: 50,
    } as const;
    expect(ofFirst(having(both), true).map(({ what, from, to }) => [what, from, to])).toEqual([
      ['rounds', 2, 1],
      ['time', 20, 10],
    ]);
    expect(ofFirst(having(both), false).map(({ what, from, to }) => [what, from, to])).toEqual([
      ['rounds', 4, 18],
      ['time', 50, 100],
    ]);
  });
});
