import { shape, within, type Stored } from '@/core/document';
import { LIMITS } from './limits';

/** How fast and with what silences the lines of a class are said. */
export const voiceSchema = shape({
  syllablesPerMinute: within(LIMITS.syllablesPerMinute),
  /** How long before its motion a line starts, in seconds. */
  leadSeconds: within(LIMITS.leadSeconds),
  /** Silence after a line at a moment of a movement, and after a sentence of prose that names none, in seconds. */
  pauseSeconds: within(LIMITS.habitSeconds),
});

export type PlanVoice = Stored<typeof voiceSchema>;
