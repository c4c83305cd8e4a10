/* What passes through here is handed on to the page, in pieces. Runs where the sound is made, and nowhere else. */

declare class AudioWorkletProcessor {
  readonly port: MessagePort;
}
declare function registerProcessor(name: string, processor: typeof AudioWorkletProcessor): void;

/** About a fiftieth of a second. */
const PIECE_SAMPLES = 1024;

class SoundTap extends AudioWorkletProcessor {
  private piece = new Float32Array(PIECE_SAMPLES);
  private filled = 0;

  process([input]: readonly (readonly Float32Array[])[]): boolean {
    const [first, ...others] = input ?? [];
    for (let at = 0; at < (first?.length ?? 0); at++) {
      let sum = first?.[at] ?? 0;
      for (const channel of others) sum += channel[at] ?? 0;
      this.piece[this.filled++] = sum / (1 + others.length);
      if (this.filled < PIECE_SAMPLES) continue;
      this.port.postMessage(this.piece, [this.piece.buffer]);
      this.piece = new Float32Array(PIECE_SAMPLES);
      this.filled = 0;
    }
    return true;
  }
}

registerProcessor('sound-tap', SoundTap);
