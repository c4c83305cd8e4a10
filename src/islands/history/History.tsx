import { format, isToday, isYesterday, parseISO } from 'date-fns';
import { useEffect, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { send } from '@/api/client';
import type { HistoryEntry, HistoryPage, RevisionResponse, SavedVersion } from '@/api/history';
import { planMilliseconds } from '@/core/plan';
import { formatClock, toSeconds } from '@/core/units';
import { planChangeWords } from '@/messages/history';
import { AppHead } from '@/ui/layout/AppHead';
import { RevisionView } from './RevisionView';

interface Props {
  readonly studio: string;
  readonly stored: ClassResponse;
  readonly first: HistoryPage;
}

/** Changes told of one session before the rest is folded. */
const CHANGES_SHOWN = 6;

/** The saved versions of a class by day, what each changed, and any of them to open, name, compare and restore. */
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
  // The newest lies open at once.
  useEffect(() => {
    void send<RevisionResponse>('GET', `${path}/${stored.revision}`).then((answer) => {
      if (answer.ok) setOpen((before) => before ?? answer.value);
    });
  }, [path, stored.revision]);
  const restore = async (revision: RevisionResponse): Promise<void> => {
    const answer = await send('PUT', `/api/classes/${stored.id}`, {
      baseRevision: stored.revision,
      plan: revision.plan,
    });
    if (answer.ok) location.assign(`/classes/${stored.id}`);
    else setTrouble(`${answer.problem.detail} Load this page again to see what is stored now.`);
  };
  return (
    <div className="mx-auto max-w-6xl px-5 py-3 max-sm:px-3">
      <AppHead
        studio={studio}
        trail={[{ href: `/classes/${stored.id}`, words: stored.plan.title }]}
        title="History"
        beside={
          <span className="quiet-ink text-sm max-md:hidden">
            planned {formatClock(toSeconds(planMilliseconds(stored.plan)))}, target{' '}
            {formatClock(stored.plan.targetSeconds)}
          </span>
        }
      />
      {trouble && (
        <p role="alert" className="text-error mb-3">
          {trouble}
        </p>
      )}
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <main id="main" tabIndex={-1} aria-label="Saved versions" className="min-w-0">
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
          current={stored}
          onNamed={(revision, name) => {
            setOpen((before) => before && { ...before, name });
            setEntries((before) => before.map((entry) => named(entry, revision, name)));
          }}
          onRestore={(revision) => void restore(revision)}
        />
      </div>
    </div>
  );
}

/** A session as it stands once one of its versions has another name. */
function named(entry: HistoryEntry, revision: number, name: string | null): HistoryEntry {
  return { ...entry, saves: entry.saves.map((one) => (one.revision === revision ? { ...one, name } : one)) };
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
  const { changes, revision, firstRevision, saves } = entry;
  const told = all ? changes : changes.slice(0, CHANGES_SHOWN);
  const first = firstRevision === 1;
  const shown = open !== null && open >= firstRevision && open <= revision;
  const named = saves.filter(({ name }) => name !== null);
  return (
    <li className={`border-base-300 flex gap-4 border-b px-2 py-2 ${shown ? 'bg-secondary' : ''}`}>
      <span className="w-12 shrink-0 font-semibold">{format(parseISO(entry.savedAt), 'HH:mm')}</span>
      <div className="min-w-0 flex-1">
        {first && <p>The class was created.</p>}
        {!first && changes.length === 0 && <p className="quiet-ink">Saved, with nothing changed in the end.</p>}
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
          {formatClock(entry.runtimeSeconds)} long
          {saves.length > 1 && ` · ${saves.length} versions from ${clockOf(saves.at(-1)?.savedAt)}`}
          {now ? ' · the class as it is now' : ''}
        </p>
        {named.length > 0 && (
          <ul aria-label="Named versions">
            {named.map((one) => (
              <VersionButton key={one.revision} version={one} open={open} onOpen={onOpen} />
            ))}
          </ul>
        )}
        {saves.length > 1 && (
          <details>
            <summary className="min-h-6 cursor-pointer text-sm">Every version</summary>
            <ul className="max-h-64 overflow-y-auto">
              {saves.map((one) => (
                <VersionButton key={one.revision} version={one} open={open} onOpen={onOpen} />
              ))}
            </ul>
          </details>
        )}
      </div>
      <button
        type="button"
        className="btn btn-sm shrink-0"
        aria-label={`Open the version of ${clockOf(entry.savedAt)}`}
        onClick={() => onOpen(revision)}
      >
        Open
      </button>
    </li>
  );
}

function clockOf(iso: string | undefined): string {
  return iso === undefined ? '' : format(parseISO(iso), 'HH:mm:ss');
}

interface VersionProps {
  readonly version: SavedVersion;
  readonly open: number | null;
  readonly onOpen: (revision: number) => void;
}

/** One saved version: when it was saved, and what it is called. */
function VersionButton({ version: { revision, savedAt, name }, open, onOpen }: VersionProps) {
  return (
    <li>
      <button
        type="button"
        className={`hover:bg-base-200 flex min-h-7 w-full items-center gap-3 rounded px-1 text-left text-sm ${open === revision ? 'bg-base-100 font-semibold' : ''}`}
        aria-pressed={open === revision}
        onClick={() => onOpen(revision)}
      >
        <span className="quiet-ink">{clockOf(savedAt)}</span>
        {name ?? `version ${revision}`}
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
