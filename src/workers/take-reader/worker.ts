import { likenessOf, type SaidCepstra } from '@/core/align';
import { readTake } from '@/core/reading';
import { speechSegments } from '@/core/signal';
import { expandPlan, type Timeline } from '@/core/timeline';
import type { Issue } from '@/core/units';
import { allTerms } from '@/core/words';
import { listen } from '@/files/listen';
import { VoiceHearing } from '@/hearing/hear-voice';
import { textsAsSaid, voiceActivity } from './hearing';
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
  // Without the model speech is told by level: enough in a quiet room.
  const model = sound ? await voiceActivity().catch(() => null) : null;
  const hearing = model && new VoiceHearing(model);
  const listened = sound
    ? await listen(sound, goOn, (samples, rate) => hearing?.push(samples, rate) ?? Promise.resolve())
    : undefined;
  if (listened === null) {
    reply({ kind: 'cancelled', id });
    return;
  }
  if (listened && !listened.ok) {
    reply({ kind: 'failed', id, issue: listened.problem });
    return;
  }
  const notes: Issue[] = [...(listened?.value.notes ?? [])];
  if (sound && !model) notes.push({ code: 'no-voice-model', at: '', facts: {} });
  const heard = (await hearing?.finish()) ?? null;
  const speech = heard?.stretches ?? (listened ? speechSegments(listened.value.levels) : null);
  if (speech?.length === 0) {
    const issue: Issue = { code: 'no-speech', at: '', facts: {} };
    if (!captions) {
      reply({ kind: 'failed', id, issue });
      return;
    }
    notes.push(issue);
  }
  const timeline = expandPlan(plan);
  const saying = async (share: number): Promise<boolean> => {
    reply({ kind: 'progress', id, doing: 'saying', share });
    await breathe();
    return cancelled < id;
  };
  const texts = heard && !captions ? await sayAll(timeline, saying) : NONE_SAID;
  if (texts !== null) {
    reply({ kind: 'progress', id, doing: 'matching', share: 1 });
    await breathe();
  }
  if (texts === null || cancelled >= id) {
    reply({ kind: 'cancelled', id });
    return;
  }
  const evidence = {
    captions,
    speech: speech && speech.length > 0 ? speech : null,
    lengthSeconds: listened?.value.lengthSeconds ?? null,
  };
  const likeness = heard && texts.size > 0 ? likenessOf(heard.cepstra, heard.stretches, texts) : null;
  const reading = readTake(timeline, evidence, {}, { terms: allTerms(ownTerms), likeness });
  reply({ kind: 'done', id, evidence, reading, notes });
}

const NONE_SAID: ReadonlyMap<string, SaidCepstra> = new Map();

/** The texts of a class as the plain voice says them; none where it cannot be loaded, `null` when it was cancelled. */
function sayAll(
  timeline: Timeline,
  goOn: (share: number) => Promise<boolean>,
): Promise<ReadonlyMap<string, SaidCepstra> | null> {
  const texts = [...new Set(timeline.cues.map((cue) => cue.text))];
  return textsAsSaid(texts, goOn).catch(() => NONE_SAID);
}

addEventListener('message', (event: MessageEvent<TakeRequest>) => {
  const request = event.data;
  if (request.kind === 'cancel') cancelled = Math.max(cancelled, request.id);
  else
    void read(request).catch(() =>
      reply({ kind: 'failed', id: request.id, issue: { code: 'not-media', at: '', facts: {} } }),
    );
});
