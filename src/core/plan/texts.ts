import type { Form, Moments, MovementContent, Shortened } from '@/core/movement';
import type { Edit } from './edit';
import type { ClassPlan, Step } from './model';

/** Where in a step a text stands. */
export type TextPlace =
  | { readonly part: 'phase'; readonly phaseId: string; readonly form: Exclude<Form, 'silent'> }
  | { readonly part: 'teach' | 'line'; readonly lineId: string }
  | { readonly part: 'moment'; readonly moment: keyof Moments }
  | { readonly part: 'short'; readonly line: Shortened }
  | { readonly part: 'level'; readonly index: number }
  | {
      readonly part:
        'sideChangeLine' | 'lastRoundLine' | 'openingLine' | 'reassuranceLine' | 'callBackLine' | 'transitionLine';
    };

/** A short name for the place of a text, which stays while the text does. */
export function placeName(
  place: TextPlace | { readonly part: 'phase'; readonly phaseId: string; readonly form: string },
): string {
  if (place.part === 'phase') return `phase ${place.phaseId} ${place.form}`;
  if (place.part === 'teach' || place.part === 'line') return `${place.part} ${place.lineId}`;
  if (place.part === 'moment') return `moment ${place.moment}`;
  if (place.part === 'short') return `short ${place.line}`;
  return place.part === 'level' ? `level ${place.index}` : place.part;
}

/**
 * A line of a movement that belongs to no phase, in a form, and where it stands: for every form but the full one the
 * short wording, where there is one.
 */
export function lineIn(content: MovementContent, line: Shortened, form: Form): StepText {
  const short = content.shorts[line];
  if (form !== 'full' && short.trim() !== '') return { text: short, place: { part: 'short', line } };
  if (line === 'lastRound') return { text: content.lastRoundLine, place: { part: 'lastRoundLine' } };
  if (line === 'sideChange') return { text: content.sideChangeLine, place: { part: 'sideChangeLine' } };
  return { text: content.moments[line], place: { part: 'moment', moment: line } };
}

/** One text that is said in a step, its tokens not filled; empty ones are not told. */
export interface StepText {
  readonly text: string;
  readonly place: TextPlace;
}

type Change = (text: string, place: TextPlace) => string;
type Fields = Readonly<Record<string, unknown>>;

/** Every text of a step in the order in which it is first said. */
export function textsOf(step: Step): StepText[] {
  const texts: StepText[] = [];
  changedFields(step, (text, place) => {
    if (text.trim() !== '') texts.push({ text, place });
    return text;
  });
  return texts;
}

/**
 * The edit that changes every text of a step by a function; `null` when it changes none. Each field is set whole, so
 * that a text never overwrites another of the same field.
 */
export function changeTexts(step: Step, change: Change): Edit | null {
  const fields = changedFields(step, change);
  const before = step as unknown as Fields;
  const edits = Object.keys(fields)
    .filter((field) => JSON.stringify(fields[field]) !== JSON.stringify(before[field]))
    .map((field): Edit => ({ kind: 'set-step', stepId: step.id, field, value: fields[field] as never }));
  if (edits.length === 0) return null;
  return edits.length === 1 ? edits[0] : { kind: 'together', edits };
}

/** The same over a whole class; `null` when nothing changes. */
export function changePlanTexts(plan: ClassPlan, change: (text: string, step: Step) => string): Edit | null {
  const edits = plan.sections.flatMap((section) =>
    section.steps.flatMap((step) => changeTexts(step, (text) => change(text, step)) ?? []),
  );
  return edits.length === 0 ? null : { kind: 'together', edits };
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
  const edits = plan.sections.flatMap((section) =>
    section.steps.flatMap(
      (step) => changeTexts(step, (text, place) => wanted.get(`${step.id} ${placeName(place)}`) ?? text) ?? [],
    ),
  );
  return edits.length === 0 ? null : { kind: 'together', edits };
}

const FORMS = ['full', 'short', 'breath'] as const;

/** The text fields of a step after a change, by field. */
function changedFields(step: Step, change: Change): Fields {
  if (step.kind === 'talk') {
    return {
      lines: step.lines.map((line) => ({ ...line, text: change(line.text, { part: 'line', lineId: line.id }) })),
    };
  }
  if (step.kind === 'quiet') {
    return {
      openingLine: change(step.openingLine, { part: 'openingLine' }),
      reassuranceLine: change(step.reassuranceLine, { part: 'reassuranceLine' }),
      callBackLine: change(step.callBackLine, { part: 'callBackLine' }),
    };
  }
  if (step.kind === 'transition') return { line: change(step.line, { part: 'transitionLine' }) };
  const shorts = { ...step.shorts };
  const shortened = (line: Shortened): void => {
    shorts[line] = change(step.shorts[line], { part: 'short', line });
  };
  const moment = (name: keyof Moments): string => {
    const text = change(step.moments[name], { part: 'moment', moment: name });
    shortened(name);
    return text;
  };
  const naming = moment('naming');
  const caution = moment('caution');
  const teach = step.teach.map((line) => ({ ...line, text: change(line.text, { part: 'teach', lineId: line.id }) }));
  const levels = step.levels.map((level, index) => ({ ...level, line: change(level.line, { part: 'level', index }) }));
  const sending = moment('sending');
  const pattern = step.pattern.map((phase) => {
    const said = { ...phase };
    for (const form of FORMS) said[form] = change(phase[form], { part: 'phase', phaseId: phase.id, form });
    return said;
  });
  const roundsLeft = moment('roundsLeft');
  const lastRoundLine = change(step.lastRoundLine, { part: 'lastRoundLine' });
  shortened('lastRound');
  const sideChangeLine = change(step.sideChangeLine, { part: 'sideChangeLine' });
  shortened('sideChange');
  const leaving = moment('leaving');
  return {
    moments: { naming, caution, sending, roundsLeft, leaving },
    shorts,
    teach,
    levels,
    pattern,
    lastRoundLine,
    sideChangeLine,
  };
}
