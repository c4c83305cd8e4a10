import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp, Copy, ListOrdered, Trash2 } from 'lucide-react';
import { memo, useLayoutEffect, useRef, useState } from 'react';
import type { ShelfClass } from '@/api/classes';
import { formatClock, formatDifference } from '@/core/units';

export interface RowActions {
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
/** A longer table draws only the rows in sight. */
const ALL_UP_TO = 60;

/** Classes with their lengths and takes, to open, copy, put in order and take away. */
export function ShelfTable({ label, classes, ...actions }: Props) {
  const table = useRef<HTMLTableElement>(null);
  const [margin, setMargin] = useState(0);
  useLayoutEffect(() => setMargin(table.current?.offsetTop ?? 0), [classes.length]);
  const long = classes.length > ALL_UP_TO;

  const rows = useWindowVirtualizer({
    count: long ? classes.length : 0,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
    scrollMargin: margin,
  });
  const items = rows.getVirtualItems();
  const first = items[0];
  const last = items[items.length - 1];
  const before = long && first ? first.start - margin : 0;
  const after = long && last ? rows.getTotalSize() - (last.end - margin) : 0;
  const shown = long ? items.map(({ index }) => index) : classes.map((_, index) => index);
  return (
    <table
      ref={table}
      aria-label={label}
      aria-rowcount={classes.length + 1}
      className="bg-base-100 table table-fixed rounded"
    >
      <thead>
        <tr>
          <th scope="col">Class</th>
          {['Planned', 'Target', 'Off by', 'Takes'].map((head) => (
            <th key={head} scope="col" className="w-24 text-right">
              {head}
            </th>
          ))}
          <th scope="col" className="w-64">
            <span className="sr-only">Actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {before > 0 && <tr style={{ height: before }} />}
        {shown.map((index) => (
          <Row
            key={classes[index].id}
            entry={classes[index]}
            place={index}
            first={index === 0}
            last={index === classes.length - 1}
            {...actions}
          />
        ))}
        {after > 0 && <tr style={{ height: after }} />}
      </tbody>
    </table>
  );
}

interface RowProps extends RowActions {
  readonly entry: ShelfClass;
  readonly place: number;
  readonly first: boolean;
  readonly last: boolean;
}

/** Drawn again only when it changes, so that scrolling draws the rows that come into sight and no others. */
const Row = memo(function Row({ entry, place, first, last, onCopy, onRemove, onSeries, onMove }: RowProps) {
  const off = Math.round(entry.runtimeSeconds) - Math.round(entry.targetSeconds);
  return (
    <tr aria-rowindex={place + 2} style={{ height: ROW_HEIGHT }}>
      <th scope="row" className="max-w-md text-base font-semibold">
        <a className="link link-hover block truncate" href={`/classes/${entry.id}`}>
          {entry.title}
        </a>
      </th>
      <td className="text-right">{formatClock(entry.runtimeSeconds)}</td>
      <td className="text-right">{formatClock(entry.targetSeconds)}</td>
      <td className={`text-right ${off !== 0 ? 'text-accent font-semibold' : 'quiet-ink'}`}>
        {off === 0 ? 'on target' : formatDifference(off)}
      </td>
      <td className="text-right">
        <a
          className="link link-hover inline-block min-w-6"
          href={`/classes/${entry.id}/takes`}
          aria-label={`Takes of ${entry.title}: ${entry.takes}`}
        >
          {entry.takes}
        </a>
      </td>
      <td className="text-right whitespace-nowrap">
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
        <button type="button" className="btn btn-sm" onClick={() => onCopy(entry)}>
          <Copy size={14} aria-hidden />
          Copy<span className="sr-only"> {entry.title}</span>
        </button>{' '}
        <IconButton label={`Remove ${entry.title}`} onClick={() => onRemove(entry)}>
          <Trash2 size={14} aria-hidden />
        </IconButton>
      </td>
    </tr>
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
      className="btn btn-sm btn-square"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
