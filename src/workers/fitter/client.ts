import { proxy, type Remote } from 'comlink';
import type { Fitted, FitOptions, NotFitted, Proposals } from '@/core/pacing';
import type { ClassPlan } from '@/core/plan';
import { Hired, type OnProgress } from '../hired';
import type { FitWorker, LengthFit } from './protocol';

/**
 * Fits in a worker of its own. One answer is under way at a time: a newer question makes it give the older one up.
 * Every question rejects with an `Error` when the worker itself fails; the next one starts another.
 */
export interface Fitter {
  /** `null` when a newer question came first. */
  readonly fit: (plan: ClassPlan, held: FitOptions['held']) => Promise<Fitted | NotFitted | null>;
  readonly propose: (plan: ClassPlan, onProgress: OnProgress) => Promise<Proposals | null>;
  readonly lengths: (plan: ClassPlan, onProgress: OnProgress) => Promise<readonly LengthFit[] | null>;
  readonly stop: () => void;
}

/** A fitter whose worker starts with the first question. */
export function createFitter(): Fitter {
  let hired: Hired<FitWorker> | null = null;
  let last = 0;
  /** An answer is only given to the newest question, even where it was ready before the next one was heard. */
  const ask = async <Work>(work: (offer: Remote<FitWorker>) => Work): Promise<Awaited<Work> | null> => {
    const id = ++last;
    if (!hired || hired.isGone)
      hired = new Hired<FitWorker>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
    try {
      const answer = await hired.ask(work);
      return id === last ? answer : null;
    } catch (error) {
      // Stopped on purpose, or a newer question came: nobody waits for this one any more.
      if (hired === null || id !== last) return null;
      throw error;
    }
  };
  return {
    fit: (plan, held) => ask((offer) => offer.fit(plan, held)),
    propose: (plan, onProgress) => ask((offer) => offer.propose(plan, proxy(onProgress))),
    lengths: (plan, onProgress) => ask((offer) => offer.lengths(plan, proxy(onProgress))),
    stop: () => {
      hired?.end();
      hired = null;
    },
  };
}
