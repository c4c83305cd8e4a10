import { format, isToday, isYesterday, parseISO } from 'date-fns';
import { useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { send } from '@/api/client';
import type { HistoryEntry, HistoryPage, RevisionResponse } from '@/api/history';
import { planMilliseconds } from '@/core/plan';
import { formatClock, toSeconds } from '@/core/units';
import { planChangeWords } from '@/messages/history';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';
import { PageLinks } from '@/ui/parts/PageLinks';
import { RevisionView } from './RevisionView';

interface Props {
  readonly studio: string;
  readonly stored: ClassResponse;
  readonly first: HistoryPage;
}

/** Changes told of one sitting before the rest is folded. */
const CHANGES_SHOWN = 6;
/** Saves of one sitting that can be looked at one by one, the newest. */
const SAVES_SHOWN = 200;

/** The saved states of a class by day, what each changed, and any of them to open and restore. */
export function History({ studio, stored, first }: Props) {
  const [entries, setEntries] = useState(first.entries);
  const [olderThan, setOlderThan] = useState(first.olderThan);
  const [open, setOpen] = useState<RevisionResponse | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const path = `/api/classes/${stored.id}/revisions`;
  const more = async (): Promise<void> => {
    const answer = await send<HistoryPage>('GET', `${path}?before=${olderThan}`);
    if (!answer.ok) return setTrouble(answer.problem.detail);
    setEntries([...entries, ...answer.value.entries]);
    setOlderThan(answer.value.olderThan);
    return setTrouble(null);
  };
  const show = async (revision: number): Promise<void> => {
    const answer = await send<RevisionResponse>('GET', `${path}/${revision}`);
    if (answer.ok) setOpen(answer.value);
    setTrouble(answer.ok ? null : answer.problem.detail);
  };
  const restore = async (revision: RevisionResponse): Promise<void> => {
    const answer = await send('PUT', `/api/classes/${stored.id}`, {
      baseRevision: stored.revision,
      plan: revision.plan,
    });
    if (answer.ok) location.assign(`/classes/${stored.id}`);
    else setTrouble(`${answer.problem.detail} Load this page again to see what is stored now.`);
  };
  return (
    <div className="mx-auto max-w-6xl px-5 py-3">
      <header className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-1">
        <PageLinks studio={studio} to={[{ href: `/classes/${stored.id}`, words: stored.plan.title }]} />
        <h1 className="text-lg font-semibold">History</h1>
        <p className="quiet-ink text-sm">
          planned {formatClock(toSeconds(planMilliseconds(stored.plan)))}, target{' '}
          {formatClock(stored.plan.targetSeconds)}
        </p>
        <span className="ml-auto">
          <ThemeSwitch />
        </span>
      </header>
      {trouble && (
        <p role="alert" className="text-error mb-3">
          {trouble}
        </p>
      )}
      <div className="grid gap-6 lg:grid-cols-[1fr_430px]">
        <main aria-label="Saved states">
          {byDay(entries).map(({ day, entries: of }) => (
            <section key={day} aria-label={day} className="mb-5">
              <h2 className="border-base-300 border-b pb-1 font-semibold">{day}</h2>
              <ol>
                {of.map((entry) => (
                  <Entry
                    key={entry.revision}
                    entry={entry}
                    now={entry.revision === stored.revision}
                    open={open?.revision ?? null}
                    onOpen={(revision) => void show(revision)}
                  />
                ))}
              </ol>
            </section>
          ))}
          {olderThan !== null && (
            <button type="button" className="btn btn-sm" onClick={() => void more()}>
              Show older ones
            </button>
          )}
        </main>
        <RevisionView
          open={open}
          now={open?.revision === stored.revision}
          onRestore={(revision) => void restore(revision)}
        />
      </div>
    </div>
  );
}

interface EntryProps {
  readonly entry: HistoryEntry;
  readonly now: boolean;
  /** The save that is open, if one is. */
  readonly open: number | null;
  readonly onOpen: (revision: number) => void;
}

function Entry({ entry, now, open, onOpen }: EntryProps) {
  const [all, setAll] = useState(false);
  const { changes, revision, firstRevision } = entry;
  const told = all ? changes : changes.slice(0, CHANGES_SHOWN);
  const first = firstRevision === 1;
  const shown = open !== null && open >= firstRevision && open <= revision;
  const saves = Array.from({ length: Math.min(SAVES_SHOWN, revision - firstRevision + 1) }, (_, at) => revision - at);
  return (
    <li className={`border-base-300 flex gap-4 border-b px-2 py-2 ${shown ? 'bg-secondary' : ''}`}>
      <span className="w-12 shrink-0 font-semibold">{format(parseISO(entry.savedAt), 'HH:mm')}</span>
      <div className="min-w-0 flex-1">
        {first && <p>The class was begun.</p>}
        {!first && changes.length === 0 && <p className="quiet-ink">Saved without a change that lasted.</p>}
        <ul>
          {told.map((change, index) => (
            <li key={index}>{planChangeWords(change)}</li>
          ))}
        </ul>
        {changes.length > told.length && (
          <button type="button" className="btn btn-xs mt-1" onClick={() => setAll(true)}>
            {changes.length - told.length} more
          </button>
        )}
        <p className="quiet-ink text-sm">
          {formatClock(entry.runtimeSeconds)} long ·{' '}
          {revision === firstRevision ? `save ${revision}` : `saves ${firstRevision} to ${revision}`}
          {now ? ' · as it stands now' : ''}
        </p>
        {saves.length > 1 && (
          <details>
            <summary className="min-h-6 cursor-pointer text-sm">Each save</summary>
            <span className="flex flex-wrap gap-1">
              {saves.map((one) => (
                <button
                  key={one}
                  type="button"
                  className="btn btn-xs"
                  aria-label={`Look at save ${one}`}
                  aria-pressed={open === one}
                  onClick={() => onOpen(one)}
                >
                  {one}
                </button>
              ))}
            </span>
          </details>
        )}
      </div>
      <button
        type="button"
        className="btn btn-sm shrink-0"
        aria-label={`Open save ${revision}`}
        onClick={() => onOpen(revision)}
      >
        Open
      </button>
    </li>
  );
}

function byDay(entries: readonly HistoryEntry[]): { day: string; entries: HistoryEntry[] }[] {
  const days: { day: string; entries: HistoryEntry[] }[] = [];
  for (const entry of entries) {
    const at = parseISO(entry.savedAt);
    const day = isToday(at) ? 'Today' : isYesterday(at) ? 'Yesterday' : format(at, 'EEEE, d MMMM yyyy');
    const last = days.at(-1);
    if (last?.day === day) last.entries.push(entry);
    else days.push({ day, entries: [entry] });
  }
  return days;
}
