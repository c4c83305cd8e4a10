import { proxy } from 'comlink';
import type { VoiceMeasure } from '@/core/voice';
import { failed, type Issue, type Result } from '@/core/units';
import { Hired, type OnProgress } from '../hired';
import type { VoiceMeasurer } from './protocol';

/** Measures a paragraph read aloud in a worker of its own, which ends with it; `null` when it was cancelled. */
export async function measureInWorker(
  sound: Blob,
  onProgress: OnProgress,
  signal: AbortSignal,
): Promise<Result<VoiceMeasure, Issue> | null> {
  const hired = new Hired<VoiceMeasurer>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  const end = (): void => hired.end();
  signal.addEventListener('abort', end);
  const goOn = (share: number): Promise<boolean> => {
    onProgress(share);
    return Promise.resolve(!signal.aborted);
  };
  try {
    return await hired.ask((offer) => offer.measure(sound, proxy(goOn)));
  } catch {
    return signal.aborted ? null : failed({ code: 'not-media', at: '', facts: {} });
  } finally {
    signal.removeEventListener('abort', end);
    hired.end();
  }
}
