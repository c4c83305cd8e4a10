import { landingSecondsOf } from '@/core/plan';
import type { ClassCheck } from '../model';

/** A class that may not land from its target at all is on it within a second. */
const LANDED = 1;

/** The class is longer or shorter than its target, by more than it may land from it. */
export const offTarget: ClassCheck = {
  name: 'off-target',
  group: 'time',
  gravity: 'should',
  of: 'class',
  find: ({ plan, timeline }) => {
    const off = timeline.runtimeSeconds - timeline.targetSeconds;
    if (Math.abs(off) <= Math.max(LANDED, landingSecondsOf(plan, timeline.targetSeconds))) return [];
    return [{ stepId: null, facts: { off, target: timeline.targetSeconds }, fix: { kind: 'fit' } }];
  },
};
