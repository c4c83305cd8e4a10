import { isSilence } from '@/core/plan';
import { setting } from '../fixes';
import type { ClassCheck, StepContext } from '../model';
import { followEyes } from './eyes';

/** Eyes were closed, and nobody asked for them to be opened again before the class ends. */
export const eyesNotOpened: ClassCheck = {
  name: 'eyes-not-opened',
  group: 'side',
  gravity: 'must',
  of: 'class',
  find: ({ steps }) => {
    let closing: StepContext | null = null;
    let closed = false;
    for (const place of [...followEyes(steps), ...afterLast(steps)]) {
      if (place.closed && !closed) closing = place.context;
      closed = place.closed;
    }
    if (!closed || !closing) return [];
    const { step } = closing;
    const fix = isSilence(step) ? setting(step, { callBackLine: `${step.callBackLine} Open your eyes.`.trim() }) : null;
    return [{ stepId: step.id, fix }];
  },
};

/** The eyes after the very last line. */
function afterLast(steps: readonly StepContext[]): { readonly context: StepContext; readonly closed: boolean }[] {
  const last = steps.at(-1);
  if (!last) return [];
  const nothing = { ...last, cues: [], step: { ...last.step, eyesClosed: false } } as StepContext;
  const at = followEyes([...steps, nothing]).at(-1);
  return at ? [{ context: last, closed: at.closed }] : [];
}
