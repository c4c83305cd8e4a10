import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import type { MovementContent } from '@/core/movement';
import {
  applyEdit,
  comparePlans,
  companionsOf,
  copyPlan,
  emptyPlan,
  fillGapsEdit,
  findStep,
  skipEdit,
  makeLength,
  makeMovement,
  makeSilence,
  makeSection,
  makeTalk,
  makeTransition,
  maySkip,
  planAfter,
  planAtLength,
  setFields,
  planMilliseconds,
  readPlan,
  stanceGaps,
  stepPaces,
  withLengthPin,
  type ClassPlan,
  type Edit,
  type Section,
  type Step,
} from '.';

let count = 0;
const newId = (): string => `c${++count}`;

function planOf(steps: readonly Step[], role: Section['role'] = 'main'): ClassPlan {
  return { ...emptyPlan(newId, 'Sample', 600), sections: [makeSection(newId, role, steps)] };
}

const movement = (name: string, part: Partial<MovementContent> = {}): Step => makeMovement(newId, name, part);

function edited(plan: ClassPlan, edit: Edit): ClassPlan {
  const applied = applyEdit(plan, edit);
  if (!applied.ok) throw new Error(applied.problem.code);
  return applied.value.plan;
}

describe('stances through a class', () => {
  const wide = movement('Wide', { stanceStart: 'wide', stanceEnd: 'wide' });
  const together = movement('Together', { stanceStart: 'feet-together', stanceEnd: 'feet-together' });

  it('meet, or a transition is proposed that leads to the next', () => {
    const plan = planOf([wide, movement('Any'), together]);
    const gaps = stanceGaps(plan);
    expect(gaps).toMatchObject([{ stepId: together.id, from: 'wide', to: 'feet-together', index: 2 }]);
    const filled = edited(plan, fillGapsEdit(newId, gaps));
    expect(stanceGaps(filled)).toEqual([]);
    expect(itemAt(filled.sections, 0).steps[2]).toMatchObject({
      kind: 'transition',
      stance: 'feet-together',
      goesWith: 'next',
    });
    expect(readPlan(filled).ok).toBe(true);
  });

  it('are followed only through what is performed', () => {
    expect(
      stanceGaps(planOf([wide, { ...movement('Left out', { stanceStart: 'seated' }), skipped: true }, wide])),
    ).toEqual([]);
  });

  it('a transition that does not say where it leads leaves the stance open', () => {
    expect(stanceGaps(planOf([wide, makeTransition(newId, 'Feet', 5, 'Step.'), together]))).toEqual([]);
  });

  it('turn round with the side it starts on', () => {
    const forward = { stanceStart: 'left-forward', stanceEnd: 'left-forward', sides: 'one-then-other' } as const;
    const left = movement('Left', forward);
    const right = movement('Right', { ...forward, startSide: 'right' });
    expect(stanceGaps(planOf([left, right]))).toMatchObject([{ from: 'left-forward', to: 'right-forward' }]);
  });
});

describe('leaving out', () => {
  it('never takes arrival, closing, spoken cautions, nor what is always kept', () => {
    const low = movement('Low', { priority: 'low' });
    expect(maySkip(low, 'main')).toBe(true);
    expect(maySkip(low, 'arrival')).toBe(false);
    expect(maySkip(low, 'closing')).toBe(false);
    expect(maySkip(movement('Kept', { priority: 'always' }), 'main')).toBe(false);
    expect(maySkip({ ...makeTalk(newId, 'Caution', []), priority: 'low', caution: true }, 'main')).toBe(false);
  });

  it('takes along what goes with a step, and brings it back', () => {
    const feet = makeTransition(newId, 'Feet', 5, 'Step.', { goesWith: 'next' });
    const word = { ...makeTalk(newId, 'Word', ['Before.']), goesWith: 'next' as const };
    const main = movement('Main', { priority: 'low' });
    const after = makeSilence(newId, 'After', { goesWith: 'previous' });
    const plan = planOf([movement('First'), feet, word, main, after]);
    expect(
      companionsOf(plan)
        .get(main.id)
        ?.map((step) => step.name),
    ).toEqual(['Feet', 'Word', 'After']);
    const without = edited(plan, skipEdit(plan, main.id, true));
    expect(itemAt(without.sections, 0).steps.map((step) => step.skipped)).toEqual([false, true, true, true, true]);
    expect(planMilliseconds(without)).toBe(planMilliseconds(planOf([itemAt(itemAt(plan.sections, 0).steps, 0)])));
    expect(edited(without, skipEdit(without, main.id, false))).toEqual(plan);
  });

  it('does not change the breath of the others', () => {
    const steps = ['One', 'Two', 'Three'].map((name) => movement(name));
    const plan = { ...planOf(steps), pace: { ...emptyPlan(newId, 'x', 60).pace, closingRatio: 2 } };
    const without = edited(plan, skipEdit(plan, itemAt(steps, 1).id, true));
    expect(stepPaces(without).get(itemAt(steps, 2).id)).toEqual(stepPaces(plan).get(itemAt(steps, 2).id));
  });
});

