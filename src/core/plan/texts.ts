import { together, setFields, type Edit } from './edit';
import type { ClassPlan } from './schema';
import { contractOf, type Step } from './steps';
import { placeName, type StepText, type TextChange } from './steps/text-place';

/** Every text of a step in the order in which it is first said. */
export function textsOf(step: Step): StepText[] {
  const texts: StepText[] = [];
  contractOf(step).changedTexts(step, (text, place) => {
    if (text.trim() !== '') texts.push({ text, place });
    return text;
  });
  return texts;
}

/** The texts of a step that are ever said. */
export function saidTextsOf(step: Step): StepText[] {
  return textsOf(step).filter(({ place }) => contractOf(step).isSaid(step, place));
}

/**
 * The edit that changes every text of a step by a function; `null` when it changes none. Each field is set whole, so
 * that a text never overwrites another of the same field.
 */
export function changeTexts(step: Step, change: TextChange): Edit | null {
  return setFields(step, contractOf(step).changedTexts(step, change));
}

/** The same over a whole class; `null` when nothing changes. */
export function changePlanTexts(plan: ClassPlan, change: (text: string, step: Step) => string): Edit | null {
  return together(
    plan.sections.flatMap((section) =>
      section.steps.flatMap((step) => changeTexts(step, (text) => change(text, step)) ?? []),
    ),
  );
}

/** A text of a class and what it is to be; `place` is its `placeName`. */
export interface Reworded {
  readonly stepId: string;
  readonly place: string;
  readonly from: string;
  readonly to: string;
}

/** The edit that words texts anew, by step and place; `null` when none of them is there or differs. */
export function rewordEdit(plan: ClassPlan, texts: readonly Reworded[]): Edit | null {
  const wanted = new Map(texts.map((one) => [`${one.stepId} ${one.place}`, one.to]));
  return together(
    plan.sections.flatMap((section) =>
      section.steps.flatMap(
        (step) => changeTexts(step, (text, place) => wanted.get(`${step.id} ${placeName(place)}`) ?? text) ?? [],
      ),
    ),
  );
}
