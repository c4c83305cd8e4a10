import type { BundleReply, BundleRequest } from './protocol';

let worker: Worker | null = null;
let lastId = 0;

/** Makes a file in the worker, and tells how far it is; `null` when it could not be made, or was given up. */
export function bundle(
  asked: Omit<BundleRequest, 'id'>,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<Blob | null> {
  worker ??= new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  const running = worker;
  const id = ++lastId;
  return new Promise((settle) => {
    const finish = (file: Blob | null): void => {
      running.removeEventListener('message', hear);
      running.removeEventListener('error', fall);
      signal.removeEventListener('abort', giveUp);
      settle(file);
    };
    const hear = ({ data }: MessageEvent<BundleReply>): void => {
      if (data.id !== id) return;
      if (data.kind === 'progress') onProgress(data.share);
      else finish(data.file);
    };
    const fall = (): void => {
      worker = null;
      finish(null);
    };
    const giveUp = (): void => {
      running.terminate();
      fall();
    };
    signal.addEventListener('abort', giveUp);
    running.addEventListener('message', hear);
    running.addEventListener('error', fall);
    running.postMessage({ ...asked, id });
  });
}
