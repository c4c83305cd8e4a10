import { BreathTones } from '@/core/breath';
import { itemAt, lastStartedAt, type Seconds } from '@/core/units';
import type { Timeline } from '@/core/timeline';
import { PlainSpeaker } from '@/workers/plain-speaker/client';

export type PreviewState = 'ready' | 'preparing' | 'playing' | 'paused' | 'failed';

/** Enough for tones below 250 Hz; browsers take no less. */
const TONE_RATE = 8000;
const TONE_BLOCK: Seconds = 4;
/** Sound is handed to the browser so far ahead, looked at so often. */
const AHEAD: Seconds = 6;
const LOOK_MILLISECONDS = 200;
/** A line that comes later than this is left out rather than said at the wrong place. */
const LATE: Seconds = 0.8;
/** Lines that have to be there before it begins. */
const FIRST_LINES = 3;

/** Plays a class in a plain synthetic voice with the breath as tones; everything is made in this browser as it goes. */
export class PreviewSound {
  private readonly context = new AudioContext();
  private readonly voice = this.channel();
  private readonly tones = this.channel();
  private readonly speaker = new PlainSpeaker();
  private readonly lines = new Map<string, AudioBuffer | null>();
  private readonly playing = new Set<AudioBufferSourceNode>();
  private timer: ReturnType<typeof setInterval> | undefined;
  private state: PreviewState = 'ready';
  /** Where it was when the context's clock stood at `since`. */
  private from: Seconds = 0;
  private since: Seconds = 0;
  private nextCue = 0;
  private tonesUntil: Seconds = 0;
  private breath: BreathTones | null = null;

  constructor(
    private readonly timeline: Timeline,
    private readonly syllablesPerMinute: number,
    private readonly onChange: (state: PreviewState) => void,
  ) {}

  get seconds(): Seconds {
    const now = this.state === 'playing' ? this.from + this.context.currentTime - this.since : this.from;
    return Math.min(this.timeline.runtimeSeconds, Math.max(0, now));
  }

  hear(what: 'voice' | 'tones', on: boolean): void {
    this[what].gain.value = on ? 1 : 0;
  }

  /** Plays from a place, once the voice has its next lines. */
  play(from: Seconds = this.from): void {
    this.silence();
    this.from = from;
    this.nextCue = lastStartedAt(this.timeline.cues, from - 0.001) + 1;
    this.set('preparing');
    void this.context.resume();
    const wanted = this.timeline.cues.slice(this.nextCue).map(({ text }) => text);
    const first = new Set(wanted.slice(0, FIRST_LINES).filter((text) => !this.lines.has(text)));
    const ask = [...new Set(wanted)].filter((text) => !this.lines.has(text));
    if (first.size === 0) this.begin();
    if (ask.length === 0) return;
    this.speaker.say(
      ask,
      this.syllablesPerMinute,
      (text, samples, sampleRate) => {
        this.lines.set(text, this.bufferOf(samples, sampleRate));
        if (first.delete(text) && first.size === 0 && this.state === 'preparing') this.begin();
      },
      () => {
        this.silence();
        this.set('failed');
      },
    );
  }

  pause(): void {
    this.from = this.seconds;
    this.silence();
    this.set('paused');
  }

  /** Ends it for good. */
  close(): void {
    this.silence();
    this.speaker.end();
    void this.context.close();
  }

  private begin(): void {
    this.since = this.context.currentTime;
    this.tonesUntil = this.from;
    this.breath = new BreathTones(this.timeline.phases, TONE_RATE, this.from);
    this.set('playing');
    this.timer = setInterval(() => this.look(), LOOK_MILLISECONDS);
    this.look();
  }

  private look(): void {
    const now = this.seconds;
    if (now >= this.timeline.runtimeSeconds) {
      this.from = 0;
      this.silence();
      return this.set('ready');
    }
    for (; this.tonesUntil < Math.min(now + AHEAD, this.timeline.runtimeSeconds); this.tonesUntil += TONE_BLOCK) {
      const block = new Float32Array(TONE_RATE * TONE_BLOCK);
      this.breath?.addTo(block);
      this.start(this.bufferOf(block, TONE_RATE), this.tonesUntil, this.tones);
    }
    for (; this.nextCue < this.timeline.cues.length; this.nextCue++) {
      const { text, startSeconds } = itemAt(this.timeline.cues, this.nextCue);
      if (startSeconds > now + AHEAD) break;
      const line = this.lines.get(text);
      // Not said yet: it may still come in time.
      if (line === undefined && now < startSeconds + LATE) break;
      if (line && now < startSeconds + LATE) this.start(line, Math.max(now, startSeconds), this.voice);
    }
  }

  private start(buffer: AudioBuffer | null, at: Seconds, channel: GainNode): void {
    if (!buffer) return;
    const node = new AudioBufferSourceNode(this.context, { buffer });
    node.connect(channel);
    node.onended = () => this.playing.delete(node);
    node.start(Math.max(this.context.currentTime, this.since + at - this.from));
    this.playing.add(node);
  }

  private silence(): void {
    clearInterval(this.timer);
    for (const node of this.playing) node.stop();
    this.playing.clear();
  }

  private channel(): GainNode {
    const gain = new GainNode(this.context);
    gain.connect(this.context.destination);
    return gain;
  }

  private bufferOf(samples: Float32Array<ArrayBuffer>, sampleRate: number): AudioBuffer | null {
    if (samples.length === 0) return null;
    const buffer = new AudioBuffer({ length: samples.length, sampleRate });
    buffer.copyToChannel(samples, 0);
    return buffer;
  }

  private set(state: PreviewState): void {
    this.state = state;
    this.onChange(state);
  }
}
