import { SCRIPT_LIMITS, type LineKind, type ReadScript } from '@/core/plain-script';
import { Hired } from '../hired';
import type { ScriptWorker } from './protocol';

/** Reads scripts in a worker of its own, which starts with the first text. A reading rejects with an `Error` when the worker fails. */
export interface ScriptReader {
  /** `null` when a newer text came first: what is older is given up, and nothing waits behind it. */
  readonly read: (text: string, put: ReadonlyMap<number, LineKind>) => Promise<ReadScript | null>;
  readonly stop: () => void;
}

export function createScriptReader(
  hire: () => Hired<ScriptWorker> = () =>
    new Hired<ScriptWorker>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })),
): ScriptReader {
  let hired: Hired<ScriptWorker> | null = null;
  let last = 0;
  let underWay: Promise<unknown> = Promise.resolve();
  const readNewest = async (
    id: number,
    text: string,
    put: ReadonlyMap<number, LineKind>,
  ): Promise<ReadScript | null> => {
    if (id !== last) return null;
    if (!hired || hired.isGone) hired = hire();
    const asked = hired;
    try {
      const read = await asked.ask((offer) => offer.read(text.slice(0, SCRIPT_LIMITS.characters), put));
      return id === last ? read : null;
    } catch (error) {
      // Stopped on purpose: nobody waits for it any more.
      if (hired !== asked || id !== last) return null;
      throw error;
    }
  };
  return {
    read: (text, put) => {
      const id = ++last;
      const read = underWay.then(() => readNewest(id, text, put));
      underWay = read.catch(() => undefined);
      return read;
    },
    stop: () => {
      hired?.end();
      hired = null;
    },
  };
}

/** Reads one script and ends its worker. */
export async function readScriptOnce(text: string): Promise<ReadScript | null> {
  const reader = createScriptReader();
  try {
    return await reader.read(text, new Map());
  } finally {
    reader.stop();
  }
}
