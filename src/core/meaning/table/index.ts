import { BREATH } from './breath';
import { CAUTIONS, HINTS } from './cautions';
import { DONE } from './done';
import { OFFERED } from './offered';

/*
 * What lines say, each as patterns over stems (see `../pattern.ts`). What the patterns tell apart is common practice, with
 * no published source. `tests/checks/hands` holds lines in other words, half of which were never looked at.
 */

/** Everything the checks ask a line for. */
export const MEANINGS = { ...BREATH, ...DONE, ...OFFERED, ...HINTS, ...CAUTIONS };
export type Meaning = keyof typeof MEANINGS;
