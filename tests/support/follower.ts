import { createParser } from 'eventsource-parser';

/* Somebody who looks on at a live class from outside: server-sent events read by another hand, `eventsource-parser`. */

export interface Heard {
  readonly number: number;
  readonly kind: string;
  readonly data: Record<string, unknown>;
  /** When it was read, by this process. */
  readonly at: number;
}

export class Follower {
  readonly heard: Heard[] = [];
  /** How often it had to come back. */
  returns = 0;
  /** The status of the last answer. */
  status = 0;
  #last: string | undefined;
  #gone = false;
  #request: AbortController | null = null;

  /** Follows through one of these servers, and through the next when that one ends. */
  constructor(
    private readonly origins: readonly string[],
    private readonly code: string,
    private readonly told: (heard: Heard) => void = () => undefined,
  ) {}

  async follow(): Promise<void> {
    for (let turn = 0; !this.#gone; turn++) {
      const origin = this.origins[turn % this.origins.length] ?? '';
      if (await this.#once(origin).catch(() => false)) return;
      if (this.#gone) return;
      this.returns++;
      await new Promise((done) => setTimeout(done, 50));
    }
  }

  stop(): void {
    this.#gone = true;
    this.#request?.abort();
  }

  /** Whether it is over for good. */
  async #once(origin: string): Promise<boolean> {
    this.#request = new AbortController();
    const headers: Record<string, string> = this.#last === undefined ? {} : { 'last-event-id': this.#last };
    const url = `${origin}/api/live/${this.code}/events`;
    const response = await fetch(url, { headers, signal: this.#request.signal });
    this.status = response.status;
    if (!response.ok || !response.body) return response.status === 404 || response.status === 410;
    let over = false;
    const parser = createParser({
      onEvent: ({ id, event = 'message', data }) => {
        if (id !== undefined) this.#last = id;
        if (event === 'over') over = true;
        const heard = {
          number: Number(id ?? -1),
          kind: event,
          data: JSON.parse(data) as Record<string, unknown>,
          at: performance.now(),
        };
        this.heard.push(heard);
        this.told(heard);
      },
    });
    const decoder = new TextDecoder();
    for await (const piece of response.body) parser.feed(decoder.decode(piece, { stream: true }));
    return over;
  }
}
