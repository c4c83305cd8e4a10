import { useHotkeys } from 'react-hotkeys-hook';
import { findStep, stepsInOrder } from '@/core/plan';
import { roundsEdit } from './asked-edits';
import type { DeskStore } from './desk-store';
import { moveStepBy } from './moves';

interface Openers {
  readonly onFit: () => void;
  readonly onGuide: () => void;
  readonly onKeys: () => void;
  readonly onLengths: () => void;
  readonly onChecks: () => void;
  readonly onWords: () => void;
  /** Nothing is bound while something lies over the desk. */
  readonly enabled: boolean;
}

/** The keys of the desk; none of them is bound where text is typed. */
export function useDeskKeys(
  desk: DeskStore,
  { onFit, onGuide, onKeys, onLengths, onChecks, onWords, enabled }: Openers,
): void {
  const options = { enabled, preventDefault: true };
  useHotkeys('mod+z', () => desk.undo(), options);
  useHotkeys('mod+shift+z, mod+y', () => desk.redo(), options);
  useHotkeys('j', () => choose(desk, 1), options);
  useHotkeys('k', () => choose(desk, -1), options);
  useHotkeys('shift+j', () => chooseMore(desk, 1), options);
  useHotkeys('shift+k', () => chooseMore(desk, -1), options);
  useHotkeys('alt+down', () => shift(desk, 1), options);
  useHotkeys('alt+up', () => shift(desk, -1), options);
  useHotkeys('f', onFit, options);
  useHotkeys('g', onGuide, options);
  useHotkeys('l', onLengths, options);
  useHotkeys('c', onChecks, options);
  useHotkeys('w', onWords, options);
  useHotkeys('escape', () => desk.select(null), options);
  useHotkeys('+', () => addRounds(desk, 1), { ...options, useKey: true, splitKey: ' ' });
  useHotkeys('-', () => addRounds(desk, -1), { ...options, useKey: true });
  useHotkeys('?', onKeys, { ...options, useKey: true });
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
  if (step?.kind !== 'movement') return;
  const edit = roundsEdit(step, step.rounds + by * step.multiple);
  if (edit) desk.edit(edit, `${step.id} rounds`);
}
