import { send } from '@/api/client';
import { clockAhead, type ClockReading } from '@/core/live';

const QUESTIONS = 5;
/** Clocks drift by some ten milliseconds an hour; a machine that slept has lost all it slept. */
const AGAIN_MILLISECONDS = 60_000;

/**
 * The clock that all who follow a live class share, as the server tells it. A device's own clock may be minutes off:
 * only its steady clock is used here.
 */
export class SharedClock {
  #ahead: number | null = null;
  #asking: Promise<void> | null = null;
  #timer: ReturnType<typeof setInterval> | undefined;

  constructor(
    private readonly code: string,
    private readonly told: () => void = () => undefined,
  ) {}

  /** Milliseconds since 1970; `null` until the server has told. */
  now(): number | null {
    return this.#ahead === null ? null : performance.now() + this.#ahead;
  }

  /** How far it is ahead of this page's steady clock, in milliseconds; `null` until the server has told. */
  ahead(): number | null {
    return this.#ahead;
  }

  /** Asks now, and again from time to time and when the page is seen again. */
  start(): void {
    void this.ask();
    this.#timer = setInterval(() => void this.ask(), AGAIN_MILLISECONDS);
    document.addEventListener('visibilitychange', this.#seen);
  }

  stop(): void {
    clearInterval(this.#timer);
    document.removeEventListener('visibilitychange', this.#seen);
  }

  /** Settles when it was asked; what was known stays where nobody answers. */
  ask(): Promise<void> {
    this.#asking ??= this.#measure().finally(() => (this.#asking = null));
    return this.#asking;
  }

  readonly #seen = (): void => {
    if (document.visibilityState === 'visible') void this.ask();
  };

  async #measure(): Promise<void> {
    const readings: ClockReading[] = [];
    for (let question = 0; question < QUESTIONS; question++) {
      const asked = performance.now();
      const answer = await send<{ now: number }>('GET', `/api/live/${this.code}/clock`);
      if (!answer.ok) break;
      readings.push({ asked, answered: performance.now(), said: answer.value.now });
    }
    const ahead = clockAhead(readings);
    if (ahead === null) return;
    this.#ahead = ahead;
    this.told();
  }
}