describe('the pace of a step', () => {
  it('follows the profile, a section’s own, or the step’s own', () => {
    const steps = ['One', 'Two'].map((name) => movement(name, { paceMultiplier: 0.5 }));
    const plan = planOf([...steps, movement('Own', { inhaleShare: 0.6 })]);
    const section = { ...itemAt(plan.sections, 0), paceMultiplier: 1.2, inhaleShare: 0.3 };
    const paces = stepPaces({ ...plan, sections: [section] });
    expect([...paces.values()]).toEqual([
      { multiplier: 0.6, inhaleShare: 0.3 },
      { multiplier: 0.6, inhaleShare: 0.3 },
      { multiplier: 1.2, inhaleShare: 0.6 },
    ]);
  });
});

describe('another length of a class', () => {
  const steps = [movement('One'), movement('Two', { pacedBy: 'own-pace' }), makeSilence(newId, 'Three', {})];
  const plan = planOf(steps);
  const length = makeLength(newId, '5 minutes', 300);

  it('is the same steps under its own target and pins', () => {
    const lengths = withLengthPin([length], length.id, itemAt(steps, 0).id, { rounds: 2 });
    const [pinned] = firstItems(withLengthPin(lengths, length.id, itemAt(steps, 2).id, { skipped: true }), 1);
    const at = planAtLength(plan, { ...pinned, breathSeconds: 8 });
    expect(at).toMatchObject({ title: 'Sample, 5 minutes', targetSeconds: 300, lengths: [] });
    expect(at.pace).toMatchObject({ breathSeconds: 8, pinned: true });
    expect(findStep(at, itemAt(steps, 0).id)?.step).toMatchObject({ rounds: 2, pinned: true });
    expect(findStep(at, itemAt(steps, 2).id)?.step).toMatchObject({ skipped: true, pinned: true });
    expect(findStep(at, itemAt(steps, 1).id)?.step).toBe(steps[1]);
  });

  it('keeps a step in, with its rounds left to the fit', () => {
    const low = {
      ...plan,
      sections: [{ ...itemAt(plan.sections, 0), steps: [{ ...itemAt(steps, 0), priority: 'low' as const }] }],
    };
    const [pinned] = firstItems(withLengthPin([length], length.id, itemAt(steps, 0).id, { skipped: false }), 1);
    expect(itemAt(planAtLength(low, pinned).sections, 0).steps[0]).toMatchObject({ priority: 'always', pinned: false });
  });

  it('loses a pin whose values are all given back, and passes over a step that is gone', () => {
    const [pinned] = firstItems(withLengthPin([length], length.id, itemAt(steps, 0).id, { rounds: 2 }), 1);
    expect(withLengthPin([pinned], length.id, itemAt(steps, 0).id, { rounds: null })).toEqual([length]);
    const gone = { ...length, pins: [{ stepId: 'gone', skipped: true, rounds: 3, seconds: null }] };
    expect(planAtLength(plan, gone).sections).toEqual(plan.sections);
  });

  it('keeps its pins on the right steps when the class is copied', () => {
    const lengths = withLengthPin([length], length.id, itemAt(steps, 2).id, { seconds: 45 });
    const copy = copyPlan(newId, { ...plan, lengths });
    expect(itemAt(itemAt(copy.lengths, 0).pins, 0).stepId).toBe(itemAt(itemAt(copy.sections, 0).steps, 2).id);
  });
});

describe('what changed between two states', () => {
  const [one, two, three] = [movement('One'), movement('Two'), makeSilence(newId, 'Three', {})];
  const plan = planOf([one, two, three]);
  const codes = (after: ClassPlan): string[] =>
    comparePlans(plan, after).map((change) => ('name' in change ? `${change.code} ${change.name}` : change.code));
  const set = <One extends Step>(step: One, fields: Partial<One>): ClassPlan =>
    planAfter(plan, setFields(step, fields));

  it('is told step by step', () => {
    expect(codes(plan)).toEqual([]);
    expect(codes({ ...plan, title: 'Other', targetSeconds: 300 })).toEqual(['title', 'target']);
    expect(codes({ ...plan, pace: { ...plan.pace, breathSeconds: 8, curve: 'eased' } })).toEqual(['breath', 'pace']);
    expect(codes(set(one, { rounds: 7 }))).toEqual(['rounds One']);
    expect(codes(set(one, { lastRoundLine: 'Once more.' }))).toEqual(['words One']);
    expect(codes(set(one, { sides: 'alternating' }))).toEqual(['step-changed One']);
    expect(codes(set(one, { minRounds: 1 }))).toEqual(['step-changed One']);
    expect(codes(set(three, { seconds: 99 }))).toEqual(['time Three']);
    expect(codes(edited(plan, skipEdit(plan, two.id, true)))).toEqual(['left-out Two']);
    expect(codes(edited(plan, { kind: 'remove-step', stepId: two.id }))).toEqual(['step-removed Two']);
    expect(codes(planOf([one, two, three, movement('Four')]))).toContain('step-added Four');
    const sectionId = itemAt(plan.sections, 0).id;
    expect(codes(edited(plan, { kind: 'move-step', stepId: one.id, toSectionId: sectionId, toIndex: 2 }))).toEqual([
      'order',
    ]);
  });
});
