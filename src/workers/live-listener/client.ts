import { proxy, transfer } from 'comlink';
import type { Cue } from '@/core/timeline';
import { Hired } from '../hired';
import type { EarNews, LiveListener } from './protocol';

/** A worker that hears a microphone; ended with the page. */
export class LiveEar {
  private readonly hired = new Hired<LiveListener>(
    new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }),
  );

  /** Rejects where the voice model could not be loaded. */
  begin(onNews: (news: EarNews) => void): Promise<void> {
    return this.hired.ask((offer) => offer.begin(proxy(onNews)));
  }

  lines(cues: readonly Cue[], next: number | null, onSaid: (share: number) => void): Promise<void> {
    return this.hired.ask((offer) => offer.lines(cues, next, proxy(onSaid)));
  }

  moveTo(next: number): void {
    void this.hired.ask((offer) => offer.moveTo(next)).catch(() => undefined);
  }

  push(samples: Float32Array<ArrayBuffer>, rate: number): void {
    void this.hired.ask((offer) => offer.push(transfer(samples, [samples.buffer]), rate)).catch(() => undefined);
  }

  end(): void {
    this.hired.end();
  }
}
