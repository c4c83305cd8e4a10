import { expose } from 'comlink';
import { fitting, fittingLength, proposing } from '@/core/pacing';
import { FIT_WAYS } from '@/core/plan';
import type { FitWorker, LengthFit } from './protocol';

/** How long the search runs before it lets messages in, so that the next edit can stop it. */
const SLICE_MILLISECONDS = 8;

/** The newest question; what is older is given up. */
let newest = 0;

function breathe(): Promise<void> {
  return new Promise((done) => setTimeout(done, 0));
}

/** Runs a search in slices to its end; `null` when a newer question has come. */
async function run<Value>(id: number, search: Generator<void, Value>): Promise<Value | null> {
  let began = performance.now();
  for (;;) {
    if (newest > id) return null;
    const step = search.next();
    if (step.done) return step.value;
    if (performance.now() - began < SLICE_MILLISECONDS) continue;
    await breathe();
    began = performance.now();
  }
}

const fitter: FitWorker = {
  fit: (plan, held) => run(++newest, fitting(plan, plan.targetSeconds, { held })),
  propose: (plan, onProgress) =>
    run(
      ++newest,
      proposing(plan, plan.targetSeconds, (done) => onProgress(done / FIT_WAYS.length)),
    ),
  async lengths(plan, onProgress) {
    const id = ++newest;
    const lengths: LengthFit[] = [];
    for (const length of plan.lengths) {
      onProgress(lengths.length / plan.lengths.length);
      const found = await run(id, fittingLength(plan, length));
      if (!found) return null;
      lengths.push({ lengthId: length.id, ...found });
    }
    return lengths;
  },
};

expose(fitter);
