import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { Ellipsis } from 'lucide-react';
import { memo, useLayoutEffect, useRef, useState } from 'react';
import type { ListedClass } from '@/api/classes';
import { itemAt, formatClock, formatDifference } from '@/core/units';
import { ClassShape } from '@/ui/parts/ClassShape';
import { Menu, MenuButton } from '@/ui/parts/Menu';
import { useViewport } from '@/ui/parts/use-viewport';
import { comesWords, whenWords } from './listed';

export interface RowActions {
  /** Classes with edits that are in this browser alone. */
  readonly unsaved: ReadonlySet<string>;
  readonly onCopy: (entry: ListedClass) => void;
  readonly onRemove: (entry: ListedClass) => void;
  readonly onSeries: (entry: ListedClass) => void;
  readonly onListing: (entry: ListedClass) => void;
  /** In a series: one place up or down. */
  readonly onMove?: (entry: ListedClass, by: -1 | 1) => void;
}

interface Props extends RowActions {
  readonly label: string;
  readonly classes: readonly ListedClass[];
}

/** Pixels from one row to the next, its gap with it. */
const ROW_HEIGHT = { phone: 138, tablet: 78, desk: 78 } as const;
const GAP = 8;
/** A longer list draws only the rows in sight. */
const ALL_UP_TO = 60;

/**
 * Classes with their shape, lengths and takes, to open, copy, put in order and take away. Its rows lie where they are
 * put, so that scrolling a long list lays out the rows that come into sight and no others.
 */
export function ClassTable({ label, classes, ...actions }: Props) {
  const list = useRef<HTMLUListElement>(null);
  const [margin, setMargin] = useState(0);
  const viewport = useViewport();
  const height = ROW_HEIGHT[viewport];
  useLayoutEffect(() => setMargin(list.current?.offsetTop ?? 0), [classes.length]);
  const long = classes.length > ALL_UP_TO;
  const rows = useWindowVirtualizer({
    count: long ? classes.length : 0,
    estimateSize: () => height,
    overscan: 6,
    scrollMargin: margin,
  });
  const shown = long
    ? rows.getVirtualItems().map(({ index }) => ({ index, top: index * height }))
    : classes.map((_, index) => ({ index, top: null }));
  return (
    <ul
      ref={list}
      aria-label={label}
      className="relative"
      style={long ? { height: classes.length * height } : undefined}
      onKeyDown={moveAmongRows}
    >
      {shown.map(({ index, top }) => {
        const entry = itemAt(classes, index);
        return (
          <Row key={entry.id} entry={entry} of={classes.length} place={index} top={top} height={height} {...actions} />
        );
      })}
    </ul>
  );
}

/** The arrows go from class to class, over the borders of lists. */
function moveAmongRows(event: React.KeyboardEvent): void {
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
  const link = event.target instanceof Element ? event.target.closest('[data-class-link]') : null;
  if (!link) return;
  const all = [...document.querySelectorAll<HTMLElement>('[data-class-link]')];
  const next = all.at(all.indexOf(link as HTMLElement) + (event.key === 'ArrowDown' ? 1 : -1));
  if (!next || (event.key === 'ArrowUp' && link === all[0])) return;
  event.preventDefault();
  next.focus();
}

interface RowProps extends RowActions {
  readonly entry: ListedClass;
  readonly of: number;
  readonly place: number;
  /** Pixels from the top of the rows; null where rows lie one under the other. */
  readonly top: number | null;
  readonly height: number;
}

