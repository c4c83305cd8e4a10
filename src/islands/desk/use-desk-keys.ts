import { askRounds, isMovement, findStep, stepsInOrder } from '@/core/plan';
import { useKey } from '@/ui/parts/use-keys';
import type { DeskStore } from './desk-store';
import { moveStepBy } from './timeline/moves';

interface Openers {
  readonly onFit: () => void;
  readonly onPrompter: () => void;
  readonly onLengths: () => void;
  readonly onChecks: () => void;
  readonly onWords: () => void;
  /** Nothing is bound while something lies over the desk. */
  readonly enabled: boolean;
}

/** The keys of the desk; none of them is bound where text is typed. */
export function useDeskKeys(
  desk: DeskStore,
  { onFit, onPrompter, onLengths, onChecks, onWords, enabled }: Openers,
): void {
  const options = { enabled };
  useKey('mod+z', () => desk.undo(), options);
  useKey('mod+shift+z, mod+y', () => desk.redo(), options);
  useKey('j', () => choose(desk, 1), options);
  useKey('k', () => choose(desk, -1), options);
  useKey('shift+j', () => chooseMore(desk, 1), options);
  useKey('shift+k', () => chooseMore(desk, -1), options);
  useKey('alt+down', () => shift(desk, 1), options);
  useKey('alt+up', () => shift(desk, -1), options);
  useKey('f', onFit, options);
  useKey('g', onPrompter, options);
  useKey('l', onLengths, options);
  useKey('c', onChecks, options);
  useKey('w', onWords, options);
  useKey('escape', () => desk.select(null), options);
  useKey('+', () => addRounds(desk, 1), { ...options, useKey: true, splitKey: ' ' });
  useKey('-', () => addRounds(desk, -1), { ...options, useKey: true });
  useKey('e', () => firstField(desk), options);
  useKey('a', () => addField(desk), options);
}

function choose(desk: DeskStore, by: 1 | -1): void {
  const { plan, selectedId } = desk.getState();
  const steps = stepsInOrder(plan);
  const at = steps.findIndex(({ step }) => step.id === selectedId);
  const next = steps[at < 0 ? (by > 0 ? 0 : steps.length - 1) : at + by];
  if (!next) return;
  desk.select(next.step.id);
  document.getElementById(`step-${next.step.id}`)?.scrollIntoView({ block: 'center' });
}

/** Chooses the step after, or before, what is chosen as well. */
function chooseMore(desk: DeskStore, by: 1 | -1): void {
  const { plan, selectedId, group } = desk.getState();
  if (selectedId === null) return choose(desk, by);
  const steps = stepsInOrder(plan).map(({ step }) => step.id);
  const edge = (by > 0 ? group.at(-1) : group[0]) ?? selectedId;
  const next = steps[steps.indexOf(edge) + by];
  if (next !== undefined) desk.selectMore(next, 'this-too');
}

function shift(desk: DeskStore, by: 1 | -1): void {
  const { plan, selectedId } = desk.getState();
  const edit = selectedId === null ? null : moveStepBy(plan, selectedId, by);
  if (edit) desk.edit(edit);
}

function addRounds(desk: DeskStore, by: 1 | -1): void {
  const { plan, selectedId } = desk.getState();
  const step = selectedId === null ? undefined : findStep(plan, selectedId)?.step;
  if (!isMovement(step)) return;
  const edit = askRounds(step, step.rounds + by * step.multiple);
  if (edit) desk.edit(edit, `${step.id} asked`);
}

/** To the first field of what is chosen; on a phone the fields come over the timeline. */
function firstField(desk: DeskStore, tries = 20): void {
  desk.showFields(true);
  requestAnimationFrame(() => {
    const field = document.querySelector<HTMLElement>('#fields :is(input, textarea, select):not([type=hidden])');
    // Just after the page is opened the fields are drawn last.
    if (field) field.focus();
    else if (tries > 0) firstField(desk, tries - 1);
  });
}

/** To the field that adds a step where one is at work. */
function addField(desk: DeskStore): void {
  const { plan, selectedId } = desk.getState();
  const section = (selectedId === null ? undefined : findStep(plan, selectedId)?.section) ?? plan.sections.at(-1);
  if (section) document.getElementById(`add-${section.id}-input`)?.focus();
}
