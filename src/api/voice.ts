import { oneOf, shape, within } from '@/core/document';
import { VOICE_LIMITS, VOICE_SOURCES, type VoiceSource } from '@/core/voice';

/** The body of `POST /api/voice`: one measure, or a rate as typed. */
export const newVoiceSchema = shape({
  syllablesPerMinute: within(VOICE_LIMITS.syllablesPerMinute),
  pauseSeconds: within(VOICE_LIMITS.pauseSeconds).nullable(),
  how: oneOf(VOICE_SOURCES),
});

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
