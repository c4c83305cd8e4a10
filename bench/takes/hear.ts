import { TAKE_RATE, type PracticeTake } from '../../src/core/practice';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import { env } from 'onnxruntime-web/wasm';
import { heardVoice, VoiceHearing, type HeardVoice, type JudgedSteps } from '../../src/sound/hear-voice';
import { VoiceActivity } from '../../src/sound/voice-activity';
import { hearLive, type HeardLive } from '../../tests/support/takes/follow-live';
import { makeTake, type TakeRecipe } from '../../tests/support/takes/make-take';

/** Bytes of a file of a package. */
export function packaged(name: string): Uint8Array<ArrayBuffer> {
  return new Uint8Array(readFileSync(createRequire(import.meta.url).resolve(name)));
}

const cache = join(tmpdir(), 'calm-count-heard');

let model: Promise<VoiceActivity> | null = null;

/** The voice-activity model that ships. */
export function voiceModel(): Promise<VoiceActivity> {
  env.wasm.numThreads = 1;
  return (model ??= VoiceActivity.load(packaged('@ricky0123/vad-web/dist/silero_vad_v5.onnx')));
}

/** The programs that make sound into steps; what comes after them is quick. */
const PROGRAMS = [
  'core/signal/denoiser.ts',
  'core/signal/cepstra.ts',
  'sound/hear-voice.ts',
  'sound/voice-activity.ts',
];

/**
 * What was heard of a take, with its truth. Its steps are kept in the temporary folder by its recipe and the programs
 * that make them.
 */
export async function hearTake(recipe: TakeRecipe): Promise<{ take: PracticeTake; heard: HeardVoice }> {
  const take = makeTake(recipe);
  const kept = keptAt(recipe, PROGRAMS);
  const steps = existsSync(`${kept}.cepstra`) ? readSteps(kept) : await judgedSteps(take.samples);
  if (!existsSync(`${kept}.cepstra`)) keepSteps(kept, steps);
  return { take, heard: heardVoice(steps) };
}

function keptAt({ plan, ...rest }: TakeRecipe, programs: readonly string[]): string {
  mkdirSync(cache, { recursive: true });
  const name = createHash('sha256').update(JSON.stringify([plan, rest]));
  for (const program of programs) name.update(readFileSync(new URL(`../../src/${program}`, import.meta.url)));
  return join(cache, name.digest('hex').slice(0, 24));
}

async function judgedSteps(samples: Float32Array): Promise<JudgedSteps> {
  const hearing = new VoiceHearing(await voiceModel());
  for (let at = 0; at < samples.length; at += TAKE_RATE) await hearing.push(samples.subarray(at, at + TAKE_RATE));
  return hearing.finishSteps();
}

/** The programs that hear while a take is given. */
const LIVE_PROGRAMS = [
  'core/signal/denoiser.ts',
  'core/signal/cepstra.ts',
  'core/signal/online-stretches.ts',
  'sound/hear-live.ts',
];

/** What is heard of a take while it is given, piece by piece; kept as `hearTake` keeps its steps. */
export async function heardLive(recipe: TakeRecipe): Promise<HeardLive> {
  const kept = `${keptAt(recipe, LIVE_PROGRAMS)}.live`;
  if (existsSync(kept)) return deserialize(readFileSync(kept)) as HeardLive;
  const heard = await hearLive(makeTake(recipe), (await voiceModel()).stream());
  writeFileSync(kept, serialize(heard));
  return heard;
}

function readSteps(kept: string): JudgedSteps {
  const read = (part: keyof JudgedSteps): Float32Array => {
    const bytes = readFileSync(`${kept}.${part}`);
    return new Float32Array(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength));
  };
  return { likely: read('likely'), decibels: read('decibels'), cepstra: read('cepstra') };
}

/** The cepstra last: where they are, all is. */
function keepSteps(kept: string, steps: JudgedSteps): void {
  for (const part of ['likely', 'decibels', 'cepstra'] as const) {
    const { buffer, byteOffset, byteLength } = steps[part];
    writeFileSync(`${kept}.new`, new Uint8Array(buffer, byteOffset, byteLength));
    renameSync(`${kept}.new`, `${kept}.${part}`);
  }
}
