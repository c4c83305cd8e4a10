import type { PracticeRecipe, SaidTruth } from '@/core/practice';
import type { OnProgress } from '../hired';

/** The truth about a practice take, as it is saved beside it. */
export interface PracticeTruth {
  readonly said: readonly SaidTruth[];
  readonly skipped: readonly string[];
}

export interface PracticeMade {
  readonly wav: Blob;
  readonly truth: PracticeTruth;
}

/** Takes a line as it was said; no samples where it could not be said. */
export type OnLine = (text: string, samples: Float32Array<ArrayBuffer>, sampleRate: number) => void;

/** A later question ends those before it. Both reject when the voice cannot be had. */
export interface Speaker {
  /** `texts` in the order in which they will be wanted. */
  say(texts: readonly string[], syllablesPerMinute: number, onLine: OnLine): Promise<void>;
  /** `null` when a later question came first. */
  practice(recipe: PracticeRecipe, onProgress: OnProgress): Promise<PracticeMade | null>;
}
