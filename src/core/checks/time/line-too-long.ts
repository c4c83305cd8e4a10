import { fitWords } from '@/core/script';
import { worstBySource } from '../context';
import { fixBy, type StepCheck } from '../model';

/** Overrun in seconds below which nobody hears it: half a tenth. */
const HEARD = 0.05;

/** A line is still being said when the next thing is due. */
export const lineTooLong: StepCheck = {
  name: 'line-too-long',
  group: 'time',
  gravity: 'must',
  of: 'step',
  find: ({ step, cues, timed }, plan) =>
    worstBySource(cues, (cue) => cue.endSeconds - cue.dueSeconds - HEARD).map(({ cue, by, detail }) => ({
      stepId: step.id,
      cueId: cue.id,
      detail,
      facts: { text: cue.text, over: by + HEARD },
      fix: cue.source.part === 'phase' ? fixBy(fitWords(plan, { steps: [timed] }, { stepId: step.id }).edit) : null,
    })),
};
