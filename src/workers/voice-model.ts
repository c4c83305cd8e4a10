import modelUrl from '@ricky0123/vad-web/dist/silero_vad_v5.onnx?url';
import { env } from 'onnxruntime-web/wasm';
// The package names no doors for its program.
import loaderUrl from '../../node_modules/onnxruntime-web/dist/ort-wasm-simd-threaded.mjs?url';
import runtimeUrl from '../../node_modules/onnxruntime-web/dist/ort-wasm-simd-threaded.wasm?url';
import { VoiceActivity } from '@/sound/voice-activity';

/** The voice-activity model as it ships, for a worker. */
export function loadVoiceModel(): Promise<VoiceActivity> {
  env.wasm.numThreads = 1;
  env.wasm.wasmPaths = { wasm: runtimeUrl, mjs: loaderUrl };
  return VoiceActivity.load(modelUrl);
}
