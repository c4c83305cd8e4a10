import type { Evidence } from '@/core/align';
import type { Caption } from '@/core/interchange';
import type { ClassPlan } from '@/core/plan';
import type { Reading } from '@/core/reading';
import type { Term } from '@/core/words';
import type { Issue } from '@/core/units';

/** What is asked of the worker; one request at a time. */
export type TakeRequest =
  | {
      readonly kind: 'read';
      readonly id: number;
      readonly plan: ClassPlan;
      readonly captions: readonly Caption[] | null;
      /** Read as it streams past; it is never held whole and never leaves the browser. */
      readonly sound: Blob | null;
      /** Terms of the studio beside the house list. */
      readonly ownTerms: readonly Term[];
    }
  | { readonly kind: 'cancel'; readonly id: number };

export interface TakeRead {
  readonly evidence: Evidence;
  readonly reading: Reading;
  /** What was odd on the way: a recording cut short, no speech found. */
  readonly notes: readonly Issue[];
}

export type TakeReply =
  | {
      readonly kind: 'progress';
      readonly id: number;
      readonly doing: 'listening' | 'saying' | 'matching';
      readonly share: number;
    }
  | ({ readonly kind: 'done'; readonly id: number } & TakeRead)
  | { readonly kind: 'failed'; readonly id: number; readonly issue: Issue }
  | { readonly kind: 'cancelled'; readonly id: number };
