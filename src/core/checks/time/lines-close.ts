import { itemAt } from '@/core/units';
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
      if (itemAt(cues, at).round === 0 || itemAt(cues, at - 1).round === 0) continue;
      const gap = itemAt(cues, at).startSeconds - itemAt(cues, at - 1).endSeconds;
      // A line that runs over the next is another check's.
      const overruns = itemAt(cues, at - 1).endSeconds > itemAt(cues, at - 1).dueSeconds + 0.05;
      if (!overruns && gap < CLOSE && (!closest || gap < closest.gap)) closest = { gap, at };
    }
    if (!closest) return [];
    const cue = itemAt(cues, closest.at);
    return [{ stepId: step.id, cueId: cue.id, facts: { text: cue.text, gap: Math.max(0, closest.gap) } }];
  },
};
