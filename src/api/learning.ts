import type { Prediction, Proposal } from '@/core/learn';

/** What `GET /api/classes/:id/learning` answers: what the takes of a class teach about it. */
export interface Learning {
  /** The revision of the class that the proposals are for. */
  readonly revision: number;
  readonly takes: readonly { readonly id: string; readonly name: string }[];
  /** For each take, what was told from those before it and what happened. */
  readonly predictions: readonly Prediction[];
  /** How long the class as it stands will likely take; `null` without takes. */
  readonly nextSeconds: number | null;
  readonly proposals: readonly Proposal[];
}
