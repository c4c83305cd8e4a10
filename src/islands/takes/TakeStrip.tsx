import { useVirtualizer } from '@tanstack/react-virtual';
import { Play } from 'lucide-react';
import { memo, useEffect, useRef } from 'react';
import type { CueReading } from '@/core/reading';
import { itemAt, formatClock, formatDifference, type Seconds } from '@/core/units';
import { CUT_NAMES } from '@/messages/cuts';
import type { Row } from './rows';
import { Wave } from './Wave';

interface Props {
  readonly rows: readonly Row[];
  readonly chosen: string | null;
  readonly envelope: Uint8Array | null;
  readonly playSeconds: Seconds;
  /** Chooses a row, and plays it where there is sound. */
  readonly onChoose: (row: Row) => void;
}

const ROW_HEIGHT = 44;
const TIE_WIDTH = 44;
/** Pixels a tie leans for each second of drift, held to the row. */
const LEAN = 1.1;
/** Less certain than this is marked. */
export const UNSURE_BELOW = 0.8;

/** Every line as planned and as said, with the sound about it; a tie leans with the drift. Ad-libs stand where they were said. */
export function TakeStrip({ rows, chosen, envelope, playSeconds, onChoose }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- the list is drawn again by its own scrolling
  const list = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
    getItemKey: (index) => itemAt(rows, index).key,
  });
  const chosenAt = rows.findIndex((row) => row.key === chosen);
  const shown = useRef<string | null>(null);
  useEffect(() => {
    // Only when another row is chosen: a nudge must not jump.
    if (shown.current === chosen) return;
    shown.current = chosen;
    if (chosenAt >= 0) list.scrollToIndex(chosenAt, { align: 'auto' });
  }, [chosen, chosenAt, list]);
  return (
    <div
      ref={scroller}
      tabIndex={0}
      role="group"
      aria-label="Lines of the take"
      className="h-full min-h-96 overflow-y-auto px-2 focus-visible:outline-2"
    >
      <ol style={{ height: list.getTotalSize() }} className="relative">
        {list.getVirtualItems().map((item) => {
          const row = itemAt(rows, item.index);
          return (
            <li
              key={item.key}
              ref={list.measureElement}
              data-index={item.index}
              className="border-base-300 absolute inset-x-0 border-b"
              style={{ transform: `translateY(${item.start}px)` }}
            >
              {row.kind === 'step' ? (
                <h2 className="pt-4 pb-1 font-semibold">{row.name}</h2>
              ) : (
                <Line
                  row={row}
                  chosen={row.key === chosen}
                  envelope={envelope}
                  playSeconds={near(row, playSeconds) ? playSeconds : null}
                  onChoose={onChoose}
                />
              )}
            </li>
          );
        })}
      </ol>
    </div>
  );
}

function near(row: Row, seconds: Seconds): boolean {
  const at = placeOf(row);
  return at !== null && seconds > at.startSeconds - 2 && seconds < at.startSeconds + 5;
}

/** Where a row is in the take; `null` for a line that was not said. */
export function placeOf(row: Row): { readonly startSeconds: Seconds; readonly endSeconds: Seconds } | null {
  if (row.kind === 'step') return null;
  if (row.kind === 'ad-lib') return row.adLib;
  if (row.kind === 'cut') return row.cut;
  const { actualStart, actualEnd } = row.cue;
  return actualStart === null ? null : { startSeconds: actualStart, endSeconds: actualEnd ?? actualStart };
}

interface LineProps {
  readonly row: Exclude<Row, { kind: 'step' }>;
  readonly chosen: boolean;
  readonly envelope: Uint8Array | null;
  readonly playSeconds: Seconds | null;
  readonly onChoose: (row: Row) => void;
}

