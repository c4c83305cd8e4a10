import { changeTexts, setFields, type MovementStep, type Step } from '@/core/plan';
import type { Leg } from '@/core/words';
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

/** Writes the plan's side where a text of a step names one; `null` where nothing changes. */
export function withSideToken(step: Step, text: string, named: Leg): Fix | null {
  const word = new RegExp(`\\b${named}\\b`, 'gi');
  return fixBy(changeTexts(step, (one) => (one === text ? one.replace(word, '{side}') : one)));
}
