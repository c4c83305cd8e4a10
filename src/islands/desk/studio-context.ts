import { createContext } from 'react';
import type { Seconds } from '@/core/units';
import { NO_SPELLING, type Spelling } from '@/core/words';

/** What the studio has set for all its classes. */
export interface StudioSettings {
  /** As measured; `null` before there is a measure. The pause is `null` where none was heard. */
  readonly voice: { readonly syllablesPerMinute: number; readonly pauseSeconds: Seconds | null } | null;
  readonly spelling: Spelling;
}

export const StudioContext = createContext<StudioSettings>({ voice: null, spelling: NO_SPELLING });
