import { useEffect, useState } from 'react';
import { FRAME_RATES, keptStretches, onFrames, type FrameRate } from '@/core/cuts';
import type { ClassPlan } from '@/core/plan';
import { fileNameFor, publish, type Cutting, type Published, type PublishFormat } from '@/core/publish';
import type { Cut, Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import type { Spelling } from '@/core/words';
import { Dialog } from '@/ui/parts/Dialog';
import { IssueList } from '@/ui/parts/IssueList';
import { saveFile } from '@/ui/parts/save-file';
import { Waiting } from '@/ui/parts/Waiting';
import { bundle } from '@/workers/bundler/client';
import { CutVersion } from './CutVersion';
import { FORMATS, OF_CUTS, OF_TAKE, WHOLE } from './formats';

/** A large file that is being made. */
interface Making {
  readonly what: 'tones' | 'everything';
  readonly share: number;
  readonly gone: AbortController;
}

interface CutTake {
  readonly cuts: readonly Cut[];
  readonly clip: string | null;
  readonly picture: boolean;
}

interface Props {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly reading: Reading | null;
  readonly spelling: Spelling;
  /** What is cut out of the take, and its recording's name; left out or `null` where nothing was cut. */
  readonly cut?: CutTake | null;
  /** The page with the reading script; `null` where there is none. */
  readonly printHref?: string;
  readonly onClose: () => void;
}

/** Writes the class in open formats, with planned times or with those of a take. */
export function PublishDialog({ plan, timeline, reading, spelling, cut, printHref, onClose }: Props) {
  const [shown, setShown] = useState<{ format: PublishFormat; published: Published } | null>(null);
  const [cutVersion, setCutVersion] = useState(Boolean(cut));
  const [rate, setRate] = useState<FrameRate>(FRAME_RATES[2]);
  const [making, setMaking] = useState<Making | null>(null);
  useEffect(() => () => making?.gone.abort(), [making?.gone]);
  const [failed, setFailed] = useState(false);
  const possible = cut && reading ? cuttingOf(cut, reading, rate) : null;
  const cutting = cutVersion ? possible : null;
  const make = (format: PublishFormat): Published => publish(plan, timeline, format, reading, spelling, cutting);
  const save = (format: PublishFormat): void => {
    const made = make(format);
    saveFile(fileNameFor(plan.title, made.ending), made.text, made.mediaType);
  };
  const saveMade = async (what: Making['what']): Promise<void> => {
    const gone = new AbortController();
    setMaking({ what, share: 0, gone });
    setFailed(false);
    const onProgress = (share: number): void => setMaking((now) => now && { ...now, share });
    const file = await bundle({ what, plan, timeline, reading, spelling, cutting }, onProgress, gone.signal);
    setMaking(null);
    if (file) saveFile(fileNameFor(plan.title, what === 'tones' ? '.breath-tones.wav' : '.zip'), file, file.type);
    else if (!gone.signal.aborted) setFailed(true);
  };
  return (
    <Dialog title="Publish" wide onClose={onClose}>
      <p className="mb-3">
        With the{' '}
        {!reading
          ? 'planned times'
          : cutting
            ? 'times of the edited version; skipped and cut lines are not included'
            : 'times of this take; skipped lines are not included'}
        .
      </p>
      {possible && (
        <CutVersion cutting={possible} on={cutVersion} rate={rate} onSwitch={setCutVersion} onRate={setRate} />
      )}
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={making !== null}
          onClick={() => void saveMade('everything')}
        >
          Save everything (ZIP)
        </button>
        <button type="button" className="btn btn-sm" disabled={making !== null} onClick={() => void saveMade('tones')}>
          Save the breath as tones (WAV)
        </button>
        {making && (
          <Waiting
            doing={making.what === 'tones' ? 'Creating the tones' : 'Packing'}
            share={making.share}
            onCancel={() => making.gone.abort()}
          />
        )}
        {failed && (
          <span role="alert" className="text-error font-semibold">
            The file could not be created: there may be too little memory. Close other pages and try again.
          </span>
        )}
      </div>
      {printHref && (
        <p className="mb-3">
          <a className="btn btn-sm" href={printHref} target="_blank" rel="noopener">
            Script to print, or camera card
          </a>
        </p>
      )}
      <ul>
        {[...FORMATS, ...(cutting ? OF_CUTS : []), ...(reading ? OF_TAKE : WHOLE)].map(({ format, label, about }) => (
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

function cuttingOf({ cuts, clip, picture }: CutTake, reading: Reading, rate: FrameRate): Cutting {
  const kept = onFrames(keptStretches(cuts, reading.totals.runtimeSeconds), rate);
  return { kept, rate, clip, picture };
}
