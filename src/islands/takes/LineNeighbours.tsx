import { formatClock, formatDifference } from '@/core/units';
import type { Row } from './rows';
import { placeOf } from './TakeStrip';

interface Props {
  readonly rows: readonly Row[];
  readonly row: Row | null;
  readonly onChoose: (row: Row) => void;
}

/** Lines shown before and after the chosen one. */
const AROUND = 3;
const WIDTH = 400;
const HEIGHT = 72;
/** Seconds of drift that fill half the height at least. */
const CALM_SECONDS = 10;

interface Point {
  readonly key: string;
  readonly plannedStart: number;
  readonly drift: number;
}

/** Where the chosen line stands in the drift of the whole take, and the lines about it. */
export function LineNeighbours({ rows, row, onChoose }: Props) {
  const points = rows.flatMap((one): Point[] => {
    const place = one.kind === 'cue' ? placeOf(one) : null;
    if (one.kind !== 'cue' || !place) return [];
    return [{ key: one.key, plannedStart: one.cue.plannedStart, drift: place.startSeconds - one.cue.plannedStart }];
  });
  const lines = rows.filter(({ kind }) => kind === 'cue');
  const at = row ? lines.indexOf(row) : -1;
  const around = at < 0 ? [] : lines.slice(Math.max(0, at - AROUND), at + AROUND + 1);
  return (
    <section aria-label="Drift and neighbours" className="border-base-300 border-t pt-3">
      <h2 className="quiet-ink text-sm">Drift: late above, early below</h2>
      <DriftLine points={points} chosen={row?.key ?? null} />
      {around.length > 0 && (
        <ol aria-label="Lines before and after" className="mt-2 text-sm">
          {around.map(
            (one) => one.kind === 'cue' && <Neighbour key={one.key} row={one} here={one === row} onChoose={onChoose} />,
          )}
        </ol>
      )}
    </section>
  );
}

function Neighbour({
  row,
  here,
  onChoose,
}: {
  readonly row: Extract<Row, { kind: 'cue' }>;
  readonly here: boolean;
  readonly onChoose: (row: Row) => void;
}) {
  const place = placeOf(row);
  const drift = place ? formatDifference(place.startSeconds - row.cue.plannedStart) : 'skipped';
  return (
    <li>
      <button
        type="button"
        aria-current={here ? 'true' : undefined}
        className={`hover:bg-base-200 grid min-h-7 w-full grid-cols-[3rem_minmax(0,1fr)_4rem] gap-2 rounded px-1 text-left ${here ? 'bg-secondary font-semibold' : ''}`}
        onClick={() => onChoose(row)}
      >
        <span className="quiet-ink text-right">{place ? formatClock(place.startSeconds) : ''}</span>
        <span className="truncate font-serif">{row.cue.text}</span>
        <span className="quiet-ink text-right">{drift}</span>
      </button>
    </li>
  );
}

function DriftLine({ points, chosen }: { readonly points: readonly Point[]; readonly chosen: string | null }) {
  const end = Math.max(1, points.at(-1)?.plannedStart ?? 1);
  const max = Math.max(CALM_SECONDS, ...points.map(({ drift }) => Math.abs(drift)));
  const x = ({ plannedStart }: Point): number => (plannedStart / end) * WIDTH;
  const y = ({ drift }: Point): number => HEIGHT / 2 - (drift / max) * (HEIGHT / 2 - 4);
  const line = points.map((one, at) => `${at === 0 ? 'M' : 'L'}${x(one).toFixed(1)} ${y(one).toFixed(1)}`).join('');
  const here = points.find(({ key }) => key === chosen);
  const last = points.at(-1);
  const words = last
    ? `Drift of ${points.length} lines, at most ${formatDifference(Math.round(max))}; ${formatDifference(last.drift)} at the last`
    : 'No line was said';
  return (
    <svg role="img" aria-label={words} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="block w-full">
      <path d={`M0 ${HEIGHT / 2}H${WIDTH}`} stroke="var(--field-line)" strokeDasharray="2 3" />
      <path d={line} fill="none" stroke="var(--color-accent)" strokeWidth="1.5" />
      {here && (
        <>
          <path d={`M${x(here)} 0V${HEIGHT}`} stroke="var(--color-primary)" />
          <circle cx={x(here)} cy={y(here)} r="4" fill="var(--color-primary)" />
        </>
      )}
      <text x="2" y="12" fontSize="11" fill="var(--quiet-ink)">
        +{formatClock(max)}
      </text>
      <text x="2" y={HEIGHT - 3} fontSize="11" fill="var(--quiet-ink)">
        −{formatClock(max)}
      </text>
    </svg>
  );
}
