import modelUrl from '@ricky0123/vad-web/dist/silero_vad_v5.onnx?url';
import { expose, transfer } from 'comlink';
import { env } from 'onnxruntime-web/wasm';
// The package names no doors for its program.
import loaderUrl from '../../../node_modules/onnxruntime-web/dist/ort-wasm-simd-threaded.mjs?url';
import runtimeUrl from '../../../node_modules/onnxruntime-web/dist/ort-wasm-simd-threaded.wasm?url';
import { VoiceActivity } from '@/sound/voice-activity';
import type { JudgeWorker } from './protocol';

env.wasm.numThreads = 1;
env.wasm.wasmPaths = { wasm: runtimeUrl, mjs: loaderUrl };

const model = VoiceActivity.load(modelUrl);
/** One block after the other: the model keeps no two runs apart. */
let before: Promise<unknown> = Promise.resolve();

const judge: JudgeWorker = {
  ready: () => model.then(() => undefined),
  judge(samples, from) {
    const judged = before.then(async () => {
      const likely = await (await model).judge(samples, from);
      return transfer(likely, [likely.buffer]);
    });
    before = judged.catch(() => undefined);
    return judged;
  },
};

expose(judge);
