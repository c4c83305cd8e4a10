import { useVirtualizer } from '@tanstack/react-virtual';
import { Plus } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'zustand';
import type { LibraryEntry } from '@/api/movements';
import { makeContent, makeLibraryMovement, type MovementFilter } from '@/core/movement';
import { formatClock } from '@/core/units';
import { CAUTION_WORDS, ROLE_WORDS, SIDE_PLAN_WORDS, STANCE_WORDS } from '@/messages/movement';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';
import { PageLinks } from '@/ui/parts/PageLinks';
import { Filters } from './Filters';
import { findMovements } from './find-movements';
import { createLibrary, type LibraryStore } from './library-store';
import { MovementPanel } from './MovementPanel';

interface Props {
  readonly studio: string;
  readonly entries: readonly LibraryEntry[];
}

/** The movement library: find at the left, the open movement at the right. */
export function Library({ studio, entries }: Props) {
  const [store] = useState(() => createLibrary(entries));
  const all = useStore(store, (state) => state.entries);
  const openId = useStore(store, (state) => state.open?.id ?? null);
  const trouble = useStore(store, (state) => state.trouble);
  const removed = useStore(store, (state) => state.removed);
  const [typed, setTyped] = useState('');
  const [filter, setFilter] = useState<MovementFilter>({});
  const [archived, setArchived] = useState(false);
  const searched = useDeferredValue(typed);
  const found = useMemo(() => findMovements(all, searched, filter, archived), [all, searched, filter, archived]);
  useEffect(() => {
    const id = location.hash.slice(1);
    if (id !== '') void store.open(id);
  }, [store]);
  useEffect(() => {
    history.replaceState(null, '', openId === null ? location.pathname : `#${openId}`);
  }, [openId]);
  const addNew = (): void => {
    const name = typed.trim() === '' ? 'New movement' : typed.trim().slice(0, 200);
    void store.add(makeLibraryMovement(makeContent(() => crypto.randomUUID(), name)));
  };
  return (
    <div className="flex min-h-screen flex-col lg:h-screen">
      <header className="border-base-300 flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-5 py-2">
        <PageLinks studio={studio} />
        <h1>Movement library</h1>
        <span className="ml-auto flex items-center gap-2">
          <ThemeSwitch />
          <button type="button" className="btn btn-sm btn-primary" onClick={addNew}>
            <Plus size={14} aria-hidden />
            New movement
          </button>
        </span>
      </header>
      {trouble && (
        <p role="alert" className="text-error px-5 py-2">
          {trouble}
        </p>
      )}
      {removed && (
        <p role="status" className="bg-secondary flex items-center gap-3 px-5 py-2">
          {removed.name} was moved to the bin.
          <button type="button" className="btn btn-sm" onClick={() => void store.restore()}>
            Undo
          </button>
        </p>
      )}
      <div className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[230px_1fr_430px]">
        <aside aria-label="Find" className="border-base-300 overflow-y-auto border-r p-4">
          <label className="quiet-ink text-sm" htmlFor="find-movement">
            Name, other name or tag
          </label>
          <input
            id="find-movement"
            type="search"
            className="input input-sm mb-2 w-full"
            autoComplete="off"
            value={typed}
            maxLength={200}
            onChange={(event) => setTyped(event.target.value)}
          />
          <Filters filter={filter} onChange={setFilter} archived={archived} onArchived={setArchived} />
        </aside>
        <main className="bg-base-100 flex min-h-0 flex-col" aria-label="Movements">
          <p className="quiet-ink border-base-300 border-b px-4 py-2 text-sm" role="status">
            {found.length === 1 ? '1 movement' : `${found.length} movements`}
            {archived ? ' in the archive' : ''}
          </p>
          {found.length === 0 ? (
            <div className="p-6">
              <p className="mb-3">
                {all.length === 0 ? 'The library is empty. Make the first movement.' : 'No movement is like that.'}
              </p>
              <button type="button" className="btn btn-sm" onClick={addNew}>
                {typed.trim() === '' ? 'Make a movement' : `Make “${typed.trim().slice(0, 40)}”`}
              </button>
            </div>
          ) : (
            <MovementList entries={found} openId={openId} store={store} />
          )}
        </main>
        <div
          className={`border-base-300 min-h-0 overflow-y-auto border-l ${openId === null ? 'max-lg:hidden' : SHEET}`}
          tabIndex={-1}
        >
          <MovementPanel store={store} />
        </div>
      </div>
    </div>
  );
}

/** On a tablet the open movement comes up from below, over the list. */
const SHEET =
  'max-lg:bg-base-200 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:max-h-[55vh] max-lg:border-t max-lg:shadow-lg';

interface ListProps {
  readonly entries: readonly LibraryEntry[];
  readonly openId: string | null;
  readonly store: LibraryStore;
}

const ROW_HEIGHT = 58;

/** Only the rows in sight are drawn, so that thousands stay smooth. */
function MovementList({ entries, openId, store }: ListProps) {
  const scroll = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- the list is drawn again by its own scrolling
  const rows = useVirtualizer({
    count: entries.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 8,
  });
  return (
    <div
      ref={scroll}
      className="min-h-[60vh] flex-1 overflow-y-auto lg:min-h-0"
      tabIndex={0}
      aria-label="Found movements"
      role="region"
    >
      <ul className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const { id, summary } = entries[index];
          return (
            <li
              key={id}
              aria-setsize={entries.length}
              aria-posinset={index + 1}
              className={`border-base-300 absolute inset-x-0 border-b ${openId === id ? 'bg-secondary' : ''}`}
              style={{ top: start, height: ROW_HEIGHT }}
            >
              <button
                type="button"
                className="flex h-full w-full items-center gap-3 px-4 text-left"
                aria-current={openId === id ? 'true' : undefined}
                onClick={() => void store.open(id)}
              >
                <span className="min-w-0 flex-1">
                  <span className="block truncate">
                    <span className="font-semibold">{summary.name}</span>{' '}
                    {summary.traditionalName !== summary.name && (
                      <span className="quiet-ink">{summary.traditionalName}</span>
                    )}
                  </span>
                  <span className="quiet-ink block truncate text-sm">{aboutEntry(entries[index])}</span>
                </span>
                <span className="shrink-0 text-sm">
                  {summary.lead === 'breath'
                    ? `${summary.rounds} ${summary.rounds === 1 ? 'round' : 'rounds'}${summary.sides === 'none' ? '' : ' a side'}`
                    : formatClock(summary.seconds)}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function aboutEntry({ summary }: LibraryEntry): string {
  const stance = summary.stanceStart === null ? '' : STANCE_WORDS[summary.stanceStart];
  return [
    summary.roles.map((role) => ROLE_WORDS[role]).join(', '),
    SIDE_PLAN_WORDS[summary.sides],
    stance,
    summary.levels > 1 ? `${summary.levels} levels` : '',
    summary.cautions.map((caution) => CAUTION_WORDS[caution].name).join(', '),
  ]
    .filter((part) => part !== '')
    .join(' · ');
}
