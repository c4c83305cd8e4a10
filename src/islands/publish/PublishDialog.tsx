import { useState } from 'react';
import type { ClassPlan } from '@/core/plan';
import { fileNameFor, publish, type Published, type PublishFormat } from '@/core/publish';
import type { Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import type { Spelling } from '@/core/words';
import { Dialog } from '@/ui/parts/Dialog';
import { IssueList } from '@/ui/parts/IssueList';
import { saveFile } from '@/ui/parts/save-file';

const FORMATS: readonly { readonly format: PublishFormat; readonly label: string; readonly about: string }[] = [
  { format: 'webvtt', label: 'Captions (WebVTT)', about: 'for players on the web' },
  { format: 'srt', label: 'Captions (SRT)', about: 'for most other players' },
  { format: 'chapters', label: 'Chapters (WebVTT)', about: 'a chapters track' },
  { format: 'chapter-list', label: 'Chapters (list)', about: 'lines of m:ss and title, for a description' },
  { format: 'cue-sheet', label: 'Cue sheet (CSV)', about: 'every line with its times, to be changed and brought back' },
];

/** The class itself, to be brought in again without loss. */
const WHOLE: typeof FORMATS = [
  { format: 'ssml', label: 'Speech (SSML)', about: 'for a speech synthesiser, with the silences' },
  {
    format: 'script',
    label: 'Plain script (text)',
    about: 'the whole class as text that can be read and written by hand',
  },
  { format: 'plan', label: 'Plan (JSON)', about: 'the whole plan, to be brought in again' },
];

interface Props {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly reading: Reading | null;
  readonly spelling: Spelling;
  /** The page with the reading script; `null` where there is none. */
  readonly printHref?: string;
  readonly onClose: () => void;
}

/** Writes the class in open formats, with planned times or with those of a take. */
export function PublishDialog({ plan, timeline, reading, spelling, printHref, onClose }: Props) {
  const [shown, setShown] = useState<{ format: PublishFormat; published: Published } | null>(null);
  const make = (format: PublishFormat): Published => publish(plan, timeline, format, reading, spelling);
  const save = (format: PublishFormat): void => {
    const made = make(format);
    saveFile(fileNameFor(plan.title, made.ending), made.text, made.mediaType);
  };
  return (
    <Dialog title="Publish" wide onClose={onClose}>
      <p className="mb-3">With the {reading ? 'times of this take; skipped lines are left out' : 'planned times'}.</p>
      {printHref && (
        <p className="mb-3">
          <a className="btn btn-sm" href={printHref} target="_blank" rel="noopener">
            Reading script, to print
          </a>
        </p>
      )}
      <ul>
        {[...FORMATS, ...(reading ? [] : WHOLE)].map(({ format, label, about }) => (
          <li key={format} className="border-base-300 flex items-center justify-between gap-3 border-b py-2">
            <span>
              {label} <span className="quiet-ink text-sm">{about}</span>
            </span>
            <span className="flex gap-2">
              <button
                type="button"
                className="btn btn-sm"
                onClick={() => setShown({ format, published: make(format) })}
              >
                Show<span className="sr-only"> {label}</span>
              </button>
              <button type="button" className="btn btn-sm btn-primary" onClick={() => save(format)}>
                Save<span className="sr-only"> {label}</span>
              </button>
            </span>
          </li>
        ))}
      </ul>
      {shown && (
        <div className="mt-4">
          {shown.published.notes.length > 0 && (
            <details>
              <summary className="cursor-pointer">{shown.published.notes.length} captions are quick to read</summary>
              <IssueList issues={shown.published.notes} />
            </details>
          )}
          <pre
            tabIndex={0}
            aria-label="The file"
            className="bg-base-200 mt-2 max-h-64 overflow-auto rounded p-3 text-sm whitespace-pre-wrap"
          >
            {shown.published.text}
          </pre>
        </div>
      )}
    </Dialog>
  );
}
