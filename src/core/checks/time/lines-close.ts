import type { StepCheck } from '../model';

/** Less silence than this between two lines is none; common practice, no published source. */
const CLOSE = 0.15;

/** Two counted lines with hardly a breath between them. One finding a step, at the closest. */
export const linesClose: StepCheck = {
  name: 'lines-close',
  group: 'time',
  gravity: 'could',
  of: 'step',
  find: ({ step, cues }) => {
    let closest: { readonly gap: number; readonly at: number } | null = null;
    for (let at = 1; at < cues.length; at++) {
      if (cues[at].round === 0 || cues[at - 1].round === 0) continue;
      const gap = cues[at].startSeconds - cues[at - 1].endSeconds;
      // A line that runs over the next is another check's.
      const overruns = cues[at - 1].endSeconds > cues[at - 1].dueSeconds + 0.05;
      if (!overruns && gap < CLOSE && (!closest || gap < closest.gap)) closest = { gap, at };
    }
    if (!closest) return [];
    const cue = cues[closest.at];
    return [{ stepId: step.id, cueId: cue.id, facts: { text: cue.text, gap: Math.max(0, closest.gap) } }];
  },
};
