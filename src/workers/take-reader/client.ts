import { proxy } from 'comlink';
import { failed, type Issue, type Result } from '@/core/units';
import { Hired } from '../hired';
import type { Doing, TakeRead, TakeReader, TakeSources } from './protocol';

export interface TakeJob {
  /** `null` when it was cancelled. */
  readonly result: Promise<Result<TakeRead, Issue> | null>;
  readonly cancel: () => void;
}

/** A worker in the middle of finding the lines hears nothing; it is ended when it has not answered by then. */
const END_AFTER_MILLISECONDS = 500;

/** Reads a take in a worker of its own. */
export function readTakeInWorker(sources: TakeSources, onProgress: (doing: Doing, share: number) => void): TakeJob {
  const hired = new Hired<TakeReader>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  let cancelled = false;
  const goOn = (doing: Doing, share: number): Promise<boolean> => {
    if (!cancelled) onProgress(doing, share);
    return Promise.resolve(!cancelled);
  };
  const read = async (): Promise<Result<TakeRead, Issue> | null> => {
    try {
      const result = await hired.ask((offer) => offer.read(sources, proxy(goOn)));
      return cancelled ? null : result;
    } catch {
      return cancelled ? null : failed({ code: 'not-media', at: '', facts: {} });
    } finally {
      hired.end();
    }
  };
  const cancel = (): void => {
    cancelled = true;
    setTimeout(() => hired.end(), END_AFTER_MILLISECONDS);
  };
  return { result: read(), cancel };
}
