import { send } from '@/api/client';
import { EVENTS_AT_ONCE } from '@/api/live';
import type { ShownClass, Standing } from '@/core/live';
import type { Seconds } from '@/core/units';

/** What is to be told: where it stands at a moment of this page's steady clock, or what is shown from now on. */
export type Telling =
  | { readonly kind: 'standing'; readonly standing: Omit<Standing, 'at'>; readonly steady: Seconds }
  | { readonly kind: 'shown'; readonly shown: ShownClass };

/** How the telling goes: all told, waiting for the server, refused because another prompter leads, or over. */
export type SenderState = 'told' | 'away' | 'another' | 'over';

interface Ways {
  /** Milliseconds that the shared clock is ahead of the steady one; `null` until it is known. */
  readonly ahead: () => number | null;
  readonly state: (state: SenderState) => void;
}

const AGAIN_MILLISECONDS = 1_500;
/** What waits while the server is away; beyond it the oldest is given up: how it stands now is what counts. */
const WAITING_AT_MOST = 1_000;

/**
 * Tells the server what the prompter does, in order and each once, one request at a time. While the server is away all
 * of it waits and is sent later; the prompter itself never waits for it.
 */
export class LiveSender {
  readonly #waiting: { readonly id: string; readonly telling: Telling }[] = [];
  #sending = false;
  #stopped = false;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly classId: string,
    private readonly leader: string,
    private readonly ways: Ways,
  ) {}

  tell(telling: Telling): void {
    this.#waiting.push({ id: crypto.randomUUID(), telling });
    if (this.#waiting.length > WAITING_AT_MOST) this.#waiting.shift();
    void this.#send();
  }

  stop(): void {
    this.#stopped = true;
    clearTimeout(this.#timer);
  }

  /** Tries what waits now: the clock has become known, or the network is back. */
  hurry(): void {
    void this.#send();
  }

  async #send(): Promise<void> {
    if (this.#sending || this.#stopped) return;
    this.#sending = true;
    clearTimeout(this.#timer);
    try {
      while (this.#waiting.length > 0 && !this.#stopped) if (!(await this.#sendSome())) break;
    } finally {
      this.#sending = false;
    }
  }

  /** Whether it went and more may follow. */
  async #sendSome(): Promise<boolean> {
    const ahead = this.ways.ahead();
    if (ahead === null) return this.#later();
    const some = this.#waiting.slice(0, EVENTS_AT_ONCE);
    const events = some.map(({ id, telling }) =>
      telling.kind === 'shown'
        ? { id, shown: telling.shown }
        : { id, standing: { ...telling.standing, at: telling.steady * 1000 + ahead } },
    );
    const answer = await send('POST', `/api/classes/${this.classId}/live/events`, { leader: this.leader, events });
    if (answer.ok) {
      // Some of them may have been given up meanwhile.
      const sent = new Set(some);
      while (this.#waiting[0] && sent.has(this.#waiting[0])) this.#waiting.shift();
      this.ways.state('told');
      return true;
    }
    if (answer.away) return this.#later();
    this.#stopped = true;
    this.ways.state(answer.status === 409 ? 'another' : 'over');
    return false;
  }

  #later(): false {
    if (this.#stopped) return false;
    this.ways.state('away');
    this.#timer = setTimeout(() => void this.#send(), AGAIN_MILLISECONDS);
    return false;
  }
}
