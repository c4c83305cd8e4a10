import { AudioSample, AudioSampleSource, canEncodeAudio, OggOutputFormat, Output, StreamTarget } from 'mediabunny';
import { OggSerial } from './ogg-serial';

/** Speech and music in mono, well enough to put cues right by ear. */
const BITS_A_SECOND = 24_000;
/** Of Opus, 0 to 10. */
const COMPLEXITY = 1;
/** The copy is handed on in pieces of this size: about forty seconds each. */
const PIECE_BYTES = 128 * 1024;

/** Takes the copy piece by piece, in order; resolves when it may have the next. */
export type PieceSink = (piece: number, bytes: Uint8Array<ArrayBuffer>) => Promise<void>;

/**
 * Makes a compact mono copy of sound as it streams by: Opus in Ogg, about 24 kbit/s, handed on piece by piece so that
 * it is never held whole. The same sound gives the same bytes.
 */
export class SoundCopy {
  private readonly source: AudioSampleSource;
  private readonly output: Output;
  private readonly serial = new OggSerial(1);
  private seconds = 0;
  private held = new Uint8Array(PIECE_BYTES);
  private filled = 0;
  private pieces = 0;

  private constructor(private readonly sink: PieceSink) {
    this.source = new AudioSampleSource({
      codec: 'opus',
      bitrate: BITS_A_SECOND,
      // Half of the browser's work for a copy that only has to be heard well enough.
      onEncoderConfig: (config) => Object.assign(config, { opus: { complexity: COMPLEXITY, application: 'audio' } }),
    });
    const written = new WritableStream<{ data: Uint8Array<ArrayBuffer> }>({
      write: ({ data }) => this.keep(this.serial.push(data)),
    });
    this.output = new Output({ format: new OggOutputFormat(), target: new StreamTarget(written) });
    this.output.addAudioTrack(this.source);
  }

  /** `null` where this browser makes no Opus. */
  static async begin(sink: PieceSink): Promise<SoundCopy | null> {
    if (!(await canEncodeAudio('opus', { numberOfChannels: 1, sampleRate: 48_000, bitrate: BITS_A_SECOND })))
      return null;
    const copy = new SoundCopy(sink);
    await copy.output.start();
    return copy;
  }

  /** Mono sound at a rate that stays the same. */
  async push(samples: Float32Array, rate: number): Promise<void> {
    const sample = new AudioSample({
      data: samples,
      format: 'f32-planar',
      numberOfChannels: 1,
      sampleRate: rate,
      timestamp: this.seconds,
    });
    this.seconds += samples.length / rate;
    await this.source.add(sample);
    sample.close();
  }

  /** Ends the copy; how many pieces it has. */
  async finish(): Promise<number> {
    await this.output.finalize();
    if (this.filled > 0) await this.handOn();
    return this.pieces;
  }

  async giveUp(): Promise<void> {
    await this.output.cancel();
  }

  private async keep(data: Uint8Array): Promise<void> {
    for (let at = 0; at < data.length;) {
      const count = Math.min(PIECE_BYTES - this.filled, data.length - at);
      this.held.set(data.subarray(at, at + count), this.filled);
      this.filled += count;
      at += count;
      if (this.filled === PIECE_BYTES) await this.handOn();
    }
  }

  private async handOn(): Promise<void> {
    const bytes = this.held.slice(0, this.filled);
    this.filled = 0;
    await this.sink(this.pieces++, bytes);
  }
}
