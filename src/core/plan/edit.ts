import { sameDocument, type FieldAndValue } from '@/core/document';
import { itemAt, failed, ok, takenAs, type Result } from '@/core/units';
import type { ClassPlan, Section } from './schema';
import type { Step, StepKind, StepOf } from './steps';

type PlanField = Exclude<keyof ClassPlan, 'format' | 'version' | 'sections'>;
type SectionField = Exclude<keyof Section, 'id' | 'steps'>;
/** A field of a kind of step that an edit may set. */
export type StepField<Kind extends StepKind = StepKind> = Kind extends StepKind
  ? Exclude<keyof StepOf<Kind>, 'id' | 'kind'>
  : never;

/** A change of one field of the whole class: the value belongs to the field. */
export type SetPlan = {
  readonly [Field in PlanField]: { readonly kind: 'set-plan'; readonly field: Field; readonly value: ClassPlan[Field] };
}[PlanField];

export type SetSection = {
  readonly [Field in SectionField]: {
    readonly kind: 'set-section';
    readonly sectionId: string;
    readonly field: Field;
    readonly value: Section[Field];
  };
}[SectionField];

/** A change of one field of a step: the field belongs to a kind of step, and the value to the field. */
export type SetStep<Kind extends StepKind = StepKind> = Kind extends StepKind
  ? {
      readonly [Field in StepField<Kind>]: {
        readonly kind: 'set-step';
        readonly stepId: string;
        readonly field: Field;
        readonly value: StepOf<Kind>[Field];
      };
    }[StepField<Kind>]
  : never;

/**
 * One change to a plan, as data. `set-*` replaces one field of the thing named; the others insert, remove and move
 * whole sections and steps. `together` is several edits in order, undone as one.
 */
export type Edit =
  | SetPlan
  | SetSection
  | SetStep
  | { readonly kind: 'insert-section'; readonly index: number; readonly section: Section }
  | { readonly kind: 'remove-section'; readonly sectionId: string }
  | { readonly kind: 'move-section'; readonly sectionId: string; readonly toIndex: number }
  | { readonly kind: 'insert-step'; readonly sectionId: string; readonly index: number; readonly step: Step }
  | { readonly kind: 'remove-step'; readonly stepId: string }
  | { readonly kind: 'move-step'; readonly stepId: string; readonly toSectionId: string; readonly toIndex: number }
  | { readonly kind: 'together'; readonly edits: readonly Edit[] };

/** Sets one field of the whole class. */
export function setPlan(...[field, value]: FieldAndValue<ClassPlan, PlanField>): Edit {
  return correlated<SetPlan>({ kind: 'set-plan', field, value });
}

export function setSection(sectionId: string, ...[field, value]: FieldAndValue<Section, SectionField>): Edit {
  return correlated<SetSection>({ kind: 'set-section', sectionId, field, value });
}

/** Sets one field of a step. */
export function setStep<One extends Step>(
  step: One,
  ...[field, value]: FieldAndValue<One, Exclude<keyof One, 'id' | 'kind'>>
): Edit {
  return correlated<SetStep>({ kind: 'set-step', stepId: step.id, field, value });
}

/** Sets those fields of a step that differ from what it has; `null` where none does. */
export function setFields<One extends Step>(step: One, fields: Partial<One>): Edit | null {
  const edits: Edit[] = [];
  for (const field of Object.keys(fields) as (keyof One)[]) {
    const value = fields[field];
    if (field === 'id' || field === 'kind' || value === undefined || sameDocument(value, step[field])) continue;
    edits.push(correlated<SetStep>({ kind: 'set-step', stepId: step.id, field, value }));
  }
  return together(edits);
}

/** Edits in order as one; `null` where there are none. */
export function together(edits: readonly Edit[]): Edit | null {
  if (edits.length === 0) return null;
  return edits.length === 1 ? itemAt(edits, 0) : { kind: 'together', edits };
}

/** A field and its value belong together; the compiler does not follow that once the field is a variable. */
function correlated<Change extends Edit>(edit: { readonly [Part in keyof Change]: unknown }): Change {
  return takenAs<Change>(edit);
}

/** Why an edit could not be applied; nothing was changed. */
export interface EditProblem {
  readonly code: 'no-such-section' | 'no-such-step' | 'no-such-field' | 'id-in-use';
  readonly what: string;
}

export interface Applied {
  readonly plan: ClassPlan;
  /** The edit that takes it back exactly. */
  readonly inverse: Edit;
}

/**
 * Applies an edit to a plan and gives the new plan with the inverse edit. An index outside the list is taken as its
 * nearest end. Checks only what it needs to find its place: values are judged by `checkPlan`.
 */
