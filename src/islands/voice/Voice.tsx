import { Mic, Square, Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { send } from '@/api/client';
import type { KeptVoice } from '@/api/voice';
import { middleVoice, VOICE_LIMITS, VOICE_PARAGRAPH, wordsPerMinute, type VoiceSource } from '@/core/voice';
import type { Issue } from '@/core/units';
import { IssueList } from '@/ui/parts/IssueList';
import { NumberField } from '@/ui/parts/NumberField';
import { Waiting } from '@/ui/parts/Waiting';
import { AppHead } from '@/ui/layout/AppHead';
import { measureInWorker } from '@/workers/voice-measurer/client';
import { useMicrophone } from './use-microphone';

interface Props {
  readonly studio: string;
  readonly first: readonly KeptVoice[];
}

const HOW: Readonly<Record<VoiceSource, string>> = {
  typed: 'typed',
  microphone: 'read aloud',
  file: 'from a file',
  take: 'from a take',
};

/** How fast the instructor speaks: read a paragraph aloud, bring a sound file, or type it; the middle measure is used. */
export function Voice({ studio, first }: Props) {
  const [measures, setMeasures] = useState(first);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [share, setShare] = useState<number | null>(null);
  const measuring = useRef<AbortController | null>(null);
  const busy = share !== null;
  const [said, setSaid] = useState('');
  const [typed, setTyped] = useState(190);

  const keep = async (syllablesPerMinute: number, pauseSeconds: number | null, how: VoiceSource): Promise<void> => {
    const answer = await send<KeptVoice>('POST', '/api/voice', { syllablesPerMinute, pauseSeconds, how });
    if (!answer.ok) return setSaid(answer.problem.detail);
    setMeasures((before) => [answer.value, ...before]);
    return setSaid(`Saved: ${Math.round(answer.value.syllablesPerMinute)} syllables a minute.`);
  };
  const measure = async (sound: Blob, how: VoiceSource): Promise<void> => {
    const gone = new AbortController();
    measuring.current = gone;
    setShare(0);
    setSaid('');
    setIssues([]);
    const found = await measureInWorker(sound, setShare, gone.signal);
    setShare(null);
    if (!found) return setSaid('Cancelled. Nothing was saved.');
    if (found.ok) return keep(found.value.syllablesPerMinute, found.value.pauseSeconds, how);
    setIssues([found.problem]);
    return setSaid('');
  };
  const live = useMicrophone((sound) => void measure(sound, 'microphone'));
  const begin = async (): Promise<void> => {
    setIssues([]);
    const issue = await live.start();
    if (issue) setIssues([issue]);
    else setSaid('Listening. Read the paragraph, then press Done.');
  };
  const remove = async (id: string): Promise<void> => {
    const answer = await send('DELETE', `/api/voice/${id}`);
    if (!answer.ok) return setSaid(answer.problem.detail);
    return setMeasures((before) => before.filter((one) => one.id !== id));
  };
  return (
    <div className="mx-auto max-w-6xl px-5 py-3 max-sm:px-3">
      <AppHead studio={studio} title="My voice" />
      <main id="main" tabIndex={-1} className="max-w-3xl">
        <Used measures={measures} />
        <section aria-label="Read aloud" className="bg-base-100 rounded p-4">
          <p className="quiet-ink mb-2 text-sm">
            Read this aloud as you would in a class, a pause after each sentence. The sound stays in this browser.
          </p>
          <p className="mb-3 font-serif text-2xl leading-9">{VOICE_PARAGRAPH.join(' ')}</p>
          <div className="flex flex-wrap items-center gap-2">
            {live.recording ? (
              <button type="button" className="btn btn-primary" onClick={live.stop}>
                <Square size={16} aria-hidden />
                Done
              </button>
            ) : (
              <button type="button" className="btn btn-primary" disabled={busy} onClick={() => void begin()}>
                <Mic size={16} aria-hidden />
                Read it aloud
              </button>
            )}
            <label className={`btn ${busy || live.recording ? 'btn-disabled' : ''}`}>
              Choose a sound file of it
              <input
                type="file"
                accept="audio/*,video/*"
                className="sr-only"
                disabled={busy || live.recording}
                onChange={(event) => {
                  const [file] = event.target.files ?? [];
                  if (file) void measure(file, 'file');
                  event.target.value = '';
                }}
              />
            </label>
            {live.recording && (
              <label className="flex items-center gap-2 text-sm">
                Microphone level
                <meter className="w-32" min={0} max={1} low={0.25} value={live.level} />
              </label>
            )}
            {share === null ? (
              <span role="status" className="text-sm">
                {said}
              </span>
            ) : (
              <Waiting doing="Measuring" share={share} onCancel={() => measuring.current?.abort()} />
            )}
          </div>
          {issues.length > 0 && <IssueList issues={issues} />}
        </section>
        <section aria-label="Typed" className="mt-4 flex max-w-md items-center gap-3">
          <div className="flex-1">
            <NumberField
              label="Or type it, syllables a minute"
              step={5}
              value={typed}
              {...VOICE_LIMITS.syllablesPerMinute}
              onChange={setTyped}
            />
          </div>
          <button type="button" className="btn btn-sm" onClick={() => void keep(typed, null, 'typed')}>
            Save
          </button>
        </section>
        {measures.length > 0 && <Measures measures={measures} onRemove={(id) => void remove(id)} />}
      </main>
    </div>
  );
}

/** What classes use, and what it comes from. */
function Used({ measures }: { readonly measures: readonly KeptVoice[] }) {
  const used = middleVoice(measures);
  return (
    <p className="mb-4">
      {used === null ? (
        'Nothing is measured yet: classes use 190 syllables a minute.'
      ) : (
        <>
          <span className="text-xl font-semibold">{Math.round(wordsPerMinute(used.syllablesPerMinute))}</span> words a
          minute, {Math.round(used.syllablesPerMinute)} syllables a minute
          {used.pauseSeconds !== null && `, pauses of ${used.pauseSeconds.toFixed(1)} s`}, the median of{' '}
          {measures.length === 1 ? 'one measurement' : `${measures.length} measurements`}. Each class can use it, under
          Voice.
        </>
      )}
    </p>
  );
}

interface MeasuresProps {
  readonly measures: readonly KeptVoice[];
  readonly onRemove: (id: string) => void;
}

function Measures({ measures, onRemove }: MeasuresProps) {
  return (
    <section aria-label="Measures" className="mt-4">
      <h2 className="font-semibold">Measures</h2>
      <ul>
        {measures.map((one) => (
          <li key={one.id} className="border-base-300 flex min-h-9 items-center gap-3 border-b">
            <span className="w-12 text-right font-semibold">{Math.round(one.syllablesPerMinute)}</span>
            <span className="quiet-ink flex-1 text-sm">
              {HOW[one.how]}
              {one.pauseSeconds !== null && `, pauses of ${one.pauseSeconds.toFixed(1)} s`}, {one.at.slice(0, 10)}
            </span>
            <button
              type="button"
              className="btn btn-xs btn-square"
              aria-label={`Remove ${Math.round(one.syllablesPerMinute)}, ${HOW[one.how]}`}
              onClick={() => onRemove(one.id)}
            >
              <Trash2 size={13} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
