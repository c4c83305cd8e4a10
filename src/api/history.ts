import { shape, text } from '@/core/document';
import { LIMITS, type ClassPlan, type PlanChange } from '@/core/plan';

/** The body of `PUT /api/classes/:id/revisions/:revision`: what the version is called; empty takes the name away. */
export const nameRevisionSchema = shape({
  name: text(LIMITS.titleCharacters).matches(/^[^\n\r]*$/, { message: 'bad-characters', excludeEmptyString: true }),
});

/** Saves made in one sitting, told as one: the state after the last of them and what it changed. */
export interface HistoryEntry {
  /** The last save of the sitting, and the first. */
  readonly revision: number;
  readonly firstRevision: number;
  /** ISO 8601, of the last save. */
  readonly savedAt: string;
  readonly runtimeSeconds: number;
  /** Every save of the session, the newest first, when it was made, and what it is called. */
  readonly saves: readonly SavedVersion[];
  /** Against the sitting before; for the first of all against the class as it was begun. */
  readonly changes: readonly PlanChange[];
}

export interface SavedVersion {
  readonly revision: number;
  readonly savedAt: string;
  readonly name: string | null;
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
  readonly name: string | null;
  readonly plan: ClassPlan;
}
