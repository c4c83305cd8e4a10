import { wrap, type Remote } from 'comlink';

/** Told how far work has got, 0 to 1; says whether it is to go on. */
export type GoOn = (share: number) => Promise<boolean>;

/** Told how far work has got, 0 to 1. */
export type OnProgress = (share: number) => void;

/**
 * A worker and what it offers. What is asked of it rejects when the worker fails or is ended: calls through comlink
 * alone would wait for ever.
 */
export class Hired<Offer> {
  private readonly remote: Remote<Offer>;
  private readonly gone: Promise<never>;
  private leave: (why: Error) => void = () => undefined;
  private left = false;

  constructor(private readonly worker: Worker) {
    this.remote = wrap<Offer>(worker);
    this.gone = new Promise((_, fail) => (this.leave = fail));
    // Heard by those who ask; nobody may be asking.
    this.gone.catch(() => undefined);
    worker.addEventListener('error', (event) => this.stop(new Error(`the worker failed: ${event.message}`)));
  }

  /** Whether it failed or was ended, so that another has to be hired. */
  get isGone(): boolean {
    return this.left;
  }

  ask<Work>(work: (offer: Remote<Offer>) => Work): Promise<Awaited<Work>> {
    return Promise.race([work(this.remote), this.gone]);
  }

  end(): void {
    this.stop(new Error('the worker was ended'));
  }

  private stop(why: Error): void {
    this.worker.terminate();
    this.left = true;
    this.leave(why);
  }
}
