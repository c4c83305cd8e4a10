import type { PracticeRecipe } from '@/core/practice';
import type { PracticeTruth, SpeakReply, SpeakRequest } from './protocol';

/** A synthetic voice in a worker of its own, which is ended with it. */
export class PlainSpeaker {
  private readonly worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  private lastId = 0;

  /**
   * Says lines, one after the other, each handed on as soon as it is there; an empty one could not be said. A later
   * call ends this one. `onFailure` is told when the voice cannot be had.
   */
  say(
    texts: readonly string[],
    syllablesPerMinute: number,
    onLine: (text: string, samples: Float32Array<ArrayBuffer>, sampleRate: number) => void,
    onFailure: () => void,
  ): void {
    const id = ++this.lastId;
    this.worker.onmessage = ({ data }: MessageEvent<SpeakReply>) => {
      if (data.id !== id) return;
      if (data.kind === 'line') onLine(data.text, data.samples, data.sampleRate);
      else if (data.kind === 'failed') onFailure();
    };
    this.worker.onerror = onFailure;
    this.post({ kind: 'lines', id, texts, syllablesPerMinute });
  }

  /** Makes a practice take; `null` when it could not be made. */
  practice(
    recipe: PracticeRecipe,
    onProgress: (share: number) => void,
  ): Promise<{ readonly wav: Blob; readonly truth: PracticeTruth } | null> {
    const id = ++this.lastId;
    return new Promise((settle) => {
      this.worker.onmessage = ({ data }: MessageEvent<SpeakReply>) => {
        if (data.id !== id) return;
        if (data.kind === 'progress') onProgress(data.share);
        else if (data.kind === 'take') settle({ wav: data.wav, truth: data.truth });
        else if (data.kind === 'failed') settle(null);
      };
      this.worker.onerror = () => settle(null);
      this.post({ kind: 'practice', id, recipe });
    });
  }

  end(): void {
    this.worker.terminate();
  }

  private post(request: SpeakRequest): void {
    this.worker.postMessage(request);
  }
}
