import { readTake } from '@/core/reading';
import { speechSegments } from '@/core/signal';
import { expandPlan } from '@/core/timeline';
import type { Issue } from '@/core/units';
import { allTerms } from '@/core/words';
import { listen } from '@/files/listen';
import type { TakeReply, TakeRequest } from './protocol';

let cancelled = 0;

function reply(message: TakeReply): void {
  postMessage(message);
}

/** Lets messages in, so that a cancel is heard. */
function breathe(): Promise<void> {
  return new Promise((done) => setTimeout(done, 0));
}

async function read(request: Extract<TakeRequest, { kind: 'read' }>): Promise<void> {
  const { id, plan, captions, sound, ownTerms } = request;
  const goOn = async (share: number): Promise<boolean> => {
    reply({ kind: 'progress', id, doing: 'listening', share });
    await breathe();
    return cancelled < id;
  };
  const listened = sound ? await listen(sound, goOn) : undefined;
  if (listened === null) {
    reply({ kind: 'cancelled', id });
    return;
  }
  if (listened && !listened.ok) {
    reply({ kind: 'failed', id, issue: listened.problem });
    return;
  }
  const notes: Issue[] = [...(listened?.value.notes ?? [])];
  const speech = listened ? speechSegments(listened.value.levels) : null;
  if (speech?.length === 0) {
    const issue: Issue = { code: 'no-speech', at: '', facts: {} };
    if (!captions) {
      reply({ kind: 'failed', id, issue });
      return;
    }
    notes.push(issue);
  }
  reply({ kind: 'progress', id, doing: 'matching', share: 1 });
  await breathe();
  if (cancelled >= id) {
    reply({ kind: 'cancelled', id });
    return;
  }
  const heard = speech && speech.length > 0 ? speech : null;
  const evidence = { captions, speech: heard, lengthSeconds: listened?.value.lengthSeconds ?? null };
  reply({ kind: 'done', id, evidence, reading: readTake(expandPlan(plan), evidence, {}, allTerms(ownTerms)), notes });
}

addEventListener('message', (event: MessageEvent<TakeRequest>) => {
  const request = event.data;
  if (request.kind === 'cancel') cancelled = Math.max(cancelled, request.id);
  else
    void read(request).catch(() =>
      reply({ kind: 'failed', id: request.id, issue: { code: 'not-media', at: '', facts: {} } }),
    );
});
