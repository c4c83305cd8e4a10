import { useEffect, useRef, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { send, type Answer } from '@/api/client';
import { stepsPerformed } from '@/core/conductor';
import { failed, ok, type Issue, type Result } from '@/core/units';
import type { Term } from '@/core/words';
import { issueSentence } from '@/messages/issues';
import type { Doing } from '@/workers/take-reader/protocol';
import { readTakeInWorker, type TakeJob } from '@/workers/take-reader/client';
import type { ChosenFiles } from './AddFiles';
import { wordsOf, type Words } from './words-of-file';

export interface Progress {
  readonly doing: Doing | 'keeping';
  readonly share: number;
}

export const DOING = {
  listening: 'Listening to the recording',
  saying: 'Learning how the lines sound',
  matching: 'Finding the lines',
  sending: 'Saving the audio proxy',
  keeping: 'Saving the analysis',
  waiting: 'The server does not answer. The analysis is saved when it is back.',
} as const;

/** Of the whole, where each part of the work begins and how much it is; as measured on ten minutes of sound. */
const PARTS: Readonly<Record<keyof typeof DOING, readonly [from: number, share: number]>> = {
  listening: [0, 0.5],
  saying: [0.5, 0.2],
  matching: [0.7, 0.25],
  sending: [0.95, 0.03],
  keeping: [0.98, 0.02],
  waiting: [0.98, 0.02],
};

export function wholeShare({ doing, share }: Progress): number {
  const [from, part] = PARTS[doing];
  return from + part * share;
}

const TRY_AGAIN_MILLISECONDS = 4000;

interface Trouble {
  readonly title: string;
  readonly issues: readonly Issue[];
}

/** An analysis that was saved, with what is to be noted about its files. */
export interface SavedAnalysis {
  readonly id: string;
  readonly notes: readonly Issue[];
}

/** The analysis of a take of a class: from the files chosen to what is saved on the server. One at a time. */
export function useAnalysis(stored: ClassResponse, ownTerms: readonly Term[]) {
  const [progress, setProgress] = useState<Progress | null>(null);
  const [problem, setProblem] = useState<Trouble | null>(null);
  const [saved, setSaved] = useState<SavedAnalysis | null>(null);
  const job = useRef<TakeJob | null>(null);
  const cancelled = useRef(false);
  const done = useRef(false);
  useWarning(progress !== null, done);

  const analyse = async (chosen: ChosenFiles): Promise<void> => {
    cancelled.current = false;
    setProblem(null);
    const words = await chosenWords(chosen);
    if (!words.ok) return setProblem(words.problem);
    setProgress({ doing: chosen.sound ? 'listening' : 'matching', share: 0 });
    const { captions = null, log = null } = words.value ?? {};
    const { sound, second, logStart = null } = chosen;
    const sources = { plan: stored.plan, captions, log, logStart, sound, second, ownTerms };
    job.current = readTakeInWorker(sources, (doing, share) => setProgress({ doing, share }));
    const result = await job.current.result;
    if (!result?.ok) {
      setProgress(null);
      if (result) setProblem(refused(chosen.sound?.name ?? 'The recording', result.problem));
      return;
    }
    setProgress({ doing: 'keeping', share: 1 });
    const { notes, envelope, ...read } = result.value;
    const name = (chosen.sound ?? chosen.words)?.name.slice(0, 200) ?? 'Take';
    const performed = log && stepsPerformed(stored.plan, log);
    const own = { id: crypto.randomUUID(), name, plan: stored.plan, performed };
    const taken = { ...own, ...read, envelope: envelope && base64(envelope) };
    const answer = await sendUntilAnswered(`/api/classes/${stored.id}/takes`, taken, cancelled, () =>
      setProgress({ doing: 'waiting', share: 1 }),
    );
    setProgress(null);
    if (!answer) return;
    if (!answer.ok) {
      const { detail, issues = [] } = answer.problem;
      setProblem({ title: `${detail} Press “Analyse the take” to try again.`, issues });
      return;
    }
    const all = [...(words.value?.oddities ?? []), ...notes];
    if (all.length > 0) setSaved({ id: answer.value.id, notes: all });
    else {
      done.current = true;
      location.assign(`/classes/${stored.id}/takes/${answer.value.id}`);
    }
  };
  const cancel = (): void => {
    cancelled.current = true;
    job.current?.cancel();
  };
  return { progress, problem, saved, analyse, cancel };
}

/** Asks before the page is left while something runs. */
function useWarning(running: boolean, done: { readonly current: boolean }): void {
  useEffect(() => {
    if (!running) return;
    const warn = (event: BeforeUnloadEvent): void => {
      if (!done.current) event.preventDefault();
    };
    addEventListener('beforeunload', warn);
    return () => removeEventListener('beforeunload', warn);
  }, [running, done]);
}

function refused(name: string, problem: Issue): Trouble {
  return { title: `${name}: ${issueSentence(problem)} Nothing was changed.`, issues: [] };
}

/** The words among the files chosen; `null` where a recording stands alone. */
async function chosenWords({ sound, words }: ChosenFiles): Promise<Result<Words | null, Trouble>> {
  if (!words) {
    if (sound) return ok(null);
    return failed({ title: issueSentence({ code: 'nothing-brought', at: '', facts: {} }), issues: [] });
  }
  const read = await wordsOf(words);
  return read.ok ? read : failed(refused(words.name, read.problem));
}

/** Sends an analysis until somebody answers: listening again would take longer. `null` when it was cancelled. */
async function sendUntilAnswered(
  path: string,
  taken: object,
  cancelled: { readonly current: boolean },
  onWait: () => void,
): Promise<Answer<{ id: string }> | null> {
  while (!cancelled.current) {
    const answer = await send<{ id: string }>('POST', path, taken);
    if (answer.ok || !answer.away) return answer;
    onWait();
    await new Promise((again) => setTimeout(again, TRY_AGAIN_MILLISECONDS));
  }
  return null;
}

function base64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}
