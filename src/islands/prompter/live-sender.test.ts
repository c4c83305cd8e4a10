import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LiveSender, type SenderState, type Telling } from './live-sender';

const standing = (placeSeconds: number): Telling => ({
  kind: 'standing',
  standing: { mode: 'running', by: 'clock', placeSeconds },
  steady: placeSeconds,
});

interface Sent {
  readonly id: string;
  readonly standing: { readonly placeSeconds: number; readonly at: number };
}

describe('telling a server what the prompter does', () => {
  let answers: (number | 'nobody')[];
  let requests: Sent[][];
  let states: SenderState[];
  let ahead: number | null;
  const sender = (): LiveSender =>
    new LiveSender('class', 'leader', { ahead: () => ahead, state: (state) => states.push(state) });
  const places = (sent: readonly Sent[] | undefined) => sent?.map((one) => one.standing.placeSeconds);

  beforeEach(() => {
    [answers, requests, states, ahead] = [[], [], [], 1_000_000];
    vi.useFakeTimers();
    vi.stubGlobal('fetch', (_: string, { body }: { body: string }) => {
      requests.push((JSON.parse(body) as { events: Sent[] }).events);
      const status = answers.shift() ?? 200;
      if (status === 'nobody') return Promise.reject(new TypeError('no network'));
      return Promise.resolve(new Response('{}', { status }));
    });
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('sends in order and one request at a time, at the time at which each was', async () => {
    const telling = sender();
    for (const place of [1, 2, 3]) telling.tell(standing(place));
    await vi.runAllTimersAsync();
    expect(requests.map(places)).toEqual([[1], [2, 3]]);
    expect(requests.flat().map((one) => one.standing.at)).toEqual([1_001_000, 1_002_000, 1_003_000]);
    expect(states).toEqual(['told', 'told']);
  });

  it('keeps what a server that is away does not take, and sends the same again under the same names', async () => {
    answers = ['nobody', 503];
    const telling = sender();
    telling.tell(standing(1));
    await vi.advanceTimersByTimeAsync(10);
    telling.tell(standing(2));
    await vi.runAllTimersAsync();
    expect(requests.map(places)).toEqual([[1], [1, 2], [1, 2]]);
    expect(new Set(requests.map((sent) => sent[0]?.id)).size).toBe(1);
    expect(states).toEqual(['away', 'away', 'told']);
  });

  it('waits until the clock that is shared is known', async () => {
    ahead = null;
    const telling = sender();
    telling.tell(standing(5));
    await vi.advanceTimersByTimeAsync(100);
    expect(requests).toEqual([]);
    ahead = 50;
    telling.hurry();
    await vi.advanceTimersByTimeAsync(0);
    expect(requests.map(places)).toEqual([[5]]);
  });

  it('is silent once another prompter leads or the class is over', async () => {
    for (const [status, state] of [
      [409, 'another'],
      [410, 'over'],
    ] as const) {
      [answers, requests, states] = [[status], [], []];
      const telling = sender();
      telling.tell(standing(1));
      await vi.runAllTimersAsync();
      telling.tell(standing(2));
      await vi.runAllTimersAsync();
      expect([requests.length, states]).toEqual([1, [state]]);
    }
  });

  it('gives up the oldest of a thousand, and never what stands now', async () => {
    ahead = null;
    const telling = sender();
    for (let place = 0; place <= 1_000; place++) telling.tell(standing(place));
    ahead = 0;
    await vi.runAllTimersAsync();
    expect(requests[0]?.[0]?.standing.placeSeconds).toBe(1);
    expect(requests.flat().at(-1)?.standing.placeSeconds).toBe(1_000);
    expect(requests.every((sent) => sent.length <= 100)).toBe(true);
  });
});
