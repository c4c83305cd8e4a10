import { itemAt } from '@/core/units';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SECTION_ROLES } from '@/core/movement';
import {
  applyEdit,
  copyPlan,
  copySection,
  emptyPlan,
  makeSection,
  makeStep,
  stepsInOrder,
  type ClassPlan,
  type Edit,
} from '.';

let count = 0;
const newId = (): string => `e${++count}`;

function sample(): ClassPlan {
  const plan = emptyPlan(newId, 'Sample', 600);
  const sections = [
    makeSection(newId, 'arrival', [makeStep(newId, 'talk'), makeStep(newId, 'movement')]),
    makeSection(newId, 'main', [
      makeStep(newId, 'movement'),
      makeStep(newId, 'transition'),
      makeStep(newId, 'silence'),
    ]),
    makeSection(newId, 'closing'),
  ];
  return { ...plan, sections };
}

/** Any edit of a plan: named things are picked by number, so that it always finds something. */
function anyEdit(plan: ClassPlan): fc.Arbitrary<Edit> {
  const steps = stepsInOrder(plan).map(({ step }) => step);
  const section = fc.constantFrom(...plan.sections).map((one) => one.id);
  const step = fc.constantFrom(...steps);
  const index = fc.integer({ min: -1, max: 6 });
  return fc.oneof(
    fc.string().map((value): Edit => ({ kind: 'set-plan', field: 'title', value })),
    fc.integer().map((value): Edit => ({ kind: 'set-plan', field: 'targetSeconds', value })),
    fc
      .record({ section, role: fc.constantFrom(...SECTION_ROLES) })
      .map(({ section: sectionId, role }): Edit => ({ kind: 'set-section', sectionId, field: 'role', value: role })),
    fc
      .record({ step, value: fc.string() })
      .map(({ step: one, value }): Edit => ({ kind: 'set-step', stepId: one.id, field: 'name', value })),
    index.map((at): Edit => ({
      kind: 'insert-section',
      index: at,
      section: makeSection(newId, 'main', [makeStep(newId, 'talk')]),
    })),
    section.map((sectionId): Edit => ({ kind: 'remove-section', sectionId })),
    fc
      .record({ section, index })
      .map(({ section: sectionId, index: toIndex }): Edit => ({ kind: 'move-section', sectionId, toIndex })),
    fc.record({ section, index }).map(({ section: sectionId, index: at }): Edit => ({
      kind: 'insert-step',
      sectionId,
      index: at,
      step: makeStep(newId, 'movement'),
    })),
    step.map((one): Edit => ({ kind: 'remove-step', stepId: one.id })),
    fc.record({ step, section, index }).map(({ step: one, section: toSectionId, index: toIndex }): Edit => ({
      kind: 'move-step',
      stepId: one.id,
      toSectionId,
      toIndex,
    })),
  );
}

describe('edits', () => {
  it('are undone exactly by their inverse, alone and together', () => {
    const plan = sample();
    fc.assert(
      fc.property(fc.array(anyEdit(plan), { minLength: 1, maxLength: 6 }), (edits) => {
        const result = applyEdit(plan, { kind: 'together', edits });
        if (!result.ok) return; // an edit named something an earlier one had removed; nothing may have changed
        const back = applyEdit(result.value.plan, result.value.inverse);
        expect(back.ok && back.value.plan).toEqual(plan);
        const again = back.ok ? applyEdit(back.value.plan, back.value.inverse) : back;
        expect(again.ok && again.value.plan).toEqual(result.value.plan);
      }),
      { numRuns: 400 },
    );
  });

  it('travel as JSON', () => {
    const plan = sample();
    fc.assert(
      fc.property(anyEdit(plan), (edit) => {
        const sent = JSON.parse(JSON.stringify(edit)) as Edit;
        expect(applyEdit(plan, sent)).toEqual(applyEdit(plan, edit));
      }),
    );
  });

  it('never change a plan in place, and share what they do not touch', () => {
    const plan = sample();
    const before = structuredClone(plan);
    const result = applyEdit(plan, {
      kind: 'set-step',
      stepId: itemAt(itemAt(plan.sections, 0).steps, 0).id,
      field: 'name',
      value: 'Other',
    });
    expect(plan).toEqual(before);
    expect(result.ok && result.value.plan.sections[1]).toBe(plan.sections[1]);
  });

  it('say why they cannot be applied', () => {
    const plan = sample();
    const problems = (
      [
        { kind: 'remove-step', stepId: 'nobody' },
        { kind: 'remove-section', sectionId: 'nobody' },
        { kind: 'set-step', stepId: itemAt(itemAt(plan.sections, 0).steps, 0).id, field: 'rounds', value: 3 },
        // As it might come from elsewhere: no type stands guard there.
        JSON.parse(
          `{"kind":"set-step","stepId":"${itemAt(itemAt(plan.sections, 0).steps, 0).id}","field":"id","value":"x"}`,
        ) as Edit,
        { kind: 'insert-section', index: 0, section: itemAt(plan.sections, 0) },
        {
          kind: 'insert-step',
          sectionId: itemAt(plan.sections, 0).id,
          index: 0,
          step: itemAt(itemAt(plan.sections, 1).steps, 0),
        },
        { kind: 'move-step', stepId: itemAt(itemAt(plan.sections, 0).steps, 0).id, toSectionId: 'nobody', toIndex: 0 },
      ] satisfies Edit[]
    ).map((edit) => {
      const result = applyEdit(plan, edit);
      return result.ok ? 'applied' : result.problem.code;
    });
    expect(problems).toEqual([
      'no-such-step',
      'no-such-section',
      'no-such-field',
      'no-such-field',
      'id-in-use',
      'id-in-use',
      'no-such-section',
    ]);
  });

  it('leave everything as it was when one of several fails', () => {
    const plan = sample();
    const result = applyEdit(plan, {
      kind: 'together',
      edits: [
        { kind: 'set-plan', field: 'title', value: 'New' },
        { kind: 'remove-step', stepId: 'nobody' },
      ],
    });
    expect(result.ok).toBe(false);
    expect(plan.title).toBe('Sample');
  });

  it('copies have ids of their own', () => {
    const plan = sample();
    const ids = (one: ClassPlan): string[] => JSON.stringify(one).match(/"id":"[^"]+"/g) ?? [];
    const both = [
      ...ids(plan),
      ...ids(copyPlan(newId, plan)),
      ...ids({ ...plan, sections: [copySection(newId, itemAt(plan.sections, 0))] }),
    ];
    expect(new Set(both).size).toBe(both.length);
  });
});
