/** How a document on the screen stands to the one on the server, in a word or two. */
export const SAVE_WORDS = {
  saved: 'Saved',
  waiting: 'Saving',
  saving: 'Saving',
  away: 'Stored in this browser; the server does not answer',
  refused: 'Not saved',
  conflict: 'Not saved',
} as const;
