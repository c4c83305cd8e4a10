import { proxy } from 'comlink';
import { Hired, type OnProgress } from '../hired';
import type { Bundler, BundleRequest } from './protocol';

/** Makes a file in a worker of its own, and tells how far it is; `null` when it could not be made, or was cancelled. */
export async function bundle(asked: BundleRequest, onProgress: OnProgress, signal: AbortSignal): Promise<Blob | null> {
  const hired = new Hired<Bundler>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  const end = (): void => hired.end();
  signal.addEventListener('abort', end);
  try {
    return await hired.ask((offer) => offer.bundle(asked, proxy(onProgress)));
  } catch {
    return null;
  } finally {
    signal.removeEventListener('abort', end);
    hired.end();
  }
}
