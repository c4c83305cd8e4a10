import { Plus } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import type { ClassesPage, ListedClass } from '@/api/classes';
import type { ListedSeries } from '@/api/series';
import { AppHead } from '@/ui/layout/AppHead';
import { Dialog } from '@/ui/parts/Dialog';
import { IssueList } from '@/ui/parts/IssueList';
import type { KeyLine } from '@/ui/parts/KeyList';
import { useKey } from '@/ui/parts/use-keys';
import { ClassTable } from './ClassTable';
import { ListingDialog } from './ListingDialog';
import { ALL, findListed, isArranged, SORTS, tagsOf, type Asked, type Sort } from './listed';
import { SeriesDialog } from './SeriesDialog';
import { SeriesSection } from './SeriesSection';
import { useClassList } from './use-class-list';

interface Props {
  readonly studio: string;
  /** What is seen first; the rest comes after it. */
  readonly first: ClassesPage;
  readonly series: readonly ListedSeries[];
}

const KEYS: readonly KeyLine[] = [
  { keys: '↓, ↑', does: 'from class to class, once one has the focus' },
  { keys: 'Enter', does: 'open the class' },
  { keys: 'S', does: 'go to the field that filters the list' },
  { keys: 'N', does: 'new class' },
];

/** The classes of the studio, by series and not in a series, to open, to begin, to copy. */
export function Classes({ studio, first, series: firstSeries }: Props) {
  const list = useClassList(first, firstSeries);
  const { classes, series, removed, trouble, membersOf } = list;
  const [placing, setPlacing] = useState<ListedClass | null>(null);
  const [ungrouping, setUngrouping] = useState<ListedSeries | null>(null);
  const [listing, setListing] = useState<ListedClass | null>(null);
  const [asked, setAsked] = useState(ALL);
  const shownFor = useDeferredValue(asked);
  const found = useMemo(() => findListed(classes, shownFor), [classes, shownFor]);
  const tags = useMemo(() => tagsOf(classes), [classes]);
  useKey('n', () => location.assign('/new'));
  useKey('s', () => document.getElementById('filter-classes')?.focus());
  const actions = {
    unsaved: list.unsaved,
    onCopy: (entry: ListedClass) => void list.copy(entry),
    onRemove: (entry: ListedClass) => void list.remove(entry),
    onSeries: setPlacing,
    onListing: setListing,
  };
  const alone = classes.filter((entry) => entry.seriesId === null);
  const empty = classes.length === 0 && series.length === 0;
  return (
    <div className="mx-auto max-w-6xl px-5 py-3 max-sm:px-3">
      <AppHead studio={studio} title="Classes" keys={KEYS}>
        <a className="btn btn-sm btn-primary" href="/new">
          <Plus size={14} aria-hidden />
          New class
        </a>
      </AppHead>
      <main id="main" tabIndex={-1}>
        {removed && (
          <p role="status" className="bg-secondary mb-3 flex items-center justify-between rounded px-3 py-2">
            {removed.words}
            <button type="button" className="btn btn-sm" onClick={() => void list.undoRemove()}>
              Undo
            </button>
          </p>
        )}
        {empty ? <NoClass /> : <FilterBar asked={asked} tags={tags} onAsk={setAsked} />}
        {isArranged(shownFor) ? (
          <>
            {series.map((one) => (
              <SeriesSection
                key={one.id}
                series={one}
                classes={membersOf(one.id)}
                actions={actions}
                onRename={(title) => void list.saveSeries(one, title)}
                onArrange={(arranged) => void list.saveSeries(one, one.title, arranged)}
                onNext={() => void list.next(one)}
                onRemove={() => setUngrouping(one)}
              />
            ))}
            {alone.length > 0 && (
              <section aria-label="Not in a series">
                {series.length > 0 && <h2 className="mb-2 px-1 text-xl font-semibold">Not in a series</h2>}
                <ClassTable label="Classes" classes={alone} {...actions} />
              </section>
            )}
          </>
        ) : (
          <>
            <FoundCount found={found.length} onAll={() => setAsked(ALL)} />
            <ClassTable label="Classes found" classes={found} {...actions} />
          </>
        )}
      </main>
      {listing && (
        <ListingDialog
          entry={listing}
          known={tags}
          onSaved={(saved) => {
            list.setListing(listing, saved);
            setListing(null);
          }}
          onClose={() => setListing(null)}
        />
      )}
      {placing && (
        <SeriesDialog
          entry={placing}
          series={series}
          onPut={(id) => {
            setPlacing(null);
            void list.place(placing, series.find((one) => one.id === id) ?? null);
          }}
          onNew={(title) => {
            setPlacing(null);
            void list.begin(placing, title);
          }}
          onClose={() => setPlacing(null)}
        />
      )}
      {ungrouping && (
        <UngroupDialog
          series={ungrouping}
          members={membersOf(ungrouping.id).length}
          onUngroup={() => {
            setUngrouping(null);
            void list.ungroup(ungrouping);
          }}
          onClose={() => setUngrouping(null)}
        />
      )}
      {trouble && (
        <Dialog title="That did not work" onClose={list.forgetTrouble}>
          <p>{trouble.title}</p>
          <IssueList issues={trouble.issues} />
        </Dialog>
      )}
    </div>
  );
}

