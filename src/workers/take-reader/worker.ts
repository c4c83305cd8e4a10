import { expose } from 'comlink';
import { alignTake, cepstralDistances, packAlignment, type SaidCepstra } from '@/core/align';
import { linesInRecording } from '@/core/conductor';
import { readingOf } from '@/core/reading';
import { expandPlan, type Timeline } from '@/core/timeline';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { allTerms } from '@/core/words';
import { hearBoth } from './hear-both';
import type { KeptSound } from './kept-sound';
import type { OnDoing, TakeRead, TakeReader, TakeSources } from './protocol';
import { textsAsSaid } from './texts-as-said';

/** Of the lines' finding, each pass is told as a quarter of what is left: how many there will be is not known. */
const PASS_LEAVES = 0.75;

async function read(
  { plan, captions: brought, log, logStart, sound, second, ownTerms }: TakeSources,
  goOn: OnDoing,
): Promise<Result<TakeRead, Issue> | null> {
  const listened = sound && (await hearBoth(sound, second, (share) => goOn('listening', share)));
  if (sound && !listened) return null;
  if (listened && !listened.ok) return listened;
  const heard = listened?.value ?? null;
  const notes: Issue[] = [...(heard?.notes ?? [])];
  if (heard?.speech.length === 0) {
    const issue: Issue = { code: 'no-speech', at: '', facts: {} };
    if (!brought && !log) return failed(issue);
    notes.push(issue);
  }
  const timeline = expandPlan(plan);
  const captions =
    brought ??
    (log &&
      linesInRecording(timeline, log, {
        speech: heard?.speech ?? [],
        marks: heard?.marks ?? [],
        startSeconds: heard ? logStart : null,
      }));
  const texts = heard?.cepstra && !captions ? await sayAll(timeline, (share) => goOn('saying', share)) : NONE_SAID;
  if (texts === null || !(await goOn('matching', 0))) return null;
  const evidence = {
    captions,
    speech: heard && heard.speech.length > 0 ? heard.speech : null,
    lengthSeconds: heard?.lengthSeconds ?? null,
  };
  const distances = heard?.cepstra && texts.size > 0 ? cepstralDistances(heard.cepstra, heard.speech, texts) : null;
  let left = 1;
  const onPass = (): void => {
    left *= PASS_LEAVES;
    void goOn('matching', 1 - left);
  };
  const aligned = alignTake(timeline, evidence, { terms: allTerms(ownTerms), distances, onPass });
  const reading = readingOf(timeline, evidence, aligned);
  const kept = heard?.kept ? await settled(heard.kept, goOn) : false;
  if (kept === null) return null;
  if (heard && !kept) notes.push({ code: 'sound-not-kept', at: '', facts: {} });
  return ok({
    evidence: { ...evidence, ...packAlignment(aligned) },
    reading,
    recording: heard?.recording ?? null,
    soundId: kept ? (heard?.kept?.id ?? null) : null,
    envelope: heard?.envelope ?? null,
    notes,
  });
}

/** Whether all of the sound is kept, when that is known; `null` when it was cancelled before. */
async function settled(sound: KeptSound, goOn: OnDoing): Promise<boolean | null> {
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

const reader: TakeReader = {
  read: (sources, goOn) => read(sources, goOn).catch(() => failed({ code: 'not-media', at: '', facts: {} })),
};

expose(reader);
