import { fitting, fittingLength, proposing } from '@/core/pacing';
import type { FitReply, FitRequest, LengthFit } from './protocol';

/** How long the search runs before it lets messages in, so that the next edit can stop it. */
const SLICE_MILLISECONDS = 8;

/** The newest request; what is older is given up. */
let newest = 0;

function reply(message: FitReply): void {
  postMessage(message);
}

function breathe(): Promise<void> {
  return new Promise((done) => setTimeout(done, 0));
}

/** Runs a search in slices to its end; `null` when a newer request has come. */
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

async function serve(request: FitRequest): Promise<void> {
  const { id, plan } = request;
  if (request.kind === 'fit') {
    const fit = await run(id, fitting(plan, plan.targetSeconds, { held: request.held }));
    reply(fit ? { kind: 'fitted', id, fit } : { kind: 'given-up', id });
    return;
  }
  if (request.kind === 'propose') {
    const proposals = await run(id, proposing(plan));
    reply(proposals ? { kind: 'proposed', id, proposals } : { kind: 'given-up', id });
    return;
  }
  const lengths: LengthFit[] = [];
  for (const length of plan.lengths) {
    const found = await run(id, fittingLength(plan, length));
    if (!found) return reply({ kind: 'given-up', id });
    lengths.push({ lengthId: length.id, ...found });
  }
  reply({ kind: 'lengths', id, lengths });
}

addEventListener('message', (event: MessageEvent<FitRequest>) => {
  const request = event.data;
  newest = Math.max(newest, request.id);
  void serve(request).catch(() => reply({ kind: 'given-up', id: request.id }));
});
