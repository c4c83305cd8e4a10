import { ALL_FORMATS, AudioSampleSink, BlobSource, Input, type AudioSample } from 'mediabunny';
import { LevelMeter } from '@/core/signal';
import { failed, formatClock, ok, type Issue, type Result, type Seconds } from '@/core/units';

const LONGEST_SECONDS = 4 * 3600;

export interface Listened {
  readonly levels: Float32Array;
  /** Share of samples at full scale, 0 to 1. */
  readonly clippedShare: number;
  readonly lengthSeconds: Seconds;
  readonly notes: readonly Issue[];
}

/** Takes mono sound and its rate as it is decoded. */
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
    if (!track) return refused('no-sound-track');
    if (!(await track.canDecode())) return refused('no-decoder');
    const duration = await track.computeDuration();
    if (duration > LONGEST_SECONDS) return refused('too-long-take');
    return await measure(new AudioSampleSink(track), duration, goOn, alsoHeard);
  } catch {
    return refused('not-media');
  } finally {
    input.dispose();
  }
}

async function measure(
  sink: AudioSampleSink,
  duration: Seconds,
  goOn: (share: number) => Promise<boolean>,
  alsoHeard: SoundSink,
): Promise<Result<Listened, Issue> | null> {
  let meter: LevelMeter | null = null;
  let heard = 0;
  let asked = 0;
  const notes: Issue[] = [];
  try {
    for await (const sample of sink.samples()) {
      let mixed: Float32Array;
      let rate: number;
      try {
        meter ??= new LevelMeter(sample.sampleRate);
        mixed = mono(sample);
        rate = sample.sampleRate;
        meter.push(mixed);
        heard = sample.timestamp + sample.duration;
      } finally {
        sample.close();
      }
      await alsoHeard(mixed, rate);
      if (heard - asked < 5) continue;
      asked = heard;
      if (!(await goOn(duration > 0 ? Math.min(1, heard / duration) : 0))) return null;
    }
  } catch {
    if (!meter || heard < 1) return refused('not-media');
    notes.push({ code: 'broken-media', at: '', facts: { until: formatClock(heard) } });
  }
  if (!meter) return refused('no-sound-track');
  return ok({
    levels: meter.read(),
    clippedShare: meter.clippedShare,
    lengthSeconds: Math.max(heard, meter.seconds),
    notes,
  });
}

/** The mean of all channels. */
function mono(sample: AudioSample): Float32Array {
  const mixed = new Float32Array(sample.numberOfFrames);
  const plane = new Float32Array(sample.numberOfFrames);
  for (let channel = 0; channel < sample.numberOfChannels; channel++) {
    sample.copyTo(plane, { planeIndex: channel, format: 'f32-planar' });
    for (let at = 0; at < mixed.length; at++) mixed[at] += plane[at] / sample.numberOfChannels;
  }
  return mixed;
}

function refused(code: string): Result<Listened, Issue> {
  return failed({ code, at: '', facts: {} });
}
