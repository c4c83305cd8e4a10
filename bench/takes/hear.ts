import { TAKE_RATE, type PracticeTake } from '../../src/core/practice';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { env } from 'onnxruntime-web/wasm';
import { VoiceHearing, type HeardVoice } from '../../src/hearing/hear-voice';
import { VoiceActivity } from '../../src/hearing/voice-activity';
import { makeTake, type TakeRecipe } from '../../tests/support/takes/make-take';

/** Bytes of a file of a package. */
export function packaged(name: string): Uint8Array<ArrayBuffer> {
  return new Uint8Array(readFileSync(createRequire(import.meta.url).resolve(name)));
}

const cache = join(tmpdir(), 'calm-count-heard');

let model: Promise<VoiceActivity> | null = null;

function loaded(): Promise<VoiceActivity> {
  env.wasm.numThreads = 1;
  return (model ??= VoiceActivity.load(packaged('@ricky0123/vad-web/dist/silero_vad_v5.onnx')));
}

/** What was heard of a take, with its truth; kept in the temporary folder by its recipe and the programs that hear it. */
export async function hearTake(recipe: TakeRecipe): Promise<{ take: PracticeTake; heard: HeardVoice }> {
  mkdirSync(cache, { recursive: true });
  const { plan, ...rest } = recipe;
  const programs = [
    'core/signal/denoiser.ts',
    'core/signal/cepstra.ts',
    'core/signal/voice-stretches.ts',
    'hearing/hear-voice.ts',
    'hearing/voice-activity.ts',
  ];
  const name = createHash('sha256').update(JSON.stringify([plan, rest]));
  for (const program of programs) name.update(readFileSync(new URL(`../../src/${program}`, import.meta.url)));
  const kept = join(cache, name.digest('hex').slice(0, 24));
  const take = makeTake(recipe);
  if (existsSync(`${kept}.json`)) {
    const bytes = readFileSync(`${kept}.f32`);
    const cepstra = new Float32Array(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength));
    return { take, heard: { ...(JSON.parse(readFileSync(`${kept}.json`, 'utf8')) as HeardVoice), cepstra } };
  }
  const hearing = new VoiceHearing(await loaded());
  for (let at = 0; at < take.samples.length; at += TAKE_RATE)
    await hearing.push(take.samples.subarray(at, at + TAKE_RATE));
  const heard = await hearing.finish();
  const { cepstra, ...others } = heard;
  writeFileSync(`${kept}.f32`, new Uint8Array(cepstra.buffer, cepstra.byteOffset, cepstra.byteLength));
  writeFileSync(`${kept}.new`, JSON.stringify(others));
  renameSync(`${kept}.new`, `${kept}.json`);
  return { take, heard };
}
