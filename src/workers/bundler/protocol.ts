import type { ClassPlan } from '@/core/plan';
import type { Cutting } from '@/core/publish';
import type { Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import type { Spelling } from '@/core/words';
import type { OnProgress } from '../hired';

/** What is asked of the worker: the breath as sound, or everything in one file. */
export interface BundleRequest {
  readonly what: 'tones' | 'everything';
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly reading: Reading | null;
  readonly spelling: Spelling;
  readonly cutting: Cutting | null;
}

export interface Bundler {
  bundle(asked: BundleRequest, onProgress: OnProgress): Blob;
}
