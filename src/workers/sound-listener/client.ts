import { failed, type Issue, type Result } from '@/core/units';
import type { Listened } from '@/files/listen';
import type { ListenReply, ListenRequest } from './protocol';

/**
 * Listens to a file in a worker of its own, so that the next sound is decoded while the last is worked on. `hear` is
 * given mono sound at `rate` piece by piece, in order, and how much of the file has passed; when it says no, the
 * result is `null`. Memory does not grow with length.
 */
export async function listenElsewhere(
  file: File,
  rate: number,
  hear: (samples: Float32Array<ArrayBuffer>, share: number) => Promise<boolean>,
): Promise<Result<Listened, Issue> | null> {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  const post = (request: ListenRequest): void => worker.postMessage(request);
  try {
    return await new Promise((settle, fail) => {
      let before: Promise<unknown> = Promise.resolve();
      const inOrder = (work: () => Promise<void> | void): void => {
        before = before.then(work);
        before.catch(fail);
      };
      worker.addEventListener('error', () => settle(failed({ code: 'not-media', at: '', facts: {} })));
      worker.addEventListener('message', ({ data }: MessageEvent<ListenReply>) => {
        if (data.kind === 'end') inOrder(() => settle(data.heard));
        else
          inOrder(async () => {
            if (await hear(data.samples, data.share)) post({ kind: 'taken' });
            else settle(null);
          });
      });
      post({ kind: 'listen', file, rate });
    });
  } finally {
    worker.terminate();
  }
}
