import { isCounted } from '@/core/movement';
import { phaseSeconds, RESTING_AT_MOST } from '@/core/breath';
import { setting } from '../fixes';
import { ofThoseHere, says, saysOrDenies, speaksFor } from '@/core/meaning';
import { isMovement, type StepCheck } from '../model';

/** A breath held beyond this many seconds is more than a rest; common practice, no published source. */
const HELD = 6;

/** A breath is held beyond a count, forced, or quicker than an adult's at rest, and there is no caution for it. */
export const breathForced: StepCheck = {
  name: 'breath-forced',
  group: 'safety',
  gravity: 'must',
  of: 'step',
  find: (context) => {
    if (!isMovement(context) || !isCounted(context.step.pacedBy)) return [];
    const { step, timed, texts } = context;
    if (step.cautions.includes('breath-held')) return [];
    const held = Math.max(0, ...step.pattern.map((phase) => (phase.kind === 'hold' ? phaseSeconds(phase, timed) : 0)));
    const fast = timed.breathSeconds > 0 && 60 / timed.breathSeconds > RESTING_AT_MOST;
    if (held <= HELD && !fast && !texts.some(({ text }) => isForced(text))) return [];
    return [{ stepId: step.id, facts: { held }, fix: setting(step, { cautions: [...step.cautions, 'breath-held'] }) }];
  },
};

function isForced(said: string): boolean {
  const text = ofThoseHere(said);
  if (says(text, 'breath-forced')) return true;
  // "Never push the breath" has the words, and denies them.
  return !saysOrDenies(text, 'breath-forced') && speaksFor('forced', text);
}
