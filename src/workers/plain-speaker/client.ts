import { proxy } from 'comlink';
import type { PracticeRecipe } from '@/core/practice';
import { Hired, type OnProgress } from '../hired';
import type { OnLine, PracticeMade, Speaker } from './protocol';

/** A synthetic voice in a worker of its own, which is ended with it. */
export class PlainSpeaker {
  private readonly hired = new Hired<Speaker>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  private lastId = 0;
  private ended = false;

  /**
   * Says lines, one after the other, each handed on as soon as it is there; an empty one could not be said. A later
   * call ends this one. `onFailure` is told when the voice cannot be had.
   */
  say(texts: readonly string[], syllablesPerMinute: number, onLine: OnLine, onFailure: () => void): void {
    const id = ++this.lastId;
    const onNewest: OnLine = (...line) => {
      if (id === this.lastId) onLine(...line);
    };
    this.hired
      .ask((offer) => offer.say(texts, syllablesPerMinute, proxy(onNewest)))
      .catch(() => {
        if (!this.ended && id === this.lastId) onFailure();
      });
  }

  /** Makes a practice take; `null` when it could not be made, or was ended. */
  practice(recipe: PracticeRecipe, onProgress: OnProgress): Promise<PracticeMade | null> {
    return this.hired.ask((offer) => offer.practice(recipe, proxy(onProgress))).catch(() => null);
  }

  end(): void {
    this.ended = true;
    this.hired.end();
  }
}
