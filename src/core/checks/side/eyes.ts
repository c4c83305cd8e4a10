import { isSilence } from '@/core/plan';
import type { Cue } from '@/core/timeline';
import { offers, ofThoseHere } from '@/core/meaning';
import type { StepContext } from '../model';

/** A place in the class with the eyes as they are then. */
export interface EyesAt {
  readonly context: StepContext;
  /** `null` at the start of a step. */
  readonly cue: Cue | null;
  readonly closed: boolean;
}

/** Several checks follow the same class. */
const followed = new WeakMap<readonly StepContext[], readonly EyesAt[]>();

function eyesIn(said: string): 'open' | 'closed' | 'nothing' {
  const text = ofThoseHere(said);
  if (offers(text, 'eyes-open')) return 'open';
  return offers(text, 'eyes-close') ? 'closed' : 'nothing';
}

/**
 * Follows the eyes through a class: closed by a silence that closes them or by words, open again by words. Gives every
 * step's start and every line, with the eyes as they are when it is said.
 */
export function followEyes(steps: readonly StepContext[]): readonly EyesAt[] {
  const kept = followed.get(steps);
  if (kept) return kept;
  const places: EyesAt[] = [];
  let closed = false;
  for (const context of steps) {
    if (isSilence(context.step) && context.step.eyesClosed) closed = true;
    places.push({ context, cue: null, closed });
    for (const cue of context.cues) {
      places.push({ context, cue, closed });
      const told = eyesIn(cue.text);
      if (told !== 'nothing') closed = told === 'closed';
    }
  }
  followed.set(steps, places);
  return places;
}
