import { MOVEMENT_LIMITS } from '@/core/movement';

/** The door's limits on a plan. Each is named where it is used; the interface and the schema read them from here. */
export const LIMITS = {
  ...MOVEMENT_LIMITS,
  /** An hour's class is some 60 KB. */
  documentBytes: 2 * 1024 * 1024,
  idCharacters: 64,
  sections: 60,
  stepsInSection: 200,
  stepsInPlan: 1_000,
  cues: 20_000,
  lengths: 12,
  themes: 12,
  themeWords: 200,
  dismissed: 1_000,
  detailCharacters: 300,
  /** The silence that a voice keeps by habit. */
  habitSeconds: { min: 0, max: 30 },
  silenceShare: { min: 0, max: 0.9 },
  reassuranceSeconds: { min: 5, max: 600 },
  landingSeconds: { min: 0, max: 120 },
  targetSeconds: { min: 10, max: 4 * 3600 },
  closingRatio: { min: 0.3, max: 3 },
  tempo: { min: 0.5, max: 2 },
  syllablesPerMinute: { min: 60, max: 400 },
} as const;
