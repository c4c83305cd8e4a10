import { useState } from 'react';
import type { CueReading, Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import { formatClock, formatExactClock, parseClock } from '@/core/units';

interface Props {
  readonly reading: Reading;
  readonly timeline: Timeline;
  readonly names: ReadonlyMap<string, string>;
  readonly onCorrect: (cueId: string, saidAtSeconds: number | null) => Promise<boolean>;
}

type Row =
  | { readonly kind: 'cue'; readonly cue: CueReading; readonly step: string; readonly opens: boolean }
  | { readonly kind: 'remark'; readonly startSeconds: number; readonly seconds: number; readonly text: string | null };

const ROW_HEIGHT = 40;
const TIE_WIDTH = 56;
/** Pixels a tie leans for each second of drift, held to the row. */
const LEAN = 1.1;
const LONGEST_TAKE_SECONDS = 14_400;

/** Every cue with its planned and actual time; a tie between them leans with the drift. Remarks stand where they were said. */
export function TakeStrip({ reading, timeline, names, onCorrect }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <table className="w-full table-fixed">
      <caption className="py-3 text-left">Each line as planned and as said. Press a time to put it right.</caption>
      <thead>
        <tr className="border-base-300 border-b text-left">
          <th scope="col" className="w-16 py-1 text-right font-semibold">
            Planned
          </th>
          <th scope="col" style={{ width: TIE_WIDTH }}>
            <span className="sr-only">Drift drawn</span>
          </th>
          <th scope="col" className="w-24 font-semibold">
            Said
          </th>
          <th scope="col" className="font-semibold">
            Line
          </th>
          <th scope="col" className="w-28 pr-2 text-right font-semibold">
            Drift
          </th>
        </tr>
      </thead>
      <tbody>
        {rowsOf(reading, timeline).map((row) =>
          row.kind === 'remark' ? (
            <RemarkRow key={`remark ${row.startSeconds}`} row={row} />
          ) : (
            <CueRow
              key={row.cue.id}
              cue={row.cue}
              heading={row.opens ? (names.get(row.step) ?? '') : null}
              open={open === row.cue.id}
              onOpen={() => setOpen(open === row.cue.id ? null : row.cue.id)}
              onCorrect={async (seconds) => {
                if (await onCorrect(row.cue.id, seconds)) setOpen(null);
              }}
            />
          ),
        )}
      </tbody>
    </table>
  );
}

/** Cues in the order of the plan, each remark before the first cue said after it. */
function rowsOf(reading: Reading, timeline: Timeline): Row[] {
  const rows: Row[] = [];
  const remarks = [...reading.remarks];
  let stepBefore = '';
  const takeRemarks = (until: number): void => {
    while (remarks.length > 0 && remarks[0].startSeconds < until) {
      const { startSeconds, endSeconds, text } = remarks[0];
      rows.push({ kind: 'remark', startSeconds, seconds: endSeconds - startSeconds, text });
      remarks.shift();
    }
  };
  reading.cues.forEach((cue, index) => {
    const step = timeline.cues[index]?.step ?? '';
    if (cue.saidAtSeconds !== null) takeRemarks(cue.saidAtSeconds);
    rows.push({ kind: 'cue', cue, step, opens: step !== stepBefore });
    stepBefore = step;
  });
  takeRemarks(Infinity);
  return rows;
}

function RemarkRow({ row }: { readonly row: Extract<Row, { kind: 'remark' }> }) {
  return (
    <tr className="border-base-300 bg-secondary/50 border-b">
      <td />
      <td />
      <td className="font-semibold">{formatClock(row.startSeconds)}</td>
      <td className="py-1">
        <span className="mr-2 text-sm font-semibold">added</span>
        {row.text ? (
          <span className="font-serif text-lg">{row.text}</span>
        ) : (
          <span className="quiet-ink">speech of {row.seconds.toFixed(1)} s</span>
        )}
      </td>
      <td />
    </tr>
  );
}

interface CueRowProps {
  readonly cue: CueReading;
  readonly heading: string | null;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly onCorrect: (seconds: number | null) => Promise<void>;
}

