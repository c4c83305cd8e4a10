import type { Caution } from '@/core/movement';
import { offers } from '@/core/meaning';
import { addToCaution } from '../fixes';
import { isMovement, type StepCheck } from '../model';

/** Seconds of a still hold, low, with arms up or on one leg, that ask for a way out; common practice, no published source. */
const MOST = 60;
const TIRING: readonly Caution[] = ['deep-squat', 'arms-high', 'balance', 'forward-bend', 'head-low'];

/** A still hold that tires, longer than a minute, and nobody is told that they may come out of it. */
export const holdLong: StepCheck = {
  name: 'hold-long',
  group: 'safety',
  gravity: 'should',
  of: 'step',
  find: (context) => {
    if (!isMovement(context) || context.step.pacedBy !== 'held') return [];
    const { step, phases, texts } = context;
    const tires = step.stanceStart === 'wide' || step.cautions.some((caution) => TIRING.includes(caution));
    const seconds = Math.max(0, ...phases.map(({ startSeconds, endSeconds }) => endSeconds - startSeconds));
    if (!tires || seconds <= MOST || texts.some(({ text }) => offers(text, 'rest') || offers(text, 'come-out')))
      return [];
    return [
      { stepId: step.id, facts: { seconds, max: MOST }, fix: addToCaution(step, 'Come out of it whenever you like.') },
    ];
  },
};
