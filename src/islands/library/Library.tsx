import { useVirtualizer } from '@tanstack/react-virtual';
import { Plus } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'zustand';
import type { LibraryEntry } from '@/api/movements';
import { asksRounds, makeContent, makeLibraryMovement, type MovementFilter } from '@/core/movement';
import { itemAt, formatClock } from '@/core/units';
import { CAUTION_WORDS, ROLE_WORDS, SIDE_PLAN_WORDS, STANCE_WORDS } from '@/messages/movement';
import { roundsWords } from '@/messages/sides';
import { AppHead } from '@/ui/layout/AppHead';
import { MovementMedia } from '@/ui/parts/MovementMedia';
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
    <div className="relative flex h-dvh flex-col overflow-hidden">
      <div className="border-base-300 shrink-0 border-b px-5 pt-2 max-sm:px-3">
        <AppHead compact studio={studio} title="Movements">
          <button type="button" className="btn btn-sm btn-primary" onClick={addNew}>
            <Plus size={14} aria-hidden />
            <span>
              New<span className="max-sm:sr-only"> movement</span>
            </span>
          </button>
        </AppHead>
      </div>
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
      <div className="grid min-h-0 flex-1 grid-cols-1 grid-rows-[auto_minmax(0,1fr)] md:grid-cols-[200px_minmax(0,1fr)] md:grid-rows-[minmax(0,1fr)] xl:grid-cols-[230px_minmax(0,1fr)_430px]">
        <aside
          aria-label="Find"
          className="border-base-300 relative overflow-y-auto p-4 max-md:max-h-[32dvh] max-md:border-b max-md:p-3 md:border-r"
        >
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
        <main id="main" tabIndex={-1} className="bg-base-100 relative flex min-h-0 flex-col" aria-label="Movements">
          <p className="quiet-ink border-base-300 border-b px-4 py-2 text-sm" role="status">
            {found.length === 1 ? '1 movement' : `${found.length} movements`}
            {archived ? ', archived' : ''}
          </p>
          {found.length === 0 ? (
            <div className="p-6">
              <p className="mb-3">
                {all.length === 0 ? 'There is no movement yet. Add the first one.' : 'No movement matches.'}
              </p>
              <button type="button" className="btn btn-sm" onClick={addNew}>
                {typed.trim() === '' ? 'Add a movement' : `Add “${typed.trim().slice(0, 40)}”`}
              </button>
            </div>
          ) : (
            <MovementList entries={found} openId={openId} store={store} />
          )}
        </main>
        <div
          className={`border-base-300 relative min-h-0 overflow-y-auto border-l ${openId === null ? 'max-xl:hidden' : SHEET}`}
          tabIndex={-1}
        >
          <MovementPanel store={store} />
        </div>
      </div>
    </div>
  );
}

/** Where there is no room beside the list, the open movement lies over it, whole on a phone. */
const SHEET =
  'max-xl:bg-base-200 max-xl:fixed! max-xl:inset-y-0 max-xl:right-0 max-xl:z-40 max-xl:w-[min(430px,100vw)] max-xl:shadow-lg';

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
      className="min-h-0 flex-1 overflow-y-auto"
      tabIndex={0}
      aria-label="Found movements"
      role="region"
    >
      <ul className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const { id, summary, media } = itemAt(entries, index);
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
                {media && (
                  <MovementMedia
                    movementId={id}
                    name={summary.name}
                    media={media}
                    small
                    className="h-11 w-14 shrink-0 rounded object-cover"
                  />
                )}
                <span className="min-w-0 flex-1">
                  <span className="block truncate">
                    <span className="font-semibold">{summary.name}</span>{' '}
                    {summary.traditionalName !== summary.name && (
                      <span className="quiet-ink">{summary.traditionalName}</span>
                    )}
                  </span>
                  <span className="quiet-ink block truncate text-sm">{aboutEntry(itemAt(entries, index))}</span>
                </span>
                <span className="shrink-0 text-sm">
                  {asksRounds(summary.pacedBy)
                    ? roundsWords(summary.rounds, summary.sides)
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
