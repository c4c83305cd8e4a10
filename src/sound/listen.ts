import { ALL_FORMATS, AudioSampleSink, BlobSource, Input, type AudioSample } from 'mediabunny';
import { joinSamples, LevelMeter, Loudness, noiseFloor, type SoundFigures } from '@/core/signal';
import { itemAt, failed, formatClock, ok, type Issue, type Result, type Seconds } from '@/core/units';

const LONGEST_SECONDS = 4 * 3600;

export interface Listened {
  readonly levels: Float32Array;
  /** All but the hum, which is told from the sound as it passes. */
  readonly figures: Omit<SoundFigures, 'hum'>;
  readonly lengthSeconds: Seconds;
  readonly notes: readonly Issue[];
}

/** Takes mono sound and its rate as it is decoded. What it throws is taken for a fault of the file: it should not. */
export type SoundSink = (samples: Float32Array, rate: number) => Promise<void>;

/**
 * Streams through the sound of a file and measures its level; holds none of it. `goOn` is asked between pieces and
 * told how far it got (0 to 1); when it says no, the result is `null`. `alsoHeard` is given the sound as it passes.
 */
export async function listen(
  file: Blob,
  goOn: (share: number) => Promise<boolean>,
  alsoHeard: SoundSink = () => Promise.resolve(),
): Promise<Result<Listened, Issue> | null> {
  if (file.size === 0) return refused('empty-file');
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
  try {
    const track = await input.getPrimaryAudioTrack();
    // A container without any track has lost its index: a recording that was never ended, or a copy cut short.
    if (!track) return refused((await input.getTracks()).length > 0 ? 'no-sound-track' : 'no-index');
    if (!(await track.canDecode())) return refused('no-decoder');
    const duration = await track.computeDuration();
    if (duration > LONGEST_SECONDS) return refused('too-long-take');
    const heard = await measure(new AudioSampleSink(track), duration, goOn, alsoHeard);
    if (!heard?.ok || heard.value.notes.length > 0 || !(await isWavCutShort(file))) return heard;
    return ok({ ...heard.value, notes: [brokenAt(heard.value.lengthSeconds)] });
  } catch {
    return refused('not-media');
  } finally {
    input.dispose();
  }
}

/** Sound is measured and handed on in pieces of about this length. */
const PIECE: Seconds = 2;
/** A recording that lacks more than this share of what its index promises was cut short. */
const MISSING = 0.02;
/** A hole in the sound longer than this is filled with silence, so that times stay those of the recording. */
const HOLE: Seconds = 0.02;

async function measure(
  sink: AudioSampleSink,
  duration: Seconds,
  goOn: (share: number) => Promise<boolean>,
  alsoHeard: SoundSink,
): Promise<Result<Listened, Issue> | null> {
  let sound: Gathered | null = null;
  let asked = 0;
  const notes: Issue[] = [];
  try {
    for await (const sample of sink.samples()) {
      try {
        sound ??= new Gathered(sample.sampleRate, sample.numberOfChannels, alsoHeard);
        sound.add(sample);
      } finally {
        sample.close();
      }
      if (sound.waiting < PIECE) continue;
      await sound.handOn();
      if (sound.seconds - asked < 5) continue;
      asked = sound.seconds;
      if (!(await goOn(duration > 0 ? Math.min(1, sound.seconds / duration) : 0))) return null;
    }
  } catch {
    if (!sound || sound.seconds < 1) return refused('not-media');
    notes.push(brokenAt(sound.seconds));
  }
  if (!sound) return refused('no-sound-track');
  await sound.handOn();
  // A decoder may end quietly where the data does: the index then says that there was more.
  if (notes.length === 0 && duration - sound.seconds > Math.max(1, MISSING * duration))
    notes.push(brokenAt(sound.seconds));
  return ok({ ...sound.read(), notes });
}

function brokenAt(seconds: Seconds): Issue {
  return { code: 'broken-media', at: '', facts: { until: formatClock(seconds) } };
}

