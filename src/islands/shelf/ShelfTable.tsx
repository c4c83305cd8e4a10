import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp, Copy, ListOrdered, Trash2 } from 'lucide-react';
import { memo, useLayoutEffect, useRef, useState } from 'react';
import type { ShelfClass } from '@/api/classes';
import { formatClock, formatDifference } from '@/core/units';

export interface RowActions {
  /** Classes with edits that are in this browser alone. */
  readonly unsaved: ReadonlySet<string>;
  readonly onCopy: (entry: ShelfClass) => void;
  readonly onRemove: (entry: ShelfClass) => void;
  readonly onSeries: (entry: ShelfClass) => void;
  /** In a series: one place up or down. */
  readonly onMove?: (entry: ShelfClass, by: -1 | 1) => void;
}

interface Props extends RowActions {
  readonly label: string;
  readonly classes: readonly ShelfClass[];
}

const ROW_HEIGHT = 57;
/** As `btn btn-sm` looks, in a tenth of its rules: a row in sight costs the browser little. */
const BUTTON =
  'bg-base-200 hover:bg-base-300 inline-flex h-8 items-center justify-center gap-1.5 rounded-lg align-middle font-semibold disabled:opacity-40';
/** A longer table draws only the rows in sight. */
const ALL_UP_TO = 60;
const COLUMNS = 'grid grid-cols-[minmax(0,1fr)_repeat(4,5.5rem)_16rem] items-center gap-x-2 px-4';

/**
 * Classes with their lengths and takes, to open, copy, put in order and take away. Boxes with the roles of a table
 * and no table element: its rows lie where they are put, so that scrolling a long shelf lays out the rows that come
 * into sight and no others.
 */
export function ShelfTable({ label, classes, ...actions }: Props) {
  const table = useRef<HTMLDivElement>(null);
  const [margin, setMargin] = useState(0);
  useLayoutEffect(() => setMargin(table.current?.offsetTop ?? 0), [classes.length]);
  const long = classes.length > ALL_UP_TO;

  const rows = useWindowVirtualizer({
    count: long ? classes.length : 0,
    estimateSize: () => ROW_HEIGHT,
    overscan: 6,
    scrollMargin: margin,
  });
  const shown = long
    ? rows.getVirtualItems().map(({ index, start }) => ({ index, top: start - margin }))
    : classes.map((_, index) => ({ index, top: null }));
  return (
    <div role="table" aria-label={label} aria-rowcount={classes.length + 1} className="bg-base-100 rounded text-sm">
      <div role="rowgroup">
        <div role="row" aria-rowindex={1} className={`${COLUMNS} quiet-ink py-2 font-semibold`}>
          <span role="columnheader">Class</span>
          {['Planned', 'Target', 'Off by', 'Takes'].map((head) => (
            <span key={head} role="columnheader" className="text-right">
              {head}
            </span>
          ))}
          <span role="columnheader">
            <span className="sr-only">Actions</span>
          </span>
        </div>
      </div>
      <div
        ref={table}
        role="rowgroup"
        className="relative"
        style={long ? { height: rows.getTotalSize(), contain: 'strict' } : undefined}
      >
        {shown.map(({ index, top }) => (
          <Row
            key={classes[index].id}
            entry={classes[index]}
            place={index}
            top={top}
            first={index === 0}
            last={index === classes.length - 1}
            {...actions}
          />
        ))}
      </div>
    </div>
  );
}

interface RowProps extends RowActions {
  readonly entry: ShelfClass;
  readonly place: number;
  /** Pixels from the top of the rows; null where rows lie one under the other. */
  readonly top: number | null;
  readonly first: boolean;
  readonly last: boolean;
}

/** Drawn again only when it changes, so that scrolling draws the rows that come into sight and no others. */
const Row = memo(function Row({
  entry,
  place,
  top,
  first,
  last,
  unsaved,
  onCopy,
  onRemove,
  onSeries,
  onMove,
}: RowProps) {
  const off = Math.round(entry.runtimeSeconds) - Math.round(entry.targetSeconds);
  const style = top === null ? { height: ROW_HEIGHT } : { height: ROW_HEIGHT, transform: `translateY(${top}px)` };
  return (
    <div
      role="row"
      aria-rowindex={place + 2}
      style={style}
      className={`${COLUMNS} border-base-300 border-t ${top === null ? '' : 'absolute inset-x-0 top-0'}`}
    >
      <span role="rowheader" className="text-base font-semibold">
        <a className="link link-hover block truncate" href={`/classes/${entry.id}`}>
          {entry.title}
        </a>
        {unsaved.has(entry.id) && (
          <span className="text-accent block text-xs">Edits not saved yet: open to choose</span>
        )}
      </span>
      <span role="cell" className="text-right">
        {formatClock(entry.runtimeSeconds)}
      </span>
      <span role="cell" className="text-right">
        {formatClock(entry.targetSeconds)}
      </span>
      <span role="cell" className={`text-right ${off !== 0 ? 'text-accent font-semibold' : 'quiet-ink'}`}>
        {off === 0 ? 'on target' : formatDifference(off)}
      </span>
      <span role="cell" className="text-right">
        <a
          className="link link-hover inline-block min-w-6"
          href={`/classes/${entry.id}/takes`}
          aria-label={`Takes of ${entry.title}: ${entry.takes}`}
        >
          {entry.takes}
        </a>
      </span>
      <span role="cell" className="text-right whitespace-nowrap">
        {onMove && (
          <>
            <IconButton label={`Move ${entry.title} up`} disabled={first} onClick={() => onMove(entry, -1)}>
              <ArrowUp size={14} aria-hidden />
            </IconButton>{' '}
            <IconButton label={`Move ${entry.title} down`} disabled={last} onClick={() => onMove(entry, 1)}>
              <ArrowDown size={14} aria-hidden />
            </IconButton>{' '}
          </>
        )}
        <IconButton label={`Series of ${entry.title}`} onClick={() => onSeries(entry)}>
          <ListOrdered size={14} aria-hidden />
        </IconButton>{' '}
        <button type="button" className={`${BUTTON} px-3 text-xs`} onClick={() => onCopy(entry)}>
          <Copy size={14} aria-hidden />
          Copy<span className="sr-only"> {entry.title}</span>
        </button>{' '}
        <IconButton label={`Remove ${entry.title}`} onClick={() => onRemove(entry)}>
          <Trash2 size={14} aria-hidden />
        </IconButton>
      </span>
    </div>
  );
});

interface IconButtonProps {
  readonly label: string;
  readonly disabled?: boolean;
  readonly onClick: () => void;
  readonly children: React.ReactNode;
}

function IconButton({ label, disabled, onClick, children }: IconButtonProps) {
  return (
    <button
      type="button"
      className={`${BUTTON} w-8`}
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
