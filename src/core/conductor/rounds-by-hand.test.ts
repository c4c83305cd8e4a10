import { describe, expect, it } from 'vitest';
import { makeMovement, makeSection, emptyPlan, type ClassPlan, type MovementStep } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { rateOf, roundsBy, type LoggedEvent } from '.';

let count = 0;
const newId = (): string => `r${++count}`;
const planOf = (part: Parameters<typeof makeMovement>[2]): ClassPlan => ({
  ...emptyPlan(newId, 'Sample', 600, 10),
  sections: [makeSection(newId, 'main', [makeMovement(newId, 'Rowing', { preferredRounds: 4, ...part })])],
});
/** The rounds after one more or fewer in a round of a side; `null` where it cannot be. */
function rounds(plan: ClassPlan, round: number, by: 1 | -1, side?: string): number | null {
  const timeline = expandPlan(plan);
  const phase = timeline.phases.find((one) => one.round === round && (side === undefined || one.side === side));
  if (!phase) throw new Error('no such round');
  const now = roundsBy({ plan, timeline }, phase.startSeconds + 0.1, by);
  return now && (itemAt(itemAt(now.plan.sections, 0).steps, 0) as MovementStep).rounds;
}

describe('a round more or fewer, by hand', () => {
  it('is of the movement that runs, and takes no round that runs or was done', () => {
    const plan = planOf({});
    expect(rounds(plan, 2, 1)).toBe(5);
    expect(rounds(plan, 2, -1)).toBe(3);
    expect(rounds(plan, 4, -1)).toBeNull();
  });

  it('is of both sides, and so not where the first has had its own', () => {
    const plan = planOf({ sides: 'one-then-other' });
    expect(rounds(plan, 2, 1, 'left')).toBe(5);
    expect(rounds(plan, 2, 1, 'right')).toBeNull();
    expect(rounds(planOf({ sides: 'alternating' }), 2, 1, 'right')).toBe(5);
  });

  it('is none where nothing is counted, or nothing runs', () => {
    const plan = planOf({ pacedBy: 'own-pace', preferredSeconds: 60 });
    const timeline = expandPlan(plan);
    expect(roundsBy({ plan, timeline }, 5, 1)).toBeNull();
    expect(roundsBy({ plan: planOf({}), timeline: { ...timeline, steps: [] } }, 5, 1)).toBeNull();
  });

  it('leaves what was done where it was', () => {
    const plan = planOf({});
    const timeline = expandPlan(plan);
    const now = roundsBy({ plan, timeline }, 25, 1);
    const until = (of: typeof timeline) => of.phases.filter(({ endSeconds }) => endSeconds < 30);
    expect(until(now?.timeline ?? timeline)).toEqual(until(timeline));
    expect((now?.timeline.runtimeSeconds ?? 0) - timeline.runtimeSeconds).toBeCloseTo(10, 3);
  });
});

describe('the pace of an instructor', () => {
  const lines = (slow: number, stops: readonly number[] = []): LoggedEvent[] => {
    let atSeconds = 0;
    return Array.from({ length: 12 }, (_, at) => {
      atSeconds += at === 0 ? 0 : 5 * slow + (stops.includes(at) ? 40 : 0);
      return { event: at === 0 ? 'start' : 'next-line', atSeconds, placeSeconds: 5 * at } as const;
    });
  };

  it('is told by the lines moved on to by hand, without the stops', () => {
    expect(rateOf(lines(1.08))).toBeCloseTo(1.08, 6);
    expect(rateOf(lines(0.9, [3, 7]))).toBeCloseTo(0.9, 6);
  });

  it('is the planned one where too little is known', () => {
    expect(rateOf(lines(1.2).slice(0, 4))).toBe(1);
    expect(rateOf([])).toBe(1);
  });
});