/** Drawn again only when it changes, so that scrolling draws the rows that come into sight and no others. */
const Row = memo(function Row({ entry, of, place, top, height, unsaved, ...actions }: RowProps) {
  const off = Math.round(entry.runtimeSeconds) - Math.round(entry.targetSeconds);
  const under = [entry.about, ...entry.tags].filter(Boolean).join(' · ');
  const style = { height: height - GAP, ...(top !== null && { transform: `translateY(${top}px)` }) };
  return (
    <li
      style={style}
      aria-setsize={of}
      aria-posinset={place + 1}
      className={`bg-base-100 hover:border-base-300 focus-within:border-base-300 mb-2 grid grid-cols-[minmax(0,1fr)_auto_auto] items-center gap-x-4 rounded-lg border border-transparent px-5 max-md:px-3 md:grid-cols-[minmax(0,3fr)_minmax(0,4fr)_6.5rem_9.5rem_auto] ${top === null ? '' : 'absolute inset-x-0 top-0'}`}
    >
      <span className="min-w-0">
        <a
          data-class-link
          className="hover:text-primary block min-h-6 truncate text-lg leading-6 font-semibold"
          href={`/classes/${entry.id}`}
          title={entry.title}
        >
          {entry.title}
        </a>
        {unsaved.has(entry.id) ? (
          <span className="text-accent block truncate text-sm">Edits not saved yet: open to choose</span>
        ) : (
          <span className="quiet-ink block truncate text-sm" title={under}>
            {under}
          </span>
        )}
      </span>
      <span className="max-md:order-4 max-md:col-span-3">
        <ClassShape shape={entry.shape} />
      </span>
      <span className="text-right">
        <span className="block text-xl leading-6 font-semibold">{formatClock(entry.runtimeSeconds)}</span>
        <span className={`block text-sm ${off !== 0 ? 'text-accent font-semibold' : 'quiet-ink'}`}>
          {off === 0 ? 'on target' : `${formatDifference(off)} ${off > 0 ? 'over' : 'under'}`}
        </span>
      </span>
      <span className="quiet-ink text-right text-sm max-md:order-5 max-md:col-span-3 max-md:flex max-md:justify-between">
        <span className="block truncate">
          {entry.nextLive ? `live ${comesWords(entry.nextLive)}` : `edited ${whenWords(entry.updatedAt)}`}
        </span>
        <TakesLink entry={entry} />
      </span>
      <RowMenu entry={entry} first={place === 0} last={place === of - 1} {...actions} />
    </li>
  );
});

function TakesLink({ entry: { id, title, takes, lastOffSeconds } }: { readonly entry: ListedClass }) {
  const words = takes === 0 ? 'no take yet' : takes === 1 ? '1 take' : `${takes} takes`;
  const last = lastOffSeconds === null ? '' : `, last ${formatDifference(lastOffSeconds)}`;
  return (
    <a
      className="hover:text-primary inline-block min-h-6 underline-offset-2 hover:underline"
      href={`/classes/${id}/takes`}
      aria-label={`Takes of ${title}: ${words}${last}`}
    >
      {words}
      {last}
    </a>
  );
}

interface RowMenuProps extends Omit<RowActions, 'unsaved'> {
  readonly entry: ListedClass;
  readonly first: boolean;
  readonly last: boolean;
}

function RowMenu({ entry, first, last, onCopy, onRemove, onSeries, onListing, onMove }: RowMenuProps) {
  return (
    <Menu
      label={`More for ${entry.title}`}
      face={<Ellipsis size={16} aria-hidden />}
      className="btn btn-sm btn-square btn-ghost"
    >
      <MenuButton onClick={() => onCopy(entry)}>Copy</MenuButton>
      <MenuButton onClick={() => onListing(entry)}>Tags and live dates…</MenuButton>
      <MenuButton onClick={() => onSeries(entry)}>Series…</MenuButton>
      {onMove && (
        <>
          <MenuButton disabled={first} onClick={() => onMove(entry, -1)}>
            Move up
          </MenuButton>
          <MenuButton disabled={last} onClick={() => onMove(entry, 1)}>
            Move down
          </MenuButton>
        </>
      )}
      <MenuButton danger onClick={() => onRemove(entry)}>
        Move to the bin
      </MenuButton>
    </Menu>
  );
}
