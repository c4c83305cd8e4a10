import type { Fitted, FitOptions, NotFitted, Proposals } from '@/core/pacing';
import type { ClassPlan } from '@/core/plan';
import type { FitReply, FitRequest, LengthFit } from './protocol';

/**
 * Fits in a worker of its own. One answer is under way at a time: a newer question makes it give the older one up.
 * Every question rejects with an `Error` when the worker itself fails; the next one starts another.
 */
export interface Fitter {
  /** `null` when a newer question came first. */
  readonly fit: (plan: ClassPlan, held: FitOptions['held']) => Promise<Fitted | NotFitted | null>;
  readonly propose: (plan: ClassPlan) => Promise<Proposals | null>;
  readonly lengths: (plan: ClassPlan) => Promise<readonly LengthFit[] | null>;
  readonly stop: () => void;
}

/** A fitter whose worker starts with the first question. */
export function createFitter(): Fitter {
  const waiting = new Map<number, (reply: FitReply | null | Error) => void>();
  let worker: Worker | null = null;
  let last = 0;
  const settleAll = (reply: null | Error): void => {
    for (const settle of waiting.values()) settle(reply);
    waiting.clear();
  };
  const running = (): Worker => {
    if (worker) return worker;
    worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<FitReply>) => {
      const settle = waiting.get(data.id);
      waiting.delete(data.id);
      settle?.(data);
    });
    worker.addEventListener('error', (event) => {
      worker?.terminate();
      worker = null;
      settleAll(new Error(`the fitting worker failed: ${event.message}`));
    });
    return worker;
  };
  const ask = (make: (id: number) => FitRequest): Promise<FitReply | null> => {
    const id = ++last;
    return new Promise((settle, fail) => {
      waiting.set(id, (reply) => {
        if (reply instanceof Error) fail(reply);
        else settle(reply && id === last ? reply : null);
      });
      running().postMessage(make(id));
    });
  };
  return {
    fit: async (plan, held) => {
      const reply = await ask((id) => ({ kind: 'fit', id, plan, held }));
      return reply?.kind === 'fitted' ? reply.fit : null;
    },
    propose: async (plan) => {
      const reply = await ask((id) => ({ kind: 'propose', id, plan }));
      return reply?.kind === 'proposed' ? reply.proposals : null;
    },
    lengths: async (plan) => {
      const reply = await ask((id) => ({ kind: 'lengths', id, plan }));
      return reply?.kind === 'lengths' ? reply.lengths : null;
    },
    stop: () => {
      worker?.terminate();
      worker = null;
      settleAll(null);
    },
  };
}
