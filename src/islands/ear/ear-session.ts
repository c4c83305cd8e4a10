import type { Cue } from '@/core/timeline';
import type { Issue } from '@/core/units';
import { startMeter } from '@/ui/parts/level-meter';
import { LiveEar } from '@/workers/live-listener/client';
import type { EarNews } from '@/workers/live-listener/protocol';
import { tapSound } from './sound-tap';

/** What an ear tells while it is open. */
export interface EarEvents {
  readonly prepared: (share: number) => void;
  readonly listening: () => void;
  readonly loudness: (loudness: number) => void;
  readonly news: (news: EarNews) => void;
  readonly trouble: (trouble: Issue) => void;
}

/** What stood in the way of a microphone, as an issue. */
function troubleOf(error: unknown): Issue {
  const name = error instanceof DOMException ? error.name : '';
  const code = { NotAllowedError: 'ear-refused', NotFoundError: 'ear-no-microphone' }[name] ?? 'ear-failed';
  return { code, at: '', facts: {} };
}

/** A microphone that is heard for the lines of a class, from when it is opened until it is ended. */
export class EarSession {
  private readonly listener = new LiveEar();
  private readonly stops: (() => void)[] = [];
  private ended = false;
  private lines: readonly Cue[] | null = null;
  private begun: Promise<void> | null = null;

  constructor(private readonly tell: EarEvents) {}

  /** Opens the microphone and begins to hear; the lines may come before or after. */
  async open(stream: () => Promise<MediaStream>): Promise<void> {
    try {
      const heard = await stream();
      this.stops.push(() => heard.getTracks().forEach((track) => track.stop()));
      if (this.ended) return this.end();
      for (const track of heard.getAudioTracks())
        track.addEventListener('ended', () => this.fail({ code: 'ear-unplugged', at: '', facts: {} }));
      this.stops.push(startMeter(heard, ({ loudness }) => this.tell.loudness(loudness)));
      this.begun = this.listener.begin((news) => {
        if (!this.ended) this.tell.news(news);
      });
      await this.begun;
      await this.say(0);
      this.stops.push(await tapSound(heard, (samples, rate) => this.listener.push(samples, rate)));
      if (this.ended) return this.end();
      this.tell.listening();
    } catch (error) {
      this.fail(troubleOf(error));
    }
  }

  /** The lines from now on. */
  async setLines(cues: readonly Cue[]): Promise<void> {
    const first = this.lines === null;
    this.lines = cues;
    if (first || !this.begun) return;
    await this.begun.then(() => this.say(null)).catch(() => this.fail({ code: 'ear-failed', at: '', facts: {} }));
  }

  /** Somebody moved on by hand. */
  moveTo(next: number): void {
    this.listener.moveTo(next);
  }

  end(): void {
    this.ended = true;
    for (const stop of this.stops.splice(0)) stop();
    this.listener.end();
  }

  private async say(next: number | null): Promise<void> {
    if (this.lines) await this.listener.lines(this.lines, next, (share) => !this.ended && this.tell.prepared(share));
  }

  private fail(trouble: Issue): void {
    if (this.ended) return;
    this.end();
    this.tell.trouble(trouble);
  }
}
