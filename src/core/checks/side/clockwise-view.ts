import { SEEN_FROM } from '../language';
import type { ClassCheck } from '../model';

const CLOCKWISE = /\b(?:anti|counter)?-?clockwise\b/;

/** Clockwise is said, and not from where it is seen. One finding, at the first. */
export const clockwiseView: ClassCheck = {
  name: 'clockwise-view',
  group: 'side',
  gravity: 'should',
  of: 'class',
  find: ({ plan, steps }) => {
    let seen = false;
    for (const { step, cues } of steps) {
      for (const cue of cues) {
        const text = cue.text.toLowerCase();
        seen ||= SEEN_FROM.test(text);
        if (seen) return [];
        if (CLOCKWISE.test(text)) {
          return [{ stepId: step.id, cueId: cue.id, facts: { text: cue.text, seen: plan.style.circles } }];
        }
      }
    }
    return [];
  },
};
