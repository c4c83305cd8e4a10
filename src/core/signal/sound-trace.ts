import type { Seconds } from '@/core/units';

/** Of each so much of a second, one figure. */
export const TRACE_SECONDS: Seconds = 0.005;

/** Speech is told from rumble above this. */
const HIGH_PASS_HERTZ = 200;

/**
 * What two recordings of one room have in common whatever their microphones: how the level rises, every 5 ms, in
 * hundredths of a decade. Holds two bytes a figure: 1.4 MB an hour.
 */
export class SoundTrace {
  private readonly perFrame: number;
  private readonly keep: number;
  private trace = new Int16Array(1 << 16);
  private count = 0;
  private position = 0;
  private energy = 0;
  private lastIn = 0;
  private lastOut = 0;
  private before = -10;
  private nextFrame: number;

  constructor(sampleRate: number) {
    this.perFrame = sampleRate * TRACE_SECONDS;
    this.keep = 1 / (1 + (2 * Math.PI * HIGH_PASS_HERTZ) / sampleRate);
    this.nextFrame = this.perFrame;
  }

  push(samples: Float32Array): void {
    for (const raw of samples) {
      const sample = Number.isFinite(raw) ? raw : 0;
      this.lastOut = this.keep * (this.lastOut + sample - this.lastIn);
      this.lastIn = sample;
      this.energy += this.lastOut * this.lastOut;
      if (++this.position >= this.nextFrame) this.endFrame();
    }
  }

  read(): Int16Array {
    return this.trace.slice(0, this.count);
  }

  private endFrame(): void {
    if (this.count === this.trace.length) {
      const longer = new Int16Array(this.trace.length * 2);
      longer.set(this.trace);
      this.trace = longer;
    }
    // A floor far below any microphone's own noise keeps digital silence from ringing.
    const level = Math.log10(this.energy / this.perFrame + 1e-9);
    this.trace[this.count++] = Math.round(100 * Math.max(0, level - this.before));
    this.before = level;
    this.energy = 0;
    this.nextFrame += this.perFrame;
  }
}
