import type { VoiceJudge } from '@/hearing/hear-voice';
import type { JudgeReply, JudgeRequest } from './protocol';

let shared: Promise<VoiceJudge> | null = null;

/** The voice-activity model in a worker of its own, loaded when a take is first brought. Rejects when it cannot be. */
export function voiceJudge(): Promise<VoiceJudge> {
  shared ??= start();
  shared.catch(() => (shared = null));
  return shared;
}

function start(): Promise<VoiceJudge> {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  const waiting = new Map<number, { done: (likely: Float32Array) => void; fail: (error: Error) => void }>();
  let lastId = 0;
  const judge = (samples: Float32Array<ArrayBuffer>, from: number): Promise<Float32Array> =>
    new Promise((done, fail) => {
      const id = ++lastId;
      waiting.set(id, { done, fail });
      const request: JudgeRequest = { id, samples, from };
      worker.postMessage(request, [samples.buffer]);
    });
  return new Promise((ready, refuse) => {
    const fall = (): void => {
      const error = new Error('the voice model is not there');
      refuse(error);
      for (const { fail } of waiting.values()) fail(error);
      waiting.clear();
      worker.terminate();
      shared = null;
    };
    worker.addEventListener('error', fall);
    worker.addEventListener('message', ({ data }: MessageEvent<JudgeReply>) => {
      if (data.kind === 'ready') ready({ judge });
      else if (data.kind === 'failed') fall();
      else {
        waiting.get(data.id)?.done(data.likely);
        waiting.delete(data.id);
      }
    });
  });
}
