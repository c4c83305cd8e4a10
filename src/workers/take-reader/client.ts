import { failed, ok, type Issue, type Result } from '@/core/units';
import type { Doing, TakeRead, TakeReply, TakeRequest } from './protocol';

export interface TakeJob {
  /** `null` when it was cancelled. */
  readonly result: Promise<Result<TakeRead, Issue> | null>;
  readonly cancel: () => void;
}

let worker: Worker | null = null;
let lastId = 0;
/** A worker in the middle of finding the lines hears nothing; it is ended when it has not answered by then. */
const END_AFTER_MILLISECONDS = 500;

/** What a take is read from. */
export type TakeSources = Omit<Extract<TakeRequest, { kind: 'read' }>, 'kind' | 'id'>;

/** Reads a take in the worker; a new job cancels the one before it. */
export function readTakeInWorker(sources: TakeSources, onProgress: (doing: Doing, share: number) => void): TakeJob {
  worker ??= new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  const running = worker;
  const id = ++lastId;
  const post = (request: TakeRequest): void => running.postMessage(request);
  if (id > 1) post({ kind: 'cancel', id: id - 1 });
  let end: () => void = () => undefined;
  const result = new Promise<Result<TakeRead, Issue> | null>((settle) => {
    let settled = false;
    const finish = (value: Result<TakeRead, Issue> | null): void => {
      running.removeEventListener('message', hear);
      running.removeEventListener('error', fall);
      settled = true;
      settle(value);
    };
    const hear = ({ data }: MessageEvent<TakeReply>): void => {
      if (data.id !== id) return;
      if (data.kind === 'progress') onProgress(data.doing, data.share);
      else if (data.kind === 'done') finish(ok(data.read));
      else finish(data.kind === 'failed' ? failed(data.issue) : null);
    };
    const fall = (): void => {
      worker = null;
      finish(failed({ code: 'not-media', at: '', facts: {} }));
    };
    end = () => {
      if (settled) return;
      running.terminate();
      if (worker === running) worker = null;
      finish(null);
    };
    running.addEventListener('message', hear);
    running.addEventListener('error', fall);
  });
  post({ kind: 'read', id, ...sources });
  const cancel = (): void => {
    post({ kind: 'cancel', id });
    setTimeout(() => end(), END_AFTER_MILLISECONDS);
  };
  return { result, cancel };
}
