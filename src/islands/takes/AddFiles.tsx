import { useEffect, useRef, useState } from 'react';
import { formatClock } from '@/core/units';
import type { SavedRun } from '../prompter/saved-runs';

/** The files of a take. */
export interface ChosenFiles {
  readonly sound: File | null;
  /** The same class from another microphone. */
  readonly second: File | null;
  /** Captions, text with times, or the prompter's log. */
  readonly words: File | null;
  /** When the log begins on the recording's clock, where both were made in the prompter; in seconds. */
  readonly logStart?: number;
}

export const NOTHING_CHOSEN: ChosenFiles = { sound: null, second: null, words: null };

const MEDIA = 'audio/*,video/*,.wav,.mp3,.m4a,.mp4,.webm,.ogg,.flac';
const WORDS = '.vtt,.srt,.txt,.json,text/vtt,text/plain';

/** Chooses the files of a take; they may be dropped anywhere on the page too. */
export function AddFiles({
  chosen,
  onChange,
  runs,
}: {
  readonly chosen: ChosenFiles;
  readonly onChange: (chosen: ChosenFiles) => void;
  /** The times that the class was performed in this browser, the newest first. */
  readonly runs: readonly SavedRun[];
}) {
  const over = useDroppedFiles((files) => onChange(files.reduce(withDropped, chosen)));
  const { sound, second, words } = chosen;
  return (
    <div className={`rounded border-2 border-dashed p-3 ${over ? 'border-primary' : 'border-base-300'}`}>
      <p className="quiet-ink mb-3">Choose the files, or drop them anywhere on this page.</p>
      <div className="flex flex-wrap gap-6">
        <FileChoice
          label="Sound or video"
          accept={MEDIA}
          file={sound}
          onChange={(file) => onChange({ sound: file, second: file && second, words })}
        />
        {sound && (
          <FileChoice
            label="A second recording from another microphone (optional)"
            accept={MEDIA}
            file={second}
            onChange={(file) => onChange({ ...chosen, second: file })}
          />
        )}
        <FileChoice
          label="Captions, text with times, or the prompter’s log"
          accept={WORDS}
          file={words}
          onChange={(file) => onChange({ sound, second, words: file })}
        />
      </div>
      {runs.length > 0 && !words && (
        <div className="mt-3">
          <p>Or use a log from the prompter in this browser:</p>
          <ul aria-label="Performed in this browser" className="mt-1 flex flex-wrap gap-2">
            {runs.slice(0, RUNS_SHOWN).map((run) => (
              <li key={run.runId}>
                <button
                  type="button"
                  className="btn btn-sm"
                  onClick={() => onChange({ ...chosen, words: logFile(run) })}
                >
                  Log of {whenOf(run)}
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}

const RUNS_SHOWN = 6;

/** The log of a run as a file; the take that is read from it bears its name. */
export function logFile(run: SavedRun): File {
  return new File([JSON.stringify(run.log)], `Log of ${beganAt(run)}`);
}

const beganAt = ({ startedAt }: SavedRun): string =>
  new Date(startedAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** When a run began, and how far it came where it broke off. */
function whenOf(run: SavedRun): string {
  const { brokenOff } = run;
  const began = beganAt(run);
  return brokenOff ? `${began}, stopped at ${formatClock(brokenOff.placeSeconds)}` : began;
}

/** A dropped file goes where its kind belongs: words, the first recording, or the second. */
function withDropped(chosen: ChosenFiles, file: File): ChosenFiles {
  if (/\.(vtt|srt|txt|json)$/i.test(file.name) || file.type.startsWith('text/'))
    return { ...chosen, words: file, logStart: undefined };
  return chosen.sound ? { ...chosen, second: file } : { ...chosen, sound: file, logStart: undefined };
}

/** A file input that shows its file, wherever that came from. */
function FileChoice({
  label,
  accept,
  file,
  onChange,
}: {
  readonly label: string;
  readonly accept: string;
  readonly file: File | null;
  readonly onChange: (file: File | null) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (!input.current || (input.current.files?.[0] ?? null) === file) return;
    const carried = new DataTransfer();
    if (file) carried.items.add(file);
    input.current.files = carried.files;
  }, [file]);
  return (
    <label className="flex min-w-0 flex-col gap-1">
      {label}
      <input
        ref={input}
        type="file"
        className="file-input max-w-full"
        accept={accept}
        onChange={(event) => onChange(event.target.files?.[0] ?? null)}
      />
    </label>
  );
}

/** Files dropped anywhere on the page, which would open in its place otherwise. Tells whether some are held over it. */
function useDroppedFiles(take: (files: readonly File[]) => void): boolean {
  const [over, setOver] = useState(false);
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  useEffect(() => {
    const gone = new AbortController();
    const { signal } = gone;
    const holdsFiles = (event: DragEvent): boolean => event.dataTransfer?.types.includes('Files') ?? false;
    const hold = (event: DragEvent): void => {
      if (!holdsFiles(event)) return;
      event.preventDefault();
      setOver(true);
    };
    const leave = (event: DragEvent): void => {
      if (event.relatedTarget === null) setOver(false);
    };
    const drop = (event: DragEvent): void => {
      if (!holdsFiles(event)) return;
      event.preventDefault();
      setOver(false);
      latest.current([...(event.dataTransfer?.files ?? [])]);
    };
    document.addEventListener('dragover', hold, { signal });
    document.addEventListener('dragleave', leave, { signal });
    document.addEventListener('drop', drop, { signal });
    return () => gone.abort();
  }, []);
  return over;
}
