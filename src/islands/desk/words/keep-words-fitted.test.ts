import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { checkPlan } from '@/core/checks';
import { findStep, planAfter, type ClassPlan, type Edit, type MovementStep } from '@/core/plan';
import { fitWords } from '@/core/script';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { createDesk } from '../desk-store';

const demo = itemAt(demoClasses(), 0).plan;
const movements = demo.sections
  .flatMap((section) => section.steps)
  .filter((step): step is MovementStep => step.kind === 'movement' && step.pacedBy === 'breath');
const [first] = firstItems(movements, 1);
const LONG = 'Breathe in, and let the wrists carry the lamp all the way up past the belly and the ribs to the lips.';

/** The plan with its words fitted, and kept so. */
function kept(): ClassPlan {
  const on = planAfter(demo, { kind: 'set-plan', field: 'keepWordsFitted', value: true });
  return planAfter(on, fitWords(on, expandPlan(on), { manner: 'fullest' }).edit);
}

const saying = (plan: ClassPlan, full: string): Edit => {
  const step = findStep(plan, first.id)?.step as MovementStep;
  const pattern = step.pattern.map((phase, at) => ({ ...phase, full: at === 0 ? full : phase.full }));
  return { kind: 'set-step', stepId: first.id, field: 'pattern', value: pattern };
};
const fadeOf = (plan: ClassPlan, id: string): readonly string[] => (findStep(plan, id)?.step as MovementStep).fade;

describe('words kept fitted', () => {
  it('gives a line that grows too long its shorter form at once, and the full one back with the words', () => {
    const plan = kept();
    const desk = createDesk('c1', plan, 1);
    expect(fadeOf(plan, first.id)[0]).toBe('full');
    desk.edit(saying(plan, LONG));
    const now = desk.getState().plan;
    expect(fadeOf(now, first.id)[0]).not.toBe('full');
    const late = checkPlan(now).filter(({ check, stepId }) => check === 'line-too-long' && stepId === first.id);
    expect(late).toEqual([]);
    desk.undo();
    expect(desk.getState().plan).toEqual(plan);
  });

  it('leaves the other movements as they are, unless the whole class changes', () => {
    const plan = kept();
    const other = itemAt(movements, 1);
    const out = planAfter(plan, { kind: 'set-step', stepId: other.id, field: 'fade', value: ['silent'] });
    const desk = createDesk('c1', out, 1);
    desk.edit(saying(out, LONG));
    expect(fadeOf(desk.getState().plan, other.id)).toEqual(['silent']);
    desk.edit({ kind: 'set-plan', field: 'silenceShare', value: 0.2 });
    expect(fadeOf(desk.getState().plan, other.id)).not.toEqual(['silent']);
  });

  it('fits every movement anew as it is turned on, and as the theme changes', () => {
    const off = planAfter(kept(), { kind: 'set-plan', field: 'keepWordsFitted', value: false });
    const out = planAfter(off, { kind: 'set-step', stepId: first.id, field: 'fade', value: ['silent'] });
    const desk = createDesk('c1', out, 1);
    desk.edit({ kind: 'set-plan', field: 'keepWordsFitted', value: true });
    expect(fadeOf(desk.getState().plan, first.id)).not.toEqual(['silent']);
  });

  it('leaves forms that are set by hand, and does nothing while it is off', () => {
    const desk = createDesk('c1', kept(), 1);
    desk.edit({ kind: 'set-step', stepId: first.id, field: 'fade', value: ['breath'] });
    expect(fadeOf(desk.getState().plan, first.id)).toEqual(['breath']);
    const off = createDesk('c1', demo, 1);
    off.edit(saying(demo, LONG));
    expect(fadeOf(off.getState().plan, first.id)).toEqual(fadeOf(demo, first.id));
  });
});
