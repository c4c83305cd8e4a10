import { BookOpen, Mic, Plus, SpellCheck, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { ClassesPage, ShelfClass } from '@/api/classes';
import type { ShelfSeries } from '@/api/series';
import { Dialog } from '@/ui/parts/Dialog';
import { IssueList } from '@/ui/parts/IssueList';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';
import { SeriesDialog } from './SeriesDialog';
import { SeriesSection } from './SeriesSection';
import { ShelfTable } from './ShelfTable';
import { useShelf } from './use-shelf';

interface Props {
  readonly studio: string;
  /** What is seen first; the rest comes after it. */
  readonly first: ClassesPage;
  readonly series: readonly ShelfSeries[];
}

/** The classes of the studio, by series and by themselves, to open, to begin, to bring in. */
export function Shelf({ studio, first, series: firstSeries }: Props) {
  const shelf = useShelf(first, firstSeries);
  const { classes, series, removed, trouble, membersOf } = shelf;
  const [placing, setPlacing] = useState<ShelfClass | null>(null);
  const [ungrouping, setUngrouping] = useState<ShelfSeries | null>(null);
  const actions = {
    unsaved: shelf.unsaved,
    onCopy: (entry: ShelfClass) => void shelf.copy(entry),
    onRemove: (entry: ShelfClass) => void shelf.remove(entry),
    onSeries: setPlacing,
  };
  const alone = classes.filter((entry) => entry.seriesId === null);
  return (
    <div className="mx-auto max-w-5xl px-5 py-4">
      <header className="mb-6 flex flex-wrap items-center gap-3">
        <span className="font-semibold">{studio}</span>
        <span className="ml-auto flex items-center gap-2">
          <ThemeSwitch />
          <a className="btn btn-sm" href="/voice">
            <Mic size={14} aria-hidden />
            My voice
          </a>
          <a className="btn btn-sm" href="/terms">
            <SpellCheck size={14} aria-hidden />
            Spelling
          </a>
          <a className="btn btn-sm" href="/library">
            <BookOpen size={14} aria-hidden />
            Movement library
          </a>
          <a className="btn btn-sm" href="/bin">
            <Trash2 size={14} aria-hidden />
            Bin
          </a>
          <a className="btn btn-sm btn-primary" href="/new">
            <Plus size={14} aria-hidden />
            New class
          </a>
        </span>
      </header>
      <main>
        <h1 className="mb-3 text-2xl font-semibold">Shelf</h1>
        {removed && (
          <p role="status" className="bg-secondary mb-3 flex items-center justify-between rounded px-3 py-2">
            {removed.words}
            <button type="button" className="btn btn-sm" onClick={() => void shelf.undoRemove()}>
              Undo
            </button>
          </p>
        )}
        {classes.length === 0 && series.length === 0 && (
          <div className="py-16 text-center">
            <p className="mb-4">The shelf is empty. Begin with a class of your own.</p>
            <a className="btn btn-primary" href="/new">
              New class
            </a>
          </div>
        )}
        {series.map((one) => (
          <SeriesSection
            key={one.id}
            series={one}
            classes={membersOf(one.id)}
            actions={actions}
            onRename={(title) => void shelf.saveSeries(one, title)}
            onArrange={(arranged) => void shelf.saveSeries(one, one.title, arranged)}
            onNext={() => void shelf.next(one)}
            onRemove={() => setUngrouping(one)}
          />
        ))}
        {alone.length > 0 && (
          <>
            {series.length > 0 && <h2 className="mb-2 mt-6 text-lg font-semibold">By themselves</h2>}
            <ShelfTable label="Classes" classes={alone} {...actions} />
          </>
        )}
      </main>
      {placing && (
        <SeriesDialog
          entry={placing}
          series={series}
          onPut={(id) => {
            setPlacing(null);
            void shelf.place(placing, series.find((one) => one.id === id) ?? null);
          }}
          onNew={(title) => {
            setPlacing(null);
            void shelf.begin(placing, title);
          }}
          onClose={() => setPlacing(null)}
        />
      )}
      {ungrouping && (
        <Dialog title={`Ungroup ${ungrouping.title}?`} onClose={() => setUngrouping(null)}>
          <p>
            Its{' '}
            {membersOf(ungrouping.id).length === 1 ? 'class stays' : `${membersOf(ungrouping.id).length} classes stay`}{' '}
            in the list, without their order. You can undo this, and the series lies in the bin for 30 days.
          </p>
          <div className="mt-4 flex gap-2">
            <button
              type="button"
              className="btn btn-primary"
              onClick={() => {
                setUngrouping(null);
                void shelf.ungroup(ungrouping);
              }}
            >
              Ungroup
            </button>
            <button type="button" className="btn" onClick={() => setUngrouping(null)}>
              Cancel
            </button>
          </div>
        </Dialog>
      )}
      {trouble && (
        <Dialog title="Not done" onClose={shelf.forgetTrouble}>
          <p>{trouble.title}</p>
          <IssueList issues={trouble.issues} />
        </Dialog>
      )}
    </div>
  );
}
