import type { MovementStep } from '@/core/plan';
import type { Fix } from './model';

/** Adds a line to what is said before a movement is taught; `null` where there is nothing to add. */
export function addToCaution(step: MovementStep, line: string): Fix | null {
  if (line.trim() === '') return null;
  const caution = [step.moments.caution, line].filter((part) => part.trim() !== '').join(' ');
  return {
    kind: 'edit',
    edit: { kind: 'set-step', stepId: step.id, field: 'moments', value: { ...step.moments, caution } },
  };
}

/** Sets one field of a step. */
export function setField(stepId: string, field: string, value: unknown): Fix {
  return { kind: 'edit', edit: { kind: 'set-step', stepId, field, value: value as never } };
}
