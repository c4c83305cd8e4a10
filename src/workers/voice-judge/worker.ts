import modelUrl from '@ricky0123/vad-web/dist/silero_vad_v5.onnx?url';
import { env } from 'onnxruntime-web/wasm';
// The package names no doors for its program.
import loaderUrl from '../../../node_modules/onnxruntime-web/dist/ort-wasm-simd-threaded.mjs?url';
import runtimeUrl from '../../../node_modules/onnxruntime-web/dist/ort-wasm-simd-threaded.wasm?url';
import { VoiceActivity } from '@/hearing/voice-activity';
import type { JudgeReply, JudgeRequest } from './protocol';

env.wasm.numThreads = 1;
env.wasm.wasmPaths = { wasm: runtimeUrl, mjs: loaderUrl };

const model = VoiceActivity.load(modelUrl);
/** One block after the other: the model keeps no two runs apart. */
let before: Promise<unknown> = Promise.resolve();

const reply = (message: JudgeReply, taken: Transferable[] = []): void => postMessage(message, { transfer: taken });

model.then(
  () => reply({ kind: 'ready' }),
  () => reply({ kind: 'failed' }),
);

addEventListener('message', ({ data }: MessageEvent<JudgeRequest>) => {
  before = before.then(async () => {
    try {
      const likely = await (await model).judge(data.samples, data.from);
      reply({ kind: 'judged', id: data.id, likely }, [likely.buffer]);
    } catch {
      reply({ kind: 'failed' });
    }
  });
});
