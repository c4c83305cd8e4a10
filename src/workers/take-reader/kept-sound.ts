import { sha256 } from '@/files/sha256';
import type { PieceSink } from '@/sound/sound-copy';

/**
 * Between tries to send a piece, in milliseconds. After the last the copy is given up, unless nobody answers at all:
 * then the last is waited for again and again.
 */
const PAUSES = [500, 1000, 2000, 4000, 4000, 4000];
/** More than this waits for a server that is away, and the rest of the copy is let go. */
const WAITING_BYTES = 64 * 1024 * 1024;

/** A sound's id, made from the fingerprint of its file: the same file read again goes on where it broke off. */
export function soundIdOf(print: string): string {
  return [8, 4, 4, 4, 12]
    .reduce<{ parts: string[]; at: number }>(
      ({ parts, at }, length) => ({ parts: [...parts, print.slice(at, at + length)], at: at + length }),
      { parts: [], at: 0 },
    )
    .parts.join('-');
}

/**
 * Sends the pieces of a sound copy to the server as they are made. What is there already is not sent again; while the
 * server is away pieces wait and are tried again. The reading never waits for it until its end.
 */
export class KeptSound {
  private readonly waiting: { readonly piece: number; readonly bytes: Uint8Array<ArrayBuffer> }[] = [];
  private waitingBytes = 0;
  private sending: Promise<void> | null = null;
  private lost = false;
  private unanswered = false;
  private there: Promise<ReadonlyMap<number, string>> | null = null;

  constructor(readonly id: string) {}

  readonly sink: PieceSink = (piece, bytes) => {
    if (this.lost) return Promise.resolve();
    this.waiting.push({ piece, bytes });
    this.waitingBytes += bytes.length;
    if (this.waitingBytes > WAITING_BYTES) this.giveUp();
    this.sending ??= this.send();
    return Promise.resolve();
  };

  private pieces: number | null = null;

  /** The copy has so many pieces and no more. */
  finish(pieces: number): void {
    this.pieces = pieces;
  }

  /** Whether the server does not answer just now. */
  get away(): boolean {
    return this.unanswered && this.sending !== null;
  }

  /** Whether all of it is kept, once nothing waits any more. */
  async done(): Promise<boolean> {
    await this.sending;
    const { pieces } = this;
    if (this.lost || pieces === null) return false;
    // Of a longer copy of the same file, made by another browser, the end has to go.
    const longer = [...(await this.alreadyThere()).keys()].some((piece) => piece >= pieces);
    return longer ? this.ask('DELETE', pieces) : true;
  }

  giveUp(): void {
    this.lost = true;
    this.waiting.length = 0;
  }

  private async send(): Promise<void> {
    for (let next = this.waiting.shift(); next && !this.lost; next = this.waiting.shift()) {
      this.waitingBytes -= next.bytes.length;
      if ((await this.alreadyThere()).get(next.piece) === (await sha256(next.bytes))) continue;
      if (!(await this.ask('PUT', next.piece, next.bytes))) this.giveUp();
    }
    this.sending = null;
  }

  private alreadyThere(): Promise<ReadonlyMap<number, string>> {
    return (this.there ??= fetch(`/api/sounds/${this.id}`)
      .then((answer) => (answer.ok ? (answer.json() as Promise<{ piece: number; print: string }[]>) : []))
      .then((pieces) => new Map(pieces.map(({ piece, print }) => [piece, print])))
      .catch(() => new Map<number, string>()));
  }

  private async ask(method: 'PUT' | 'DELETE', piece: number, bytes?: Uint8Array<ArrayBuffer>): Promise<boolean> {
    for (let tries = 0; tries < PAUSES.length; tries++) {
      const headers = bytes && { 'content-type': 'application/octet-stream' };
      const answer = await fetch(`/api/sounds/${this.id}/${piece}`, { method, headers, body: bytes }).catch(() => null);
      this.unanswered = answer === null;
      if (answer?.ok) return true;
      // Refused for good: out of bounds, or no room.
      if (answer && (answer.status < 500 || answer.status === 507)) return false;
      await new Promise((done) => setTimeout(done, PAUSES[tries]));
      if (this.lost) return false;
      if (!answer && tries === PAUSES.length - 1) tries--;
    }
    return false;
  }
}
