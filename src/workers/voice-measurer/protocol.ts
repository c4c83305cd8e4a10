import type { VoiceMeasure } from '@/core/voice';
import type { Issue } from '@/core/units';

/** A paragraph read aloud, to be measured; the sound never leaves the browser. */
export interface VoiceRequest {
  readonly sound: Blob;
}

export type VoiceReply =
  { readonly kind: 'measured'; readonly measure: VoiceMeasure } | { readonly kind: 'failed'; readonly issue: Issue };
