import { worstBySource } from '../context';
import { isMovement } from '@/core/plan';
import type { StepCheck } from '../model';

/** Words start half a second to a second and a half before their motion (common practice, no published source); less than this is late. */
const LEAST_LEAD = 0.2;

/** A line starts with its motion or after it, because the line before it is only just over. */
export const lineLate: StepCheck = {
  name: 'line-late',
  group: 'time',
  gravity: 'should',
  of: 'step',
  find: ({ step, cues }, plan) => {
    if (!isMovement(step) || plan.voice.leadSeconds < LEAST_LEAD) return [];
    const chosen = new Set(step.pattern.flatMap(({ id, leadSeconds }) => (leadSeconds === null ? [] : [id])));
    const late = cues.filter(
      ({ round, source, startSeconds }) =>
        // Before the class begins nothing can be said.
        round > 0 && startSeconds > 0 && source.part === 'phase' && !chosen.has(source.phaseId),
    );
    return worstBySource(late, (cue) => LEAST_LEAD - (cue.motionSeconds - cue.startSeconds)).map(
      ({ cue, by, detail }) => ({
        stepId: step.id,
        cueId: cue.id,
        detail,
        facts: { text: cue.text, lead: LEAST_LEAD - by, wanted: plan.voice.leadSeconds },
      }),
    );
  },
};
