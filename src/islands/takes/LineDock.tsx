import { useState } from 'react';
import { withCut, withCutAt } from '@/core/cuts';
import {
  withCue,
  withoutAdLib,
  withAdLibSplit,
  withAdLibText,
  type Cut,
  type HandWork,
  type Reading,
} from '@/core/reading';
import { formatClock, formatExactClock, type Interval, type Seconds } from '@/core/units';
import { CutDock } from './cuts/CutDock';
import { evidenceSentence } from '@/messages/evidence';
import { ExactTime } from './ExactTime';
import type { Row } from './rows';

interface Props {
  readonly row: Row | null;
  readonly reading: Reading;
  readonly work: HandWork;
  readonly playSeconds: Seconds;
  readonly onChange: (work: HandWork) => void;
}

const NUDGES: readonly { readonly by: Seconds; readonly says: string }[] = [
  { by: -1, says: '1 s earlier' },
  { by: -0.1, says: '0.1 s earlier' },
  { by: 0.1, says: '0.1 s later' },
  { by: 1, says: '1 s later' },
];

/** Corrects the chosen line or ad-lib. */
export function LineDock({ row, reading, work, playSeconds, onChange }: Props) {
  if (!row || row.kind === 'step') {
    return <p className="quiet-ink py-3">Choose a line to hear and correct it. Press ? for the keys.</p>;
  }
  if (row.kind === 'cut') {
    const put = (changed: Cut | null): void => onChange({ ...work, cuts: withCutAt(work.cuts ?? [], row.at, changed) });
    return <CutDock key={row.key} cut={row.cut} playSeconds={playSeconds} onChange={put} />;
  }
  const cutOut = ({ startSeconds, endSeconds }: Interval): void => {
    const cut: Cut = { startSeconds, endSeconds, reason: row.kind === 'ad-lib' ? 'ad-lib' : 'fluff', on: true };
    onChange({ ...work, cuts: withCut(work.cuts ?? [], cut) });
  };
  if (row.kind === 'ad-lib') {
    return (
      <section aria-label="The ad-lib" className="py-3">
        <h2 className="font-semibold">Ad-lib at {formatClock(row.adLib.startSeconds)}</h2>
        <AdLibWords
          key={row.key}
          text={row.adLib.text ?? ''}
          onSet={(text) => onChange(withAdLibText(work, reading, row.at, text))}
        />
        <button type="button" className="btn btn-sm mt-2" onClick={() => onChange(withoutAdLib(work, reading, row.at))}>
          Not an ad-lib
        </button>
        <button type="button" className="btn btn-sm mt-2 ml-2" onClick={() => cutOut(row.adLib)}>
          Cut it out
        </button>
      </section>
    );
  }
  const { cue } = row;
  const set = (seconds: Seconds | null): void => onChange(withCue(work, cue.id, seconds));
  const base = cue.actualStart ?? cue.plannedStart;
  const split = withAdLibSplit(work, reading, cue.id, playSeconds);
  return (
    <section aria-label="The line" className="py-3">
      <p className="font-serif text-xl">{cue.text}</p>
      <p className="quiet-ink mb-2 text-sm">
        {cue.corrected
          ? 'Set by hand'
          : `${cue.actualStart === null ? 'Not found in the take' : 'Found'}, ${Math.round(cue.confidence * 100)} % certain`}
        {cue.evidence && <span className="block">{evidenceSentence(cue.evidence)}</span>}
      </p>
      <ExactTime key={cue.id} label="Said at" seconds={base} onSet={set} />
      <div className="mt-2 flex flex-wrap gap-2">
        {NUDGES.map(({ by, says }) => (
          <button key={by} type="button" className="btn btn-sm" onClick={() => set(base + by)}>
            {says}
          </button>
        ))}
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm" onClick={() => set(playSeconds)}>
          Set to {formatExactClock(playSeconds)}
        </button>
        {cue.actualStart === null ? (
          !cue.corrected && (
            <button type="button" className="btn btn-sm" onClick={() => set(null)}>
              Confirm: not said
            </button>
          )
        ) : (
          <>
            {!cue.corrected && (
              <button type="button" className="btn btn-sm" onClick={() => set(cue.actualStart)}>
                Confirm
              </button>
            )}
            <button type="button" className="btn btn-sm" onClick={() => set(null)}>
              Not said
            </button>
            <button
              type="button"
              className="btn btn-sm"
              onClick={() => cutOut({ startSeconds: base, endSeconds: cue.actualEnd ?? base })}
            >
              Cut it out
            </button>
          </>
        )}
        {split && (
          <button type="button" className="btn btn-sm" onClick={() => onChange(split)}>
            The rest is an ad-lib
          </button>
        )}
      </div>
    </section>
  );
}

function AdLibWords({ text, onSet }: { readonly text: string; readonly onSet: (text: string) => void }) {
  const [typed, setTyped] = useState(text);
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        onSet(typed);
      }}
    >
      <label className="flex flex-1 flex-col">
        Words for the captions
        <input
          className="input input-sm w-full font-serif"
          value={typed}
          maxLength={5000}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <button type="submit" className="btn btn-sm btn-primary" disabled={typed.trim() === text}>
        Save
      </button>
    </form>
  );
}
