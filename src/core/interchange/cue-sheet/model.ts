/** The columns of a cue sheet, in order. `line id` and `line` are what is read back. */
export const COLUMNS = [
  'start',
  'end',
  'section',
  'step',
  'round',
  'side',
  'form',
  'said',
  'motion',
  'seconds too long',
  'actual start',
  'actual end',
  'line id',
  'line',
] as const;

/** The door's limits on a cue sheet that is brought in. */
export const CUE_SHEET_LIMITS = { bytes: 20 * 1024 * 1024, rows: 50_000 } as const;
