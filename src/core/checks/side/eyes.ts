import type { Cue } from '@/core/timeline';
import { EYES_CLOSE, EYES_OPEN } from '../language';
import type { StepContext } from '../model';

/** A place in the class with the eyes as they are then. */
export interface EyesAt {
  readonly context: StepContext;
  /** `null` at the start of a step. */
  readonly cue: Cue | null;
  readonly closed: boolean;
}

/**
 * Follows the eyes through a class: closed by a quiet that closes them or by words, open again by words. Gives every
 * step's start and every line, with the eyes as they are when it is said.
 */
export function followEyes(steps: readonly StepContext[]): EyesAt[] {
  const places: EyesAt[] = [];
  let closed = false;
  for (const context of steps) {
    if (context.step.kind === 'quiet' && context.step.eyesClosed) closed = true;
    places.push({ context, cue: null, closed });
    for (const cue of context.cues) {
      places.push({ context, cue, closed });
      const text = cue.text.toLowerCase();
      if (EYES_OPEN.test(text)) closed = false;
      else if (EYES_CLOSE.test(text)) closed = true;
    }
  }
  return places;
}
