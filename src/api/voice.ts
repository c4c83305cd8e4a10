import { mixed, number, object } from 'yup';
import { VOICE_LIMITS, VOICE_SOURCES, type VoiceSource } from '@/core/voice';

/** The body of `POST /api/voice`: one measure, or a rate as typed. */
export const newVoiceSchema = object({
  syllablesPerMinute: number()
    .strict()
    .min(VOICE_LIMITS.syllablesPerMinute.least)
    .max(VOICE_LIMITS.syllablesPerMinute.most)
    .required(),
  pauseSeconds: number()
    .strict()
    .min(VOICE_LIMITS.pauseSeconds.least)
    .max(VOICE_LIMITS.pauseSeconds.most)
    .nullable()
    .defined(),
  how: mixed<VoiceSource>()
    .oneOf([...VOICE_SOURCES])
    .required(),
}).noUnknown();

/** Measures of one studio at most. */
export const VOICE_MEASURES_AT_MOST = 50;

export interface KeptVoice {
  readonly id: string;
  readonly syllablesPerMinute: number;
  readonly pauseSeconds: number | null;
  readonly how: VoiceSource;
  /** When it was kept, ISO 8601. */
  readonly at: string;
}
