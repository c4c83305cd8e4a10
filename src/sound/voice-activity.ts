import { InferenceSession, Tensor } from 'onnxruntime-web/wasm';

/**
 * The model hears 8 kHz in steps of 32 ms, with 4 ms of what came before each. It hears 16 kHz too, at two and a half
 * times the work and no better but in surf; see `docs/alignment.md`.
 */
export const JUDGED_RATE = 8000;
export const STEP_SAMPLES = 256;
const CONTEXT = 32;
const STATE = 128;
/** Stretches of sound judged side by side, and the steps of sound before each that only warm the model up. */
const SIDE_BY_SIDE = 16;
const WARM_UP = 20;

/**
 * How likely each step of 32 ms holds a voice, 0 to 1, by a trained model (Silero, version 5). The sound is cut into
 * stretches that are judged side by side, each warmed up on the sound before it.
 */
export class VoiceActivity {
  private constructor(
    private readonly session: InferenceSession,
    private readonly rate: Tensor,
  ) {}

  /** @param model The bytes of the model, or where they are. */
  static async load(model: Uint8Array | string): Promise<VoiceActivity> {
    const options = { executionProviders: ['wasm'], graphOptimizationLevel: 'all' } as const;
    const session =
      typeof model === 'string'
        ? await InferenceSession.create(model, options)
        : await InferenceSession.create(model, options);
    return new VoiceActivity(session, new Tensor('int64', BigInt64Array.from([BigInt(JUDGED_RATE)])));
  }

  /**
   * Judges the steps that begin at `from` and after, up to the last whole one; the samples before `from` are heard to
   * warm up. `from` is a whole number of steps.
   */
  async judge(samples: Float32Array, from = 0): Promise<Float32Array<ArrayBuffer>> {
    const first = from / STEP_SAMPLES;
    const steps = Math.max(0, Math.floor(samples.length / STEP_SAMPLES) - first);
    const each = Math.ceil(steps / SIDE_BY_SIDE);
    const found = new Float32Array(steps);
    if (steps === 0) return found;
    let state = new Tensor('float32', new Float32Array(2 * SIDE_BY_SIDE * STATE), [2, SIDE_BY_SIDE, STATE]);
    const width = CONTEXT + STEP_SAMPLES;
    for (let step = -WARM_UP; step < each; step++) {
      const input = new Float32Array(SIDE_BY_SIDE * width);
      for (let lane = 0; lane < SIDE_BY_SIDE; lane++) {
        const start = (first + lane * each + step) * STEP_SAMPLES - CONTEXT;
        const begin = Math.max(0, start);
        if (begin < start + width) {
          input.set(samples.subarray(begin, Math.min(samples.length, start + width)), lane * width + begin - start);
        }
      }
      const given = await this.session.run({
        input: new Tensor('float32', input, [SIDE_BY_SIDE, width]),
        state,
        sr: this.rate,
      });
      state = given.stateN as typeof state;
      if (step < 0) continue;
      const likely = given.output?.data as Float32Array;
      for (let lane = 0; lane < SIDE_BY_SIDE; lane++) {
        const at = lane * each + step;
        if (at < steps) found[at] = likely[lane] ?? 0;
      }
    }
    return found;
  }

  /** Judges sound as it comes, one step at a time. */
  stream(): VoiceActivityStream {
    return new VoiceActivityStream((feeds) => this.session.run({ ...feeds, sr: this.rate }));
  }

  async close(): Promise<void> {
    await this.session.release();
  }
}

/** How likely each step of sound that streams by holds a voice. */
export class VoiceActivityStream {
  private state = new Tensor('float32', new Float32Array(2 * STATE), [2, 1, STATE]);
  private readonly input = new Float32Array(CONTEXT + STEP_SAMPLES);

  constructor(
    private readonly run: (feeds: {
      readonly input: Tensor;
      readonly state: Tensor;
    }) => Promise<InferenceSession.OnnxValueMapType>,
  ) {}

  /** The next step of `STEP_SAMPLES`; one is to be waited for before the next. */
  async step(samples: Float32Array): Promise<number> {
    this.input.copyWithin(0, STEP_SAMPLES);
    this.input.set(samples, CONTEXT);
    const input = new Tensor('float32', this.input.slice(), [1, this.input.length]);
    const given = await this.run({ input, state: this.state });
    this.state = given.stateN as typeof this.state;
    return (given.output?.data as Float32Array)[0] ?? 0;
  }
}
