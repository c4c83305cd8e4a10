import { fillGapsEdit, stanceGaps } from '@/core/plan';
import type { ClassCheck } from '../model';

/** One step ends in one stance, the next begins in another, and nothing is said between. */
export const stanceBroken: ClassCheck = {
  name: 'stance-broken',
  group: 'flow',
  gravity: 'should',
  of: 'class',
  find: ({ plan }) =>
    stanceGaps(plan).map((gap) => ({
      stepId: gap.stepId,
      facts: { from: gap.from, to: gap.to },
      fix: { kind: 'edit', edit: fillGapsEdit(() => `to-${gap.stepId}`.slice(0, 64), [gap]) },
    })),
};
