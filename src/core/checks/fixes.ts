import { setFields, type MovementStep, type Step } from '@/core/plan';
import { fixBy, type Fix } from './model';

/** Adds a line to what is said before a movement is taught; `null` where there is nothing to add. */
export function addToCaution(step: MovementStep, line: string): Fix | null {
  if (line.trim() === '') return null;
  const { moments, shorts } = step;
  const caution = [moments.caution, line].filter((part) => part.trim() !== '').join(' ');
  const short = shorts.caution.trim() === '' ? '' : `${shorts.caution} ${line}`;
  return setting(step, { moments: { ...moments, caution }, shorts: { ...shorts, caution: short } });
}

/** Sets fields of a step; `null` where it has them already. */
export function setting<One extends Step>(step: One, fields: Partial<One>): Fix | null {
  return fixBy(setFields(step, fields));
}
