import type { Edit, MovementStep } from '@/core/plan';
import type { Fix } from './model';

/** Adds a line to what is said before a movement is taught; `null` where there is nothing to add. */
export function addToCaution(step: MovementStep, line: string): Fix | null {
  if (line.trim() === '') return null;
  const { moments, shorts } = step;
  const caution = [moments.caution, line].filter((part) => part.trim() !== '').join(' ');
  const short = shorts.caution.trim() === '' ? '' : `${shorts.caution} ${line}`;
  return together(step.id, { moments: { ...moments, caution }, shorts: { ...shorts, caution: short } });
}

/** Sets several fields of a step. */
export function together(stepId: string, fields: Readonly<Record<string, unknown>>): Fix {
  const edits = Object.entries(fields).map(([field, value]): Edit => ({
    kind: 'set-step',
    stepId,
    field,
    value: value as never,
  }));
  return { kind: 'edit', edit: { kind: 'together', edits } };
}

/** Sets one field of a step. */
export function setField(stepId: string, field: string, value: unknown): Fix {
  return { kind: 'edit', edit: { kind: 'set-step', stepId, field, value: value as never } };
}
