import { placeName } from '@/core/plan';
import { speakingSeconds } from '@/core/speech';
import { usualText } from '@/core/words';
import type { StepCheck } from '../model';

/** Seconds of one breath of speech without a comma to breathe at; common practice, no published source. */
const MOST = 8;

/** A sentence takes more than one breath to say, and has no place to breathe. */
export const sentenceLong: StepCheck = {
  name: 'sentence-long',
  group: 'words',
  gravity: 'could',
  of: 'step',
  find: ({ step, texts }, plan) =>
    texts.flatMap(({ text, place }) => {
      const seconds = Math.max(
        0,
        ...text.split(/[.?!;:,–—]+/).map((part) => speakingSeconds(usualText(part), plan.voice)),
      );
      if (seconds <= MOST) return [];
      return [{ stepId: step.id, detail: placeName(place), facts: { text, seconds, max: MOST } }];
    }),
};
