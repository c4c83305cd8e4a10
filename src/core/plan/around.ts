import type { Seconds } from '@/core/units';
import type { MovementStep } from './model';
import { lineIn, type TextPlace } from './texts';

/** A line said before or after the rounds of a movement; its tokens are not filled. */
export interface AroundLine {
  /** Unlike that of any other line of the step. */
  readonly name: string;
  readonly text: string;
  readonly place: TextPlace;
  /** Silence after it, in seconds; `null` is the voice's habit, and none where nothing is said. */
  readonly pauseSeconds: Seconds | null;
  /** The level it offers. */
  readonly level?: string;
}

/**
 * What is said before a movement is counted, in order: naming, caution, teaching, levels offered, and what sends
 * people into their own pace. How much of it, the step's `intro` says; a caution is always said.
 */
export function linesBefore(step: MovementStep): readonly AroundLine[] {
  const { intro } = step;
  const lines: AroundLine[] = [];
  if (intro !== 'silent') lines.push({ name: 'naming', ...lineIn(step, 'naming', intro), pauseSeconds: null });
  const cautioned = intro === 'silent' ? 'full' : intro;
  lines.push({ name: 'caution', ...lineIn(step, 'caution', cautioned), pauseSeconds: null });
  if (intro === 'full') {
    for (const { id, text, pauseSeconds } of step.teach) {
      lines.push({ name: id, text, place: { part: 'teach', lineId: id }, pauseSeconds });
    }
  }
  if (intro !== 'silent') {
    step.levels.forEach(({ line, name }, index) => {
      const place = { part: 'level', index } as const;
      lines.push({ name: `level.${index}`, text: line, place, pauseSeconds: null, level: name.toLowerCase() });
    });
  }
  if (step.lead === 'own') lines.push({ name: 'sending', ...lineIn(step, 'sending', intro), pauseSeconds: null });
  return lines;
}

/** What is said as a movement is left. */
export function linesAfter(step: MovementStep): readonly AroundLine[] {
  if (step.intro === 'silent') return [];
  return [{ name: 'leaving', ...lineIn(step, 'leaving', step.intro), pauseSeconds: null }];
}
