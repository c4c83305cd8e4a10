import { expose, proxy, type Endpoint } from 'comlink';
import { MessageChannel } from 'node:worker_threads';
import { describe, expect, it } from 'vitest';
import { takenAs } from '@/core/units';
import { Hired, type GoOn } from './hired';

interface Counter {
  count(to: number, goOn: GoOn): Promise<number | null>;
  never(): Promise<void>;
  refuse(): Promise<void>;
}

const counter: Counter = {
  async count(to, goOn) {
    for (let at = 1; at <= to; at++) if (!(await goOn(at / to))) return null;
    return to;
  },
  never: () => new Promise(() => undefined),
  refuse: () => Promise.reject(new Error('not today')),
};

/** A worker in this thread: the far end of a channel offers the counter. */
function hire() {
  const { port1, port2 } = new MessageChannel();
  expose(counter, takenAs<Endpoint>(port2));
  port2.unref();
  port1.unref();
  const worker = Object.assign(takenAs<Worker>(port1), { terminate: () => port1.close() });
  return { hired: new Hired<Counter>(worker), worker };
}

describe('a hired worker', () => {
  it('tells how far it is and gives its answer', async () => {
    const { hired } = hire();
    const told: number[] = [];
    const goOn = proxy((share: number) => Promise.resolve(told.push(share) > 0));
    expect(await hired.ask((offer) => offer.count(4, goOn))).toBe(4);
    expect(told).toEqual([0.25, 0.5, 0.75, 1]);
    hired.end();
  });

  it('stops where it is told to', async () => {
    const { hired } = hire();
    const goOn = proxy((share: number) => Promise.resolve(share < 0.5));
    expect(await hired.ask((offer) => offer.count(4, goOn))).toBeNull();
    hired.end();
  });

  it('rejects what is asked of it when it is ended, before and after', async () => {
    const { hired } = hire();
    const waiting = hired.ask((offer) => offer.never());
    expect(hired.isGone).toBe(false);
    hired.end();
    await expect(waiting).rejects.toThrow('the worker was ended');
    expect(hired.isGone).toBe(true);
    await expect(hired.ask((offer) => offer.never())).rejects.toThrow('the worker was ended');
  });

  it('rejects what is asked of it when the worker itself fails', async () => {
    const { hired, worker } = hire();
    const waiting = hired.ask((offer) => offer.never());
    worker.dispatchEvent(Object.assign(new Event('error'), { message: 'no such file' }));
    await expect(waiting).rejects.toThrow('the worker failed: no such file');
    expect(hired.isGone).toBe(true);
  });

  it('hands on what the work itself throws, and can be asked again', async () => {
    const { hired } = hire();
    await expect(hired.ask((offer) => offer.refuse())).rejects.toThrow('not today');
    expect(hired.isGone).toBe(false);
    hired.end();
  });
});
