import { isCounted } from '@/core/movement';
import { isMovement, type StepCheck } from '../model';

/** One breath while moving, in seconds: 8 to 16 as cued, some 6 (common practice, no published source). */
const LEAST = 5.9;
const MOST = 16;

/** The breath of a movement is outside what is comfortable for most. */
export const breathRange: StepCheck = {
  name: 'breath-range',
  group: 'time',
  gravity: 'should',
  of: 'step',
  find: (context) => {
    const breath = context.timed.breathSeconds;
    if (!isMovement(context) || !isCounted(context.step.pacedBy)) return [];
    if (!context.step.pattern.some(({ kind }) => kind === 'inhale' || kind === 'exhale')) return [];
    if (breath >= LEAST && breath <= MOST) return [];
    return [{ stepId: context.step.id, facts: { breath, min: 6, max: MOST } }];
  },
};
