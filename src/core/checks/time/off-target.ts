import type { ClassCheck } from '../model';

/** A class lands on its target when it ends within a second of it. */
const LANDED = 1;

/** The class is longer or shorter than its target. */
export const offTarget: ClassCheck = {
  name: 'off-target',
  group: 'time',
  gravity: 'should',
  of: 'class',
  find: ({ timeline }) => {
    const off = timeline.runtimeSeconds - timeline.targetSeconds;
    if (Math.abs(off) <= LANDED) return [];
    return [{ stepId: null, facts: { off, target: timeline.targetSeconds }, fix: { kind: 'fit' } }];
  },
};
