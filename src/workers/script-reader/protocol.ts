import type { LineKind, ReadScript } from '@/core/plain-script';

export interface ScriptWorker {
  /** See `readScript`; `put` holds the kinds that were put right by hand, by the number of the line. */
  read(text: string, put: ReadonlyMap<number, LineKind>): ReadScript;
}
