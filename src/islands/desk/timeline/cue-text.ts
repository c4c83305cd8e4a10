import { changeTexts, LIMITS, placeName, textsOf, type Edit, type Step, type CueSource } from '@/core/plan';

/** The text of the plan that a cue was made from: with its tokens, and without the last-round line before it. */
export function sourceText(step: Step, source: CueSource): string {
  const name = placeName(source);
  return textsOf(step).find(({ place }) => placeName(place) === name)?.text ?? '';
}

/** The edit that sets that text; `null` where the step no longer has it, or it reads so already. */
export function setSourceText(step: Step, source: CueSource, text: string): Edit | null {
  const name = placeName(source);
  return changeTexts(step, (before, place) => (placeName(place) === name ? text : before));
}

export const LINE_LIMIT = LIMITS.lineCharacters;