function NoClass() {
  return (
    <div className="py-16 text-center">
      <p className="mb-4">There is no class yet. Start with one of your own.</p>
      <a className="btn btn-primary" href="/new">
        New class
      </a>
    </div>
  );
}

/** How many classes are shown of those asked for. */
function FoundCount({ found, onAll }: { readonly found: number; readonly onAll: () => void }) {
  return (
    <p role="status" className="quiet-ink mb-2 px-1">
      {found === 0 ? 'No class matches.' : found === 1 ? '1 class' : `${found} classes`}
      {found === 0 && (
        <button type="button" className="btn btn-sm ml-3" onClick={onAll}>
          Show all
        </button>
      )}
    </p>
  );
}

interface UngroupProps {
  readonly series: ListedSeries;
  /** How many classes are in it. */
  readonly members: number;
  readonly onUngroup: () => void;
  readonly onClose: () => void;
}

function UngroupDialog({ series, members, onUngroup, onClose }: UngroupProps) {
  return (
    <Dialog title={`Ungroup the series ${series.title}?`} onClose={onClose}>
      <p>
        Its {members === 1 ? 'class stays' : `${members} classes stay`} in the list, without their order. You can undo
        this, and the series stays in the bin for 30 days.
      </p>
      <div className="mt-4 flex gap-2">
        <button type="button" className="btn btn-primary" onClick={onUngroup}>
          Ungroup
        </button>
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
      </div>
    </Dialog>
  );
}

interface FilterProps {
  readonly asked: Asked;
  readonly tags: readonly string[];
  readonly onAsk: (asked: Asked) => void;
}

function FilterBar({ asked, tags, onAsk }: FilterProps) {
  return (
    <search className="mb-4 flex flex-wrap items-center gap-x-3 gap-y-2">
      <input
        id="filter-classes"
        type="search"
        className="input input-sm w-64 max-w-full"
        aria-label="Filter the list by title, focus or tag"
        placeholder="Filter by title, focus or tag"
        autoComplete="off"
        maxLength={200}
        value={asked.words}
        onChange={(event) => onAsk({ ...asked, words: event.target.value })}
      />
      <label className="flex items-center gap-2 text-sm">
        Sort
        <select
          className="select select-sm w-40"
          value={asked.sort}
          onChange={(event) => onAsk({ ...asked, sort: event.target.value as Sort })}
        >
          {(Object.keys(SORTS) as Sort[]).map((sort) => (
            <option key={sort} value={sort}>
              {SORTS[sort]}
            </option>
          ))}
        </select>
      </label>
      {tags.length > 0 && (
        <span role="group" aria-label="Tags" className="flex flex-wrap gap-1">
          {tags.map((tag) => (
            <button
              key={tag}
              type="button"
              className={`btn btn-xs ${asked.tag === tag ? 'btn-primary' : 'btn-outline'}`}
              aria-pressed={asked.tag === tag}
              onClick={() => onAsk({ ...asked, tag: asked.tag === tag ? null : tag })}
            >
              {tag}
            </button>
          ))}
        </span>
      )}
    </search>
  );
}
