import type { BundleReply, BundleRequest } from './protocol';

let worker: Worker | null = null;
let lastId = 0;

/** Makes a file in the worker; `null` when it could not be made. */
export function bundle(asked: Omit<BundleRequest, 'id'>): Promise<Blob | null> {
  worker ??= new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  const running = worker;
  const id = ++lastId;
  return new Promise((settle) => {
    const finish = (file: Blob | null): void => {
      running.removeEventListener('message', hear);
      running.removeEventListener('error', fall);
      settle(file);
    };
    const hear = ({ data }: MessageEvent<BundleReply>): void => {
      if (data.id === id) finish(data.file);
    };
    const fall = (): void => {
      worker = null;
      finish(null);
    };
    running.addEventListener('message', hear);
    running.addEventListener('error', fall);
    running.postMessage({ ...asked, id });
  });
}
