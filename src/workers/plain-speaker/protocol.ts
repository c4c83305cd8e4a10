import type { PracticeRecipe, SaidTruth } from '@/core/practice';

/** What is asked of the worker; a later request of a kind ends those before it. */
export type SpeakRequest =
  | {
      readonly kind: 'lines';
      readonly id: number;
      /** In the order in which they will be wanted. */
      readonly texts: readonly string[];
      readonly syllablesPerMinute: number;
    }
  | { readonly kind: 'practice'; readonly id: number; readonly recipe: PracticeRecipe };

/** The truth about a practice take, as it is saved beside it. */
export interface PracticeTruth {
  readonly said: readonly SaidTruth[];
  readonly skipped: readonly string[];
}

export type SpeakReply =
  | {
      readonly kind: 'line';
      readonly id: number;
      readonly text: string;
      readonly samples: Float32Array<ArrayBuffer>;
      readonly sampleRate: number;
    }
  | { readonly kind: 'progress'; readonly id: number; readonly share: number }
  | { readonly kind: 'take'; readonly id: number; readonly wav: Blob; readonly truth: PracticeTruth }
  | { readonly kind: 'failed'; readonly id: number };
