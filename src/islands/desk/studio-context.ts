import { createContext } from 'react';
import type { Spelling } from '@/core/words';

/** What the studio has set for all its classes. */
export interface StudioSettings {
  /** Measured rate in syllables a minute; `null` before there is one. */
  readonly voice: number | null;
  readonly spelling: Spelling;
}

export const StudioContext = createContext<StudioSettings>({ voice: null, spelling: {} });