const Line = memo(function Line({ row, chosen, envelope, playSeconds, onChoose }: LineProps) {
  const place = placeOf(row);
  const cue = row.kind === 'cue' ? row.cue : null;
  const drift = cue && place ? place.startSeconds - cue.plannedStart : null;
  const text = cue ? cue.text : (row.kind === 'ad-lib' && row.adLib.text) || null;
  const cut = row.kind === 'cut' ? row.cut : null;
  const said = place ? formatClock(place.startSeconds) : 'skipped';
  return (
    <button
      type="button"
      aria-pressed={chosen}
      aria-label={
        cue ? `“${cue.text}”, ${place ? `said at ${said}` : 'skipped'}` : `${cut ? 'cut' : 'ad-lib'} at ${said}`
      }
      className={`grid min-h-11 w-full grid-cols-[3.2rem_44px_4.2rem_minmax(0,1fr)_auto] items-center gap-x-1 py-1 text-left xl:grid-cols-[3.5rem_44px_4.5rem_150px_minmax(0,1fr)_auto] ${chosen ? 'bg-base-200 outline-accent -outline-offset-2 outline-2' : row.kind === 'ad-lib' ? 'bg-secondary/50' : cut ? 'border-accent border-l-4 border-dashed' : 'hover:bg-base-200'}`}
      onClick={() => onChoose(row)}
    >
      <span className="quiet-ink text-right">{cue ? formatClock(cue.plannedStart) : ''}</span>
      <Tie drift={drift} />
      <span className={`flex items-center gap-1 font-semibold ${place ? '' : 'text-accent'}`}>
        {place && <Play size={12} aria-hidden />}
        {said}
      </span>
      <span className="max-xl:hidden">
        {envelope && place && <Wave envelope={envelope} {...place} playSeconds={playSeconds} />}
      </span>
      <span className={`min-w-0 px-1 font-serif text-lg leading-snug ${place ? '' : 'line-through opacity-80'}`}>
        {row.kind === 'ad-lib' && <span className="mr-2 font-sans text-sm font-semibold">ad-lib</span>}
        {cut ? (
          <span className={`font-sans text-base ${cut.on ? '' : 'quiet-ink'}`}>
            {cut.on ? 'cut out' : 'a cut that is switched off'}: {CUT_NAMES[cut.reason]}, {lengthOf(row)} s
          </span>
        ) : (
          (text ?? <span className="quiet-ink font-sans text-base">speech of {lengthOf(row)} s</span>)
        )}
      </span>
      <span className="quiet-ink pr-2 text-right text-sm">
        {drift !== null && <span className="block">{formatDifference(drift)}</span>}
        {cue && <Sureness cue={cue} />}
      </span>
    </button>
  );
});

function lengthOf(row: Row): string {
  const place = placeOf(row);
  return place ? (place.endSeconds - place.startSeconds).toFixed(1) : '';
}

function Sureness({ cue }: { readonly cue: CueReading }) {
  if (cue.corrected) return <span className="block">by hand</span>;
  if (cue.confidence >= UNSURE_BELOW) return null;
  return <span className="text-accent block font-semibold">{Math.round(cue.confidence * 100)} % certain</span>;
}

/** Leans down to the right when the line came late, up when early; a broken line when it was not said. */
function Tie({ drift }: { readonly drift: number | null }) {
  const height = ROW_HEIGHT - 8;
  const lean = drift === null ? 0 : Math.max(-height / 2 + 3, Math.min(height / 2 - 3, drift * LEAN));
  return (
    <svg width={TIE_WIDTH} height={height} aria-hidden className="block">
      {drift !== null && (
        <>
          <circle cx={6} cy={height / 2 - lean / 2} r="3" fill="var(--quiet-ink)" />
          <line
            x1={6}
            y1={height / 2 - lean / 2}
            x2={TIE_WIDTH - 6}
            y2={height / 2 + lean / 2}
            stroke="var(--color-accent)"
            strokeWidth="1.5"
          />
          <circle cx={TIE_WIDTH - 6} cy={height / 2 + lean / 2} r="3" fill="var(--color-accent)" />
        </>
      )}
    </svg>
  );
}
