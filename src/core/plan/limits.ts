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
  setAside: 1_000,
  detailCharacters: 300,
  /** The silence that a voice keeps by habit. */
  habitSeconds: { least: 0, most: 30 },
  silenceShare: { least: 0, most: 0.9 },
  reassuranceSeconds: { least: 5, most: 600 },
  callBackLeadSeconds: { least: 0, most: 60 },
  targetSeconds: { least: 10, most: 4 * 3600 },
  closingRatio: { least: 0.3, most: 3 },
  tempo: { least: 0.5, most: 2 },
  syllablesPerMinute: { least: 60, most: 400 },
} as const;
