import { createContext } from 'react';

/** The studio's measured rate in syllables a minute; `null` before there is one. */
export const VoiceContext = createContext<number | null>(null);
