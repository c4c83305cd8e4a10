import { FileAudio } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { send, type Answer } from '@/api/client';
import { CAPTION_LIMITS, readCaptions, type CaptionsRead } from '@/core/interchange';
import { readPerformanceLog, type PerformanceLog } from '@/core/conductor';
import type { ListedTake } from '@/api/takes';
import type { Term } from '@/core/words';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { decodeText } from '@/files/decode-text';
import { issueSentence } from '@/messages/issues';
import { keptRuns } from '../prompter/saved-runs';
import { AddFiles, NOTHING_CHOSEN } from './AddFiles';
import { TakeGlancePicture } from './TakeGlancePicture';
import { Dialog } from '@/ui/parts/Dialog';
import { IssueList } from '@/ui/parts/IssueList';
import { AppHead } from '@/ui/layout/AppHead';
import type { Doing } from '@/workers/take-reader/protocol';
import { Waiting } from '@/ui/parts/Waiting';
import { readTakeInWorker, type TakeJob } from '@/workers/take-reader/client';

interface Props {
  readonly studio: string;
  readonly stored: ClassResponse;
  readonly takes: readonly ListedTake[];
  /** Terms of the studio, for what machines mishear. */
  readonly ownTerms: readonly Term[];
}

interface Progress {
  readonly doing: Doing | 'keeping';
  readonly share: number;
}