function CueRow({ cue, heading, open, onOpen, onCorrect }: CueRowProps) {
  const drift = cue.saidAtSeconds === null ? null : cue.saidAtSeconds - cue.plannedSeconds;
  return (
    <>
      {heading !== null && (
        <tr>
          <th colSpan={5} scope="colgroup" className="pt-4 pb-1 text-left font-semibold">
            {heading}
          </th>
        </tr>
      )}
      <tr className="border-base-300 border-b align-top">
        <td className="quiet-ink py-2 text-right">{formatClock(cue.plannedSeconds)}</td>
        <td>
          <Tie drift={drift} />
        </td>
        <td className="py-1">
          <button
            type="button"
            className={`min-h-8 rounded px-1 ${cue.status === 'skipped' ? 'text-accent font-semibold' : 'font-semibold'} hover:bg-base-200`}
            aria-expanded={open}
            aria-label={`Correct “${cue.text}”, ${cue.saidAtSeconds === null ? 'skipped' : `said at ${formatClock(cue.saidAtSeconds)}`}`}
            onClick={onOpen}
          >
            {cue.saidAtSeconds === null ? 'skipped' : formatClock(cue.saidAtSeconds)}
          </button>
        </td>
        <td className={`py-1 font-serif text-lg ${cue.status === 'skipped' ? 'line-through opacity-80' : ''}`}>
          {cue.text}
          {open && <Correct cue={cue} onCorrect={onCorrect} />}
        </td>
        <td className="quiet-ink py-2 pr-2 text-right text-sm">
          {drift === null ? '' : `${drift > 0 ? '+' : drift < 0 ? '−' : ''}${Math.abs(drift).toFixed(1)} s`}
          <span className="block text-xs">
            {cue.corrected ? 'by hand' : cue.confidence < 0.6 && cue.status === 'said' ? 'unsure' : ''}
          </span>
        </td>
      </tr>
    </>
  );
}

/** A line from the planned to the actual time: level when on time, falling when late, rising when early, none if skipped. */
function Tie({ drift }: { readonly drift: number | null }) {
  if (drift === null) return null;
  const lean = Math.max(-ROW_HEIGHT / 2 + 4, Math.min(ROW_HEIGHT / 2 - 4, drift * LEAN));
  return (
    <svg width={TIE_WIDTH} height={ROW_HEIGHT} aria-hidden>
      <circle cx="6" cy={ROW_HEIGHT / 2 - lean / 2} r="3" fill="var(--color-primary)" />
      <line
        x1="6"
        y1={ROW_HEIGHT / 2 - lean / 2}
        x2={TIE_WIDTH - 6}
        y2={ROW_HEIGHT / 2 + lean / 2}
        stroke="var(--color-accent)"
        strokeWidth="1.5"
      />
      <circle cx={TIE_WIDTH - 6} cy={ROW_HEIGHT / 2 + lean / 2} r="3" fill="var(--color-accent)" />
    </svg>
  );
}

/** Puts one cue right: a time to the tenth, earlier or later by small steps, or not said at all. */
function Correct({
  cue,
  onCorrect,
}: {
  readonly cue: CueReading;
  readonly onCorrect: (seconds: number | null) => Promise<void>;
}) {
  const [typed, setTyped] = useState(formatExactClock(cue.saidAtSeconds ?? cue.plannedSeconds));
  const seconds = readExact(typed);
  const nudge = (by: number): void => setTyped(formatExactClock(Math.max(0, (seconds ?? cue.plannedSeconds) + by)));
  return (
    <form
      className="my-2 flex flex-wrap items-center gap-2 font-sans text-base"
      onSubmit={(event) => {
        event.preventDefault();
        if (seconds !== null) void onCorrect(seconds);
      }}
    >
      <label className="flex items-center gap-2">
        Said at
        <input
          className="input input-sm w-24 text-right"
          autoFocus
          value={typed}
          aria-invalid={seconds === null}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <button type="button" className="btn btn-sm" onClick={() => nudge(-0.1)}>
        0.1 s earlier
      </button>
      <button type="button" className="btn btn-sm" onClick={() => nudge(0.1)}>
        0.1 s later
      </button>
      <button type="submit" className="btn btn-sm btn-primary" disabled={seconds === null}>
        Set
      </button>
      <button type="button" className="btn btn-sm" onClick={() => void onCorrect(null)}>
        Not said
      </button>
      {seconds === null && (
        <span role="alert" className="text-error text-sm">
          As m:ss.t, up to 4 hours
        </span>
      )}
    </form>
  );
}

function readExact(text: string): number | null {
  const seconds = text.includes(':') ? parseClock(text) : null;
  return seconds !== null && seconds <= LONGEST_TAKE_SECONDS ? seconds : null;
}
