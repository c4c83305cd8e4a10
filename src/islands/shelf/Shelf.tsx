import { BookOpen, Mic, Plus, SpellCheck } from 'lucide-react';
import { useState } from 'react';
import type { ClassResponse, ShelfClass } from '@/api/classes';
import { send } from '@/api/client';
import type { ShelfSeries } from '@/api/series';
import type { Issue } from '@/core/units';
import { Dialog } from '@/ui/parts/Dialog';
import { IssueList } from '@/ui/parts/IssueList';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';
import { SeriesDialog } from './SeriesDialog';
import { SeriesSection } from './SeriesSection';
import { ShelfTable } from './ShelfTable';

interface Props {
  readonly studio: string;
  readonly classes: readonly ShelfClass[];
  readonly series: readonly ShelfSeries[];
}

interface Trouble {
  readonly title: string;
  readonly issues: readonly Issue[];
}

/** The classes of the studio, by series and by themselves, to open, to begin, to bring in. */
export function Shelf({ studio, classes: first, series: firstSeries }: Props) {
  const [classes, setClasses] = useState(first);
  const [series, setSeries] = useState(firstSeries);
  const [placing, setPlacing] = useState<ShelfClass | null>(null);
  const [removed, setRemoved] = useState<ShelfClass | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);

  const ask = async <Value,>(...request: Parameters<typeof send>): Promise<Value | null> => {
    const answer = await send<Value>(...request);
    if (answer.ok) return answer.value;
    setTrouble({ title: answer.problem.detail, issues: answer.problem.issues ?? [] });
    return null;
  };
  const copy = async (entry: ShelfClass): Promise<void> => {
    const made = await ask<ClassResponse>('POST', '/api/classes', { from: 'class', classId: entry.id });
    if (made) location.assign(`/classes/${made.id}`);
  };
  const remove = async (entry: ShelfClass): Promise<void> => {
    const answer = await send('DELETE', `/api/classes/${entry.id}`);
    if (!answer.ok) return setTrouble({ title: answer.problem.detail, issues: [] });
    setClasses(classes.filter((one) => one.id !== entry.id));
    return setRemoved(entry);
  };
  const putBack = async (entry: ShelfClass): Promise<void> => {
    const answer = await send('POST', `/api/classes/${entry.id}/put-back`, {});
    if (answer.ok) location.reload();
    else setTrouble({ title: answer.problem.detail, issues: [] });
  };
  const membersOf = (id: string): ShelfClass[] =>
    classes.filter((entry) => entry.seriesId === id).sort((a, b) => (a.seriesOrder ?? 0) - (b.seriesOrder ?? 0));
  /** Saves a series' title and the order of its classes, and shows it so. */
  const save = async (one: ShelfSeries, classIds: readonly string[]): Promise<void> => {
    const answer = await send('PUT', `/api/series/${one.id}`, { title: one.title, classIds });
    if (!answer.ok) return setTrouble({ title: answer.problem.detail, issues: [] });
    setSeries((before) => before.map((kept) => (kept.id === one.id ? one : kept)));
    return setClasses((before) =>
      before.map((entry) => {
        const at = classIds.indexOf(entry.id);
        if (at >= 0) return { ...entry, seriesId: one.id, seriesOrder: at + 1 };
        return entry.seriesId === one.id ? { ...entry, seriesId: null, seriesOrder: null } : entry;
      }),
    );
  };
  const place = async (entry: ShelfClass, target: ShelfSeries | null): Promise<void> => {
    setPlacing(null);
    const home = series.find((one) => one.id === entry.seriesId);
    if (target) return save(target, [...membersOf(target.id).map((one) => one.id), entry.id]);
    if (home) return save(home, membersOf(home.id).flatMap((one) => (one.id === entry.id ? [] : [one.id]))); // prettier-ignore
    return undefined;
  };
  const begin = async (entry: ShelfClass, title: string): Promise<void> => {
    const made = await ask<ShelfSeries>('POST', '/api/series', { title });
    if (!made) return;
    setSeries([...series, made]);
    await place(entry, made);
  };
  const actions = {
    onCopy: (entry: ShelfClass) => void copy(entry),
    onRemove: (entry: ShelfClass) => void remove(entry),
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
            {removed.title} was taken off the shelf.
            <button type="button" className="btn btn-sm" onClick={() => void putBack(removed)}>
              Put it back
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
            onSave={(title, ids) => void save({ ...one, title }, ids)}
            onNext={() =>
              void ask<ClassResponse>('POST', `/api/series/${one.id}/next`, {}).then((made) => {
                if (made) location.assign(`/classes/${made.id}`);
              })
            }
            onRemove={() =>
              void send('DELETE', `/api/series/${one.id}`).then((answer) => {
                if (answer.ok) location.reload();
                else setTrouble({ title: answer.problem.detail, issues: [] });
              })
            }
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
          onPut={(id) => void place(placing, series.find((one) => one.id === id) ?? null)}
          onNew={(title) => void begin(placing, title)}
          onClose={() => setPlacing(null)}
        />
      )}
      {trouble && (
        <Dialog title="Not done" onClose={() => setTrouble(null)}>
          <p>{trouble.title}</p>
          <IssueList issues={trouble.issues} />
        </Dialog>
      )}
    </div>
  );
}
