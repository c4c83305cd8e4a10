/** The door's limits on a movement; a class plan has the same for its own copies. */
export const MOVEMENT_LIMITS = {
  movementBytes: 512 * 1024,
  titleCharacters: 200,
  noteCharacters: 2_000,
  lineCharacters: 2_000,
  phases: 24,
  spokenLines: 200,
  fade: 40,
  rounds: 200,
  otherNames: 20,
  levels: 3,
  tags: 20,
  tagCharacters: 40,
  breathSeconds: { min: 2, max: 40 },
  phaseSeconds: { min: 0.1, max: 120 },
  share: { min: 0.02, max: 4 },
  inhaleShare: { min: 0.1, max: 0.9 },
  paceMultiplier: { min: 0.2, max: 4 },
  countedSeconds: { min: 1, max: 3600 },
  leadSeconds: { min: 0, max: 5 },
  pauseSeconds: { min: 0, max: 300 },
  /** From the last word of a call back to the end. */
  callBackLeadSeconds: { min: 0, max: 120 },
  /** A round, how many rounds, or seconds: where a line is said while a movement runs. */
  duringNumber: { min: 0, max: 3600 },
  linesOfLevel: 12,
} as const;
