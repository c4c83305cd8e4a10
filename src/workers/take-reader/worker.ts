import { alignTake, likenessOf, type SaidCepstra } from '@/core/align';
import { linesInRecording } from '@/core/conductor';
import { readingOf } from '@/core/reading';
import { expandPlan, type Timeline } from '@/core/timeline';
import type { Issue } from '@/core/units';
import { allTerms } from '@/core/words';
import { hearBoth } from './hear-both';
import type { KeptSound } from './kept-sound';
import type { Doing, TakeReply, TakeRequest } from './protocol';
import { textsAsSaid } from './texts-as-said';

let cancelled = 0;
/** Of the lines' finding, each pass is told as a quarter of what is left: how many there will be is not known. */
const PASS_LEAVES = 0.75;

function reply(message: TakeReply): void {
  postMessage(message);
}

type Asked = Extract<TakeRequest, { kind: 'read' }>;
type Ending = Exclude<TakeReply, { kind: 'progress' }>;

async function read({ id, plan, captions: brought, log, sound, second, ownTerms }: Asked): Promise<Ending> {
  /** Says how far it got, and lets messages in, so that a cancel is heard. */
  const goOn = async (doing: Doing, share: number): Promise<boolean> => {
    reply({ kind: 'progress', id, doing, share });
    await new Promise((done) => setTimeout(done, 0));
    return cancelled < id;
  };
  const stopped: Ending = { kind: 'cancelled', id };
  const listened = sound && (await hearBoth(sound, second, (share) => goOn('listening', share)));
  if (sound && !listened) return stopped;
  if (listened && !listened.ok) return { kind: 'failed', id, issue: listened.problem };
  const heard = listened?.value ?? null;
  const notes: Issue[] = [...(heard?.notes ?? [])];
  if (heard?.speech.length === 0) {
    const issue: Issue = { code: 'no-speech', at: '', facts: {} };
    if (!brought && !log) return { kind: 'failed', id, issue };
    notes.push(issue);
  }
  const timeline = expandPlan(plan);
  const captions =
    brought ?? (log && linesInRecording(timeline, log, { speech: heard?.speech ?? [], marks: heard?.marks ?? [] }));
  const texts = heard?.cepstra && !captions ? await sayAll(timeline, (share) => goOn('saying', share)) : NONE_SAID;
  if (texts === null || !(await goOn('matching', 0))) return stopped;
  const evidence = {
    captions,
    speech: heard && heard.speech.length > 0 ? heard.speech : null,
    lengthSeconds: heard?.lengthSeconds ?? null,
  };
  const likeness = heard?.cepstra && texts.size > 0 ? likenessOf(heard.cepstra, heard.speech, texts) : null;
  let left = 1;
  const onPass = (): void => {
    left *= PASS_LEAVES;
    reply({ kind: 'progress', id, doing: 'matching', share: 1 - left });
  };
  const aligned = alignTake(timeline, evidence, { terms: allTerms(ownTerms), likeness, onPass });
  const reading = readingOf(timeline, evidence, aligned);
  const kept = heard?.kept ? await settled(heard.kept, goOn) : false;
  if (kept === null) return stopped;
  if (heard && !kept) notes.push({ code: 'sound-not-kept', at: '', facts: {} });
  if (cancelled >= id) return stopped;
  return {
    kind: 'done',
    id,
    read: {
      evidence: { ...evidence, likeness: aligned.likeness?.kept() ?? null, way: aligned.way },
      reading,
      recording: heard?.recording ?? null,
      soundId: kept ? (heard?.kept?.id ?? null) : null,
      envelope: heard?.envelope ?? null,
      notes,
    },
  };
}

/** Whether all of the sound is kept, when that is known; `null` when it was cancelled before. */
async function settled(
  sound: KeptSound,
  goOn: (doing: Doing, share: number) => Promise<boolean>,
): Promise<boolean | null> {
  let kept: boolean | null = null;
  const done = sound.done().then((all) => (kept = all));
  while (kept === null) {
    if (!(await goOn(sound.away ? 'waiting' : 'sending', 1))) {
      sound.giveUp();
      return null;
    }
    await Promise.race([done, new Promise((later) => setTimeout(later, 500))]);
  }
  return kept;
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

addEventListener('message', ({ data }: MessageEvent<TakeRequest>) => {
  if (data.kind === 'cancel') {
    cancelled = Math.max(cancelled, data.id);
    return;
  }
  void read(data)
    .catch((): Ending => ({ kind: 'failed', id: data.id, issue: { code: 'not-media', at: '', facts: {} } }))
    .then(reply);
});