export function applyEdit(plan: ClassPlan, edit: Edit): Result<Applied, EditProblem> {
  switch (edit.kind) {
    case 'set-plan':
      return done({ ...plan, [edit.field]: edit.value }, correlated<SetPlan>({ ...edit, value: plan[edit.field] }));
    case 'set-section':
      return changeSection(plan, edit.sectionId, (section) => ({
        after: { ...section, [edit.field]: edit.value },
        inverse: correlated<SetSection>({ ...edit, value: section[edit.field] }),
      }));
    case 'set-step':
      return applyToStep(plan, edit);
    case 'insert-section': {
      if (plan.sections.some((section) => section.id === edit.section.id)) return refused('id-in-use', edit.section.id);
      return done(
        { ...plan, sections: inserted(plan.sections, edit.index, edit.section) },
        { kind: 'remove-section', sectionId: edit.section.id },
      );
    }
    case 'remove-section': {
      const index = plan.sections.findIndex((section) => section.id === edit.sectionId);
      const section = plan.sections[index];
      if (!section) return refused('no-such-section', edit.sectionId);
      return done(
        { ...plan, sections: plan.sections.filter((_, at) => at !== index) },
        { kind: 'insert-section', index, section },
      );
    }
    case 'move-section': {
      const index = plan.sections.findIndex((section) => section.id === edit.sectionId);
      const section = plan.sections[index];
      if (!section) return refused('no-such-section', edit.sectionId);
      const rest = plan.sections.filter((_, at) => at !== index);
      return done({ ...plan, sections: inserted(rest, edit.toIndex, section) }, { ...edit, toIndex: index });
    }
    case 'insert-step': {
      if (findStep(plan, edit.step.id)) return refused('id-in-use', edit.step.id);
      return changeSection(plan, edit.sectionId, (section) => ({
        after: { ...section, steps: inserted(section.steps, edit.index, edit.step) },
        inverse: { kind: 'remove-step', stepId: edit.step.id },
      }));
    }
    case 'remove-step':
      return removeStep(plan, edit.stepId);
    case 'move-step':
      return moveStep(plan, edit);
    case 'together':
      return applyTogether(plan, edit.edits);
  }
}

/** The plan after an edit; the same where there is none, or it finds no place. */
export function planAfter(plan: ClassPlan, edit: Edit | null): ClassPlan {
  const applied = edit ? applyEdit(plan, edit) : null;
  return applied?.ok ? applied.value.plan : plan;
}

/** Where a step stands: its section, its place there, and itself. */
export function findStep(
  plan: ClassPlan,
  stepId: string,
): { readonly section: Section; readonly index: number; readonly step: Step } | null {
  for (const section of plan.sections) {
    const index = section.steps.findIndex((step) => step.id === stepId);
    if (index >= 0) return { section, index, step: itemAt(section.steps, index) };
  }
  return null;
}

function applyToStep(plan: ClassPlan, edit: SetStep): Result<Applied, EditProblem> {
  const found = findStep(plan, edit.stepId);
  if (!found) return refused('no-such-step', edit.stepId);
  const { step } = found;
  const { field } = edit;
  if (!hasField(step, field)) return refused('no-such-field', field);
  const after: Step = { ...step, [field]: edit.value };
  return changeSection(plan, found.section.id, (section) => ({
    after: { ...section, steps: section.steps.map((one, at) => (at === found.index ? after : one)) },
    inverse: correlated<SetStep>({ ...edit, value: step[field] }),
  }));
}

/** Whether a step has a field that may be set: an edit may name one of another kind. */
function hasField<One extends Step>(step: One, field: string): field is Exclude<keyof One & string, 'id' | 'kind'> {
  return field in step && field !== 'id' && field !== 'kind';
}

function removeStep(plan: ClassPlan, stepId: string): Result<Applied, EditProblem> {
  const found = findStep(plan, stepId);
  if (!found) return refused('no-such-step', stepId);
  return changeSection(plan, found.section.id, (section) => ({
    after: { ...section, steps: section.steps.filter((step) => step.id !== stepId) },
    inverse: { kind: 'insert-step', sectionId: section.id, index: found.index, step: found.step },
  }));
}

function moveStep(plan: ClassPlan, edit: Extract<Edit, { kind: 'move-step' }>): Result<Applied, EditProblem> {
  const found = findStep(plan, edit.stepId);
  if (!found) return refused('no-such-step', edit.stepId);
  if (!plan.sections.some((section) => section.id === edit.toSectionId))
    return refused('no-such-section', edit.toSectionId);
  const sections = plan.sections.map((section) => {
    const rest =
      section.id === found.section.id ? section.steps.filter((step) => step.id !== edit.stepId) : section.steps;
    const steps = section.id === edit.toSectionId ? inserted(rest, edit.toIndex, found.step) : rest;
    return steps === section.steps ? section : { ...section, steps };
  });
  return done(
    { ...plan, sections },
    { kind: 'move-step', stepId: edit.stepId, toSectionId: found.section.id, toIndex: found.index },
  );
}

function applyTogether(plan: ClassPlan, edits: readonly Edit[]): Result<Applied, EditProblem> {
  let now = plan;
  const inverses: Edit[] = [];
  for (const edit of edits) {
    const result = applyEdit(now, edit);
    if (!result.ok) return result;
    now = result.value.plan;
    inverses.unshift(result.value.inverse);
  }
  return done(now, { kind: 'together', edits: inverses });
}

function changeSection(
  plan: ClassPlan,
  sectionId: string,
  change: (section: Section) => { readonly after: Section; readonly inverse: Edit },
): Result<Applied, EditProblem> {
  const index = plan.sections.findIndex((section) => section.id === sectionId);
  if (index < 0) return refused('no-such-section', sectionId);
  const { after, inverse } = change(itemAt(plan.sections, index));
  return done({ ...plan, sections: plan.sections.map((section, at) => (at === index ? after : section)) }, inverse);
}

function inserted<Item>(items: readonly Item[], index: number, item: Item): Item[] {
  const at = Math.min(items.length, Math.max(0, Math.trunc(index)));
  return [...items.slice(0, at), item, ...items.slice(at)];
}

function done(plan: ClassPlan, inverse: Edit): Result<Applied, EditProblem> {
  return ok({ plan, inverse });
}

function refused(code: EditProblem['code'], what: string): Result<Applied, EditProblem> {
  return failed({ code, what });
}