/** Whether a WAV says that it is longer than it is: its reader takes the length from the bytes that are there. */
async function isWavCutShort(file: Blob): Promise<boolean> {
  const head = new DataView(await file.slice(0, 12).arrayBuffer());
  if (head.byteLength < 12 || head.getUint32(0) !== RIFF || head.getUint32(8) !== WAVE) return false;
  const told = head.getUint32(4, true);
  // A recorder that was never ended says nothing, or the most there is.
  return told < 0xffffffff && told + 8 > file.size + 1;
}

/** The letters at the head of a WAV. */
const RIFF = 0x52494646;
const WAVE = 0x57415645;

/** Sound of one rate as it is decoded, gathered into pieces, measured and handed on. */
class Gathered {
  private readonly levels: LevelMeter;
  private readonly loudness: Loudness;
  private parts: Float32Array[][] = [];
  private samples = 0;
  private total = 0;

  constructor(
    private readonly rate: number,
    private readonly channels: number,
    private readonly sink: SoundSink,
  ) {
    this.levels = new LevelMeter(rate);
    this.loudness = new Loudness(rate, channels);
  }

  /** Of all that was added. */
  get seconds(): Seconds {
    return this.total / this.rate;
  }

  get waiting(): Seconds {
    return this.samples / this.rate;
  }

  add(sample: AudioSample): void {
    const hole = sample.timestamp - this.seconds;
    if (hole > HOLE) this.keep(this.silence(Math.round(Math.min(hole, LONGEST_SECONDS) * this.rate)));
    const planes = planesOf(sample);
    // What a codec put before the start is no part of the recording.
    const early = this.total === 0 && hole < 0 ? Math.min(itemAt(planes, 0).length, Math.round(-hole * this.rate)) : 0;
    // Channels that change half-way are measured by their mean from there on.
    const fitting = planes.length === this.channels ? planes : Array<Float32Array>(this.channels).fill(mono(planes));
    this.keep(early > 0 ? fitting.map((plane) => plane.subarray(early)) : fitting);
  }

  async handOn(): Promise<void> {
    if (this.samples === 0) return;
    const planes = Array.from({ length: this.channels }, (_, channel) =>
      joinSamples(this.parts.map((part) => itemAt(part, channel))),
    );
    this.parts = [];
    this.samples = 0;
    const mixed = mono(planes);
    this.loudness.push(planes);
    this.levels.push(mixed);
    await this.sink(mixed, this.rate);
  }

  read(): Omit<Listened, 'notes'> {
    const levels = this.levels.read();
    const { integrated, shortTermMost, truePeak } = this.loudness.read();
    const { clippedShare } = this.levels;
    return {
      levels,
      figures: { integrated, shortTermMost, truePeak, noiseFloor: noiseFloor(levels), clippedShare },
      lengthSeconds: this.seconds,
    };
  }

  private keep(planes: Float32Array[]): void {
    this.parts.push(planes);
    this.samples += itemAt(planes, 0).length;
    this.total += itemAt(planes, 0).length;
  }

  private silence(samples: number): Float32Array[] {
    return Array<Float32Array>(this.channels).fill(new Float32Array(samples));
  }
}

function planesOf(sample: AudioSample): Float32Array[] {
  return Array.from({ length: sample.numberOfChannels }, (_, channel) => {
    const plane = new Float32Array(sample.numberOfFrames);
    sample.copyTo(plane, { planeIndex: channel, format: 'f32-planar' });
    return plane;
  });
}

/** The mean of all channels. */
function mono(planes: readonly Float32Array[]): Float32Array {
  if (planes.length === 1) return itemAt(planes, 0);
  const mixed = new Float32Array(itemAt(planes, 0).length);
  for (const plane of planes)
    for (let at = 0; at < mixed.length; at++) mixed[at] = (mixed[at] ?? 0) + (plane[at] ?? 0) / planes.length;
  return mixed;
}

function refused(code: string): Result<Listened, Issue> {
  return failed({ code, at: '', facts: {} });
}
