import type { VoiceMeasure } from '@/core/voice';
import { failed, ok, type Issue, type Result } from '@/core/units';
import type { VoiceReply, VoiceRequest } from './protocol';

/** Measures a paragraph read aloud in a worker of its own, which ends with it. */
export function measureInWorker(sound: Blob): Promise<Result<VoiceMeasure, Issue>> {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  return new Promise<Result<VoiceMeasure, Issue>>((settle) => {
    worker.addEventListener('message', ({ data }: MessageEvent<VoiceReply>) =>
      settle(data.kind === 'measured' ? ok(data.measure) : failed(data.issue)),
    );
    worker.addEventListener('error', () => settle(failed({ code: 'not-media', at: '', facts: {} })));
    const request: VoiceRequest = { sound };
    worker.postMessage(request);
  }).finally(() => worker.terminate());
}
