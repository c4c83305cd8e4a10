import type { ClassPlan, PlanChange } from '@/core/plan';

/** Saves made in one sitting, told as one: the state after the last of them and what it changed. */
export interface HistoryEntry {
  /** The last save of the sitting, and the first. */
  readonly revision: number;
  readonly firstRevision: number;
  /** ISO 8601, of the last save. */
  readonly savedAt: string;
  readonly runtimeSeconds: number;
  /** Against the sitting before; for the first of all against the class as it was begun. */
  readonly changes: readonly PlanChange[];
}

export interface HistoryPage {
  /** The newest first. */
  readonly entries: readonly HistoryEntry[];
  /** The revision to ask for older ones with; `null` at the end. */
  readonly olderThan: number | null;
}

export interface RevisionResponse {
  readonly revision: number;
  /** ISO 8601. */
  readonly savedAt: string;
  readonly plan: ClassPlan;
}
