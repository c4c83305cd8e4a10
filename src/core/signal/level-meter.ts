/** Levels are measured on frames of this length. */
export const FRAME_SECONDS = 0.02;

/** What digital silence reads as. */
export const SILENCE_DECIBELS = -100;

/** A sample from here on is taken to be at full scale. */
const CLIPPED = 0.995;

/** Speech carries its syllables above this; wind, surf and hum lie mostly below. */
const HIGH_PASS_HERTZ = 150;

/**
 * Measures the level of a sound as it streams past, one figure in dBFS every 20 ms, after a first-order high-pass at
 * 150 Hz. Holds a few bytes for each frame and none of the sound.
 */
export class LevelMeter {
  private readonly frameLength: number;
  private readonly keep: number;
  private levels = new Float32Array(4096);
  private count = 0;
  private energy = 0;
  private inFrame = 0;
  private lastIn = 0;
  private lastOut = 0;
  private total = 0;
  private clipped = 0;

  /** @throws RangeError unless `sampleRate` is 4000 to 384 000 Hz. */
  constructor(readonly sampleRate: number) {
    if (!(sampleRate >= 4000 && sampleRate <= 384_000)) {
      throw new RangeError(`LevelMeter: sampleRate must be 4000 to 384000, got ${sampleRate}`);
    }
    this.frameLength = Math.round(sampleRate * FRAME_SECONDS);
    this.keep = 1 / (1 + (2 * Math.PI * HIGH_PASS_HERTZ) / sampleRate);
  }

  /** Takes the next mono samples, -1 to 1. Samples that are no numbers count as silence. */
  push(samples: Float32Array): void {
    for (const raw of samples) {
      const sample = Number.isFinite(raw) ? raw : 0;
      if (sample >= CLIPPED || sample <= -CLIPPED) this.clipped++;
      this.lastOut = this.keep * (this.lastOut + sample - this.lastIn);
      this.lastIn = sample;
      this.energy += this.lastOut * this.lastOut;
      if (++this.inFrame === this.frameLength) this.endFrame();
    }
    this.total += samples.length;
  }

  /** How much sound has passed, in seconds. */
  get seconds(): number {
    return this.total / this.sampleRate;
  }

  /** Share of samples at full scale so far, 0 to 1: more than a few in ten thousand is heard as a crackle. */
  get clippedShare(): number {
    return this.total === 0 ? 0 : this.clipped / this.total;
  }

  /** The levels so far, in dBFS, one every 20 ms. */
  read(): Float32Array {
    return this.levels.slice(0, this.count);
  }

  private endFrame(): void {
    if (this.count === this.levels.length) {
      const longer = new Float32Array(this.levels.length * 2);
      longer.set(this.levels);
      this.levels = longer;
    }
    const mean = this.energy / this.frameLength;
    this.levels[this.count++] = mean > 0 ? Math.max(SILENCE_DECIBELS, 10 * Math.log10(mean)) : SILENCE_DECIBELS;
    this.energy = 0;
    this.inFrame = 0;
  }
}