const DOING = {
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

function wholeShare({ doing, share }: Progress): number {
  const [from, part] = PARTS[doing];
  return from + part * share;
}

const TRY_AGAIN_MILLISECONDS = 4000;

/** The takes of a class, and a place to bring one. */
export function Takes({ studio, stored, takes, ownTerms }: Props) {
  const [chosen, setChosen] = useState(NOTHING_CHOSEN);
  const [runs] = useState(() => keptRuns(stored.id));
  const [progress, setProgress] = useState<Progress | null>(null);
  const [problem, setProblem] = useState<{ title: string; issues: readonly Issue[] } | null>(null);
  const [kept, setKept] = useState<{ id: string; notes: readonly Issue[] } | null>(null);
  const job = useRef<TakeJob | null>(null);
  const cancelled = useRef(false);
  const done = useRef(false);

  useEffect(() => {
    if (!progress) return;
    const warn = (event: BeforeUnloadEvent): void => {
      if (!done.current) event.preventDefault();
    };
    addEventListener('beforeunload', warn);
    return () => removeEventListener('beforeunload', warn);
  }, [progress]);

  /** Sends a reading until somebody answers: listening again would take longer. `null` when it was cancelled. */
  const keepTake = async (taken: object): Promise<Answer<{ id: string }> | null> => {
    while (!cancelled.current) {
      const answer = await send<{ id: string }>('POST', `/api/classes/${stored.id}/takes`, taken);
      if (answer.ok || !answer.away) return answer;
      setProgress({ doing: 'waiting', share: 1 });
      await new Promise((done) => setTimeout(done, TRY_AGAIN_MILLISECONDS));
    }
    return null;
  };

  const cancel = (): void => {
    cancelled.current = true;
    job.current?.cancel();
  };

  const read = async (): Promise<void> => {
    const { sound: soundFile, second: secondFile, words: captionFile } = chosen;
    cancelled.current = false;
    setProblem(null);
    if (!captionFile && !soundFile) {
      setProblem({ title: issueSentence({ code: 'nothing-brought', at: '', facts: {} }), issues: [] });
      return;
    }
    const words = captionFile ? await wordsOf(captionFile) : null;
    if (words && !words.ok) {
      setProblem({
        title: `${captionFile?.name}: ${issueSentence(words.problem)} Nothing was changed.`,
        issues: [],
      });
      return;
    }
    setProgress({ doing: soundFile ? 'listening' : 'matching', share: 0 });
    const sources = {
      plan: stored.plan,
      captions: words?.value.captions ?? null,
      log: words?.value.log ?? null,
      sound: soundFile,
      second: secondFile,
      ownTerms,
    };
    job.current = readTakeInWorker(sources, (doing, share) => setProgress({ doing, share }));
    const result = await job.current.result;
    if (!result?.ok) {
      setProgress(null);
      if (result)
        setProblem({
          title: `${soundFile?.name ?? 'The recording'}: ${issueSentence(result.problem)} Nothing was changed.`,
          issues: [],
        });
      return;
    }
    setProgress({ doing: 'keeping', share: 1 });
    const { evidence, reading, recording, soundId, envelope, notes } = result.value;
    const name = (soundFile ?? captionFile)?.name.slice(0, 200) ?? 'Take';
    const taken = { id: crypto.randomUUID(), name, plan: stored.plan, evidence, recording, soundId, reading };
    const answer = await keepTake({ ...taken, envelope: envelope && base64(envelope) });
    setProgress(null);
    if (!answer) return;
    if (!answer.ok) {
      setProblem({
        title: `${answer.problem.detail} Press “Analyse the take” to try again.`,
        issues: answer.problem.issues ?? [],
      });
      return;
    }
    const all = [...(words?.value.oddities ?? []), ...notes];
    if (all.length > 0) setKept({ id: answer.value.id, notes: all });
    else {
      done.current = true;
      location.assign(`/classes/${stored.id}/takes/${answer.value.id}`);
    }
  };

  return (
    <div className="mx-auto max-w-6xl px-5 py-2 max-sm:px-3">
      <AppHead studio={studio} trail={[{ href: `/classes/${stored.id}`, words: stored.plan.title }]} title="Takes" />
      <main id="main" tabIndex={-1}>
        <section aria-label="Add a take" className="bg-base-100 border-base-300 mb-8 rounded border p-5 max-sm:p-3">
          <h2 className="mb-1 text-lg font-semibold">Add a take</h2>
          <p className="mb-4">
            Choose a recording, automatic captions of it or the prompter’s log, or several of these. The recording stays
            on this computer. Saved are what the analysis found and a small audio proxy, to correct cues by ear.
          </p>
          <AddFiles chosen={chosen} onChange={setChosen} runs={runs} />
          {progress ? (
            <div className="mt-4">
              <Waiting
                doing={DOING[progress.doing]}
                share={progress.doing === 'waiting' ? null : wholeShare(progress)}
                onCancel={cancel}
              />
            </div>
          ) : (
            <button type="button" className="btn btn-primary mt-4" onClick={() => void read()}>
              <FileAudio size={16} aria-hidden />
              Analyse the take
            </button>
          )}
          {problem && (
            <div role="alert" className="border-error mt-4 border-l-4 pl-3">
              <p className="text-error font-semibold">{problem.title}</p>
              <IssueList issues={problem.issues} />
            </div>
          )}
        </section>
        <h2 className="mb-2 text-lg font-semibold">Takes</h2>
        <TakeList classId={stored.id} takes={takes} />
      </main>
      {kept && (
        <Dialog title="Analysed, with notes" onClose={() => location.assign(`/classes/${stored.id}/takes/${kept.id}`)}>
          <p>The take was analysed and saved. Please note:</p>
          <IssueList issues={kept.notes} />
          <a className="btn btn-primary" href={`/classes/${stored.id}/takes/${kept.id}`}>
            Open the take
          </a>
        </Dialog>
      )}
    </div>
  );
}

interface ListProps {
  readonly classId: string;
  readonly takes: Props['takes'];
}

/** The takes so far, to open and to remove. */
function TakeList({ classId, takes: first }: ListProps) {
  const [takes, setTakes] = useState(first);
  const [removed, setRemoved] = useState<Props['takes'][number] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const remove = async (take: Props['takes'][number]): Promise<void> => {
    const answer = await send('DELETE', `/api/takes/${take.id}`);
    if (!answer.ok) return setTrouble(answer.problem.detail);
    setTrouble(null);
    setTakes((before) => before.filter((one) => one !== take));
    return setRemoved(take);
  };
  const restore = async (): Promise<void> => {
    const answer = removed && (await send('POST', `/api/bin/take/${removed.id}/restore`, {}));
    if (answer?.ok) location.reload();
    else if (answer) setTrouble(answer.problem.detail);
  };
  return (
    <>
      {removed && (
        <p role="status" className="bg-secondary mb-3 flex items-center justify-between rounded px-3 py-2">
          {removed.name} was moved to the bin.
          <button type="button" className="btn btn-sm" onClick={() => void restore()}>
            Undo
          </button>
        </p>
      )}
      {trouble && (
        <p role="alert" className="text-error mb-3">
          {trouble}
        </p>
      )}
      {takes.length === 0 ? (
        <p>No take yet. Add one above; it is compared with the plan as it stands now.</p>
      ) : (
        <ul>
          {takes.map((take) => (
            <li
              key={take.id}
              className="bg-base-100 mb-2 grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 rounded-lg px-4 py-2 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)_9rem_auto]"
            >
              <a
                className="hover:text-primary min-h-6 min-w-0 truncate font-semibold"
                href={`/classes/${classId}/takes/${take.id}`}
              >
                {take.name}
              </a>
              <TakeGlancePicture take={take} />
              <span className="quiet-ink shrink-0 text-right text-sm">
                {new Date(take.createdAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}
              </span>
              <button type="button" className="btn btn-sm" onClick={() => void remove(take)}>
                Remove<span className="sr-only"> {take.name}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

function base64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}

/** What was said, as a file tells: captions, or what the guide showed. */
interface Words {
  readonly captions: CaptionsRead['captions'] | null;
  readonly log: PerformanceLog | null;
  readonly oddities: readonly Issue[];
}

/** Reads a caption file or a performance log, with a note on its encoding among the oddities. */
async function wordsOf(file: File): Promise<Result<Words, Issue>> {
  if (file.size > CAPTION_LIMITS.fileCharacters * 2) {
    return failed({
      code: 'caption-file-too-large',
      at: '',
      facts: { megabytes: CAPTION_LIMITS.fileCharacters / 1024 / 1024 },
    });
  }
  const { text, oddities } = decodeText(new Uint8Array(await file.arrayBuffer()));
  if (text.trimStart().startsWith('{')) {
    const log = readPerformanceLog(text);
    return log.ok ? ok({ captions: null, log: log.value, oddities }) : log;
  }
  const read = readCaptions(text);
  return read.ok
    ? ok({ captions: read.value.captions, log: null, oddities: [...oddities, ...read.value.oddities] })
    : read;
}
