import type { VoiceJudge } from '@/hearing/hear-voice';
import type { JudgeReply, JudgeRequest } from './protocol';

/** The voice-activity model in a worker of its own, which is ended with it. */
export interface HiredJudge extends VoiceJudge {
  end(): void;
}

/** Rejects when the model cannot be had. */
export function voiceJudge(): Promise<HiredJudge> {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  const waiting = new Map<number, { done: (likely: Float32Array) => void; fail: (error: Error) => void }>();
  let lastId = 0;
  let fallen: Error | null = null;
  const judge = (samples: Float32Array<ArrayBuffer>, from: number): Promise<Float32Array> =>
    new Promise((done, fail) => {
      if (fallen) return fail(fallen);
      const id = ++lastId;
      waiting.set(id, { done, fail });
      const request: JudgeRequest = { id, samples, from };
      worker.postMessage(request, [samples.buffer]);
    });
  return new Promise((ready, refuse) => {
    const fall = (): void => {
      fallen = new Error('the voice model is not there');
      refuse(fallen);
      for (const { fail } of waiting.values()) fail(fallen);
      waiting.clear();
      worker.terminate();
    };
    worker.addEventListener('error', fall);
    worker.addEventListener('message', ({ data }: MessageEvent<JudgeReply>) => {
      if (data.kind === 'ready') ready({ judge, end: () => worker.terminate() });
      else if (data.kind === 'failed') fall();
      else {
        waiting.get(data.id)?.done(data.likely);
        waiting.delete(data.id);
      }
    });
  });
}
