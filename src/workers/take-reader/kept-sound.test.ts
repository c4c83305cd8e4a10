import { createHash } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { KeptSound, soundIdOf } from './kept-sound';

/** A server that keeps pieces in memory, and can be away, broken or full. */
class Server {
  readonly pieces = new Map<number, Uint8Array>();
  state: 'well' | 'away' | 'broken' | 'full' = 'well';
  readonly asked: string[] = [];

  readonly fetch = (path: string, init?: { method?: string; body?: Uint8Array }): Promise<Response> => {
    const method = init?.method ?? 'GET';
    const piece = Number(path.split('/')[4]);
    this.asked.push(method === 'GET' ? 'GET' : `${method} ${piece}`);
    if (this.state === 'away') return Promise.reject(new TypeError('Failed to fetch'));
    if (this.state === 'broken') return Promise.resolve(new Response('', { status: 500 }));
    if (this.state === 'full') return Promise.resolve(new Response('', { status: method === 'PUT' ? 507 : 200 }));
    if (method === 'GET') {
      const all = [...this.pieces].map(([at, bytes]) => ({
        piece: at,
        print: createHash('sha256').update(bytes).digest('hex'),
      }));
      return Promise.resolve(Response.json(all));
    }
    if (method === 'PUT' && init?.body) this.pieces.set(piece, init.body);
    if (method === 'DELETE') for (const at of this.pieces.keys()) if (at >= piece) this.pieces.delete(at);
    return Promise.resolve(new Response(null, { status: 204 }));
  };
}

const bytes = (fill: number): Uint8Array<ArrayBuffer> => new Uint8Array(100).fill(fill);
const ID = soundIdOf('0123456789abcdef0123456789abcdef'.repeat(2));

const really = setTimeout;

describe('a sound copy on its way to the server', () => {
  let server: Server;
  beforeEach(() => {
    // What is digested is digested meanwhile, in real time.
    vi.useFakeTimers({ toFake: ['setTimeout'] });
    server = new Server();
    vi.stubGlobal('fetch', server.fetch);
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  /** So long passes, in steps. */
  async function pass(milliseconds: number): Promise<void> {
    for (let step = 0; step < 60; step++) {
      await new Promise((later) => really(later, 3));
      await vi.advanceTimersByTimeAsync(milliseconds / 60);
    }
  }

  async function keep(pieces: readonly number[]): Promise<{ kept: KeptSound; done: Promise<boolean> }> {
    const kept = new KeptSound(ID);
    for (const [at, fill] of pieces.entries()) await kept.sink(at, bytes(fill));
    kept.finish(pieces.length);
    return { kept, done: kept.done() };
  }

  it('has an id of its file, in the shape of ids', () => {
    expect(ID).toBe('01234567-89ab-cdef-0123-456789abcdef');
  });

  it('is sent piece by piece, and what is there is not sent again', async () => {
    const first = await keep([1, 2, 3]);
    await pass(60_000);
    expect(await first.done).toBe(true);
    expect([...server.pieces.keys()]).toEqual([0, 1, 2]);
    server.asked.length = 0;
    const second = await keep([1, 2, 9]);
    await pass(60_000);
    expect(await second.done).toBe(true);
    expect(server.asked).toEqual(['GET', 'PUT 2']);
  });

  it('loses the end of a longer copy that was there before', async () => {
    await (
      await keep([1, 2, 3, 4])
    ).done;
    const shorter = await keep([1, 2]);
    await pass(60_000);
    expect(await shorter.done).toBe(true);
    expect([...server.pieces.keys()]).toEqual([0, 1]);
  });

  it('waits for a server that does not answer, however long, and says so', async () => {
    server.state = 'away';
    const { kept, done } = await keep([1, 2]);
    await pass(10 * 60_000);
    expect(kept.away).toBe(true);
    server.state = 'well';
    await pass(10_000);
    expect(await done).toBe(true);
    expect(kept.away).toBe(false);
    expect(server.pieces.size).toBe(2);
  });

  it.each([['broken'], ['full']] as const)('is given up where the server is %s', async (state) => {
    server.state = state;
    const { kept, done } = await keep([1, 2]);
    await pass(60_000);
    expect(await done).toBe(false);
    expect(kept.away).toBe(false);
    // A full server is not asked again; a broken one a few times.
    const tries = server.asked.filter((one) => one === 'PUT 0').length;
    expect(tries).toBe(state === 'full' ? 1 : 6);
    expect(server.asked).not.toContain('PUT 1');
  });

  it('stops at once when it is given up, and keeps nothing after', async () => {
    server.state = 'away';
    const { kept, done } = await keep([1]);
    await pass(3000);
    kept.giveUp();
    await pass(10_000);
    expect(await done).toBe(false);
    const asked = server.asked.length;
    await kept.sink(1, bytes(2));
    await pass(10_000);
    expect(server.asked.length).toBe(asked);
  });
});
