import { arrivalAt, stancesOf, type Edit } from '@/core/plan';
import type { ClassCheck } from '../model';

const APART = new Set(['wide', 'left-forward', 'right-forward', 'one-leg']);
const TOGETHER = /\bfeet (?:back )?together\b|\bstep (?:back )?in\b|\bbring the (?:feet|foot)\b/;

/** The class ends wide, with one foot forward or on one leg: the feet are never brought together again. */
export const feetTogether: ClassCheck = {
  name: 'feet-together',
  group: 'flow',
  gravity: 'could',
  of: 'class',
  find: ({ steps }) => {
    let stance: string | null = null;
    let last = null;
    for (const context of steps) {
      const { start, end } = stancesOf(context.step);
      const now = end ?? start;
      if (now) {
        stance = now;
        last = context;
      }
      if (TOGETHER.test(context.said)) stance = null;
    }
    if (!last || stance === null || !APART.has(stance)) return [];
    const index = last.section.steps.findIndex(({ id }) => id === last.step.id) + 1;
    const step = arrivalAt(() => `after-${last.step.id}`.slice(0, 64), 'feet-together', 'previous');
    const edit: Edit = { kind: 'insert-step', sectionId: last.section.id, index, step };
    return [{ stepId: last.step.id, facts: { stance }, fix: { kind: 'edit', edit } }];
  },
};
