import type { VoiceMeasure } from '@/core/voice';
import type { Issue, Result } from '@/core/units';
import type { GoOn } from '../hired';

/** Measures the paragraph of `core/voice` read aloud; the sound never leaves the browser. */
export interface VoiceMeasurer {
  /** `null` when it was told not to go on. */
  measure(sound: Blob, goOn: GoOn): Promise<Result<VoiceMeasure, Issue> | null>;
}
