/** Saves of one tab whose answers never came; it goes on from the last of them. */
export const UNANSWERED_AT_MOST = 50;

/** The answer to a save. */
export interface Saved {
  readonly revision: number;
}
