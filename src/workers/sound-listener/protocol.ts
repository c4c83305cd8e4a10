import type { Listened } from '@/sound/listen';
import type { Issue, Result } from '@/core/units';

/** Takes mono sound at the rate that was asked for, and how much of the file has passed, 0 to 1; whether to go on. */
export type Hear = (samples: Float32Array<ArrayBuffer>, share: number) => Promise<boolean>;

export interface SoundListener {
  /** `null` when `hear` said no. */
  listen(file: File, rate: number, hear: Hear): Promise<Result<Listened, Issue> | null>;
}
