import { useCallback, useEffect, useRef, useState } from 'react';
import type { ClassesPage, ClassResponse, ListedClass, Listing } from '@/api/classes';
import { send } from '@/api/client';
import type { Saved } from '@/api/saved';
import type { ListedSeries } from '@/api/series';
import { planMilliseconds, readPlan } from '@/core/plan';
import { toSeconds, type Issue } from '@/core/units';
import { saveLeftDrafts } from '@/editing/left-drafts';

export interface Trouble {
  readonly title: string;
  readonly issues: readonly Issue[];
}

/** What was put into the bin last, to be taken out again by one press. */
export interface Removed {
  readonly kind: 'class' | 'series';
  readonly id: string;
  readonly words: string;
}

/** The classes of a series in another order, or others of them; by their ids. */
export type Arranged = (classIds: readonly string[]) => readonly string[];

export interface ClassListState {
  readonly classes: readonly ListedClass[];
  readonly series: readonly ListedSeries[];
  /** Classes with edits that are in this browser alone. */
  readonly unsaved: ReadonlySet<string>;
  readonly removed: Removed | null;
  readonly trouble: Trouble | null;
  readonly forgetTrouble: () => void;
  readonly membersOf: (seriesId: string) => ListedClass[];
  readonly copy: (entry: ListedClass) => Promise<void>;
  readonly remove: (entry: ListedClass) => Promise<void>;
  readonly undoRemove: () => Promise<void>;
  /** Under a title, its classes in the order that `arranged` makes of theirs. */
  readonly saveSeries: (one: ListedSeries, title: string, arranged?: Arranged) => Promise<void>;
  readonly ungroup: (one: ListedSeries) => Promise<void>;
  readonly next: (one: ListedSeries) => Promise<void>;
  /** Into a series, or out of the one it is in. */
  readonly place: (entry: ListedClass, target: ListedSeries | null) => Promise<void>;
  readonly begin: (entry: ListedClass, title: string) => Promise<void>;
  /** Tags and live dates as they were saved. */
  readonly setListing: (entry: ListedClass, listing: Listing) => void;
}

/** The list of classes as a view holds it; what the page did not bring comes after it, part by part. */
export function useClassList(first: ClassesPage, firstSeries: readonly ListedSeries[]): ClassListState {
  const [series, setSeries] = useState(firstSeries);
  const [removed, setRemoved] = useState<Removed | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const { classes, setClasses, whole, unsaved } = useClasses(first);
  const membersIn = (all: readonly ListedClass[], id: string): ListedClass[] =>
    all.filter((entry) => entry.seriesId === id).sort((a, b) => (a.seriesOrder ?? 0) - (b.seriesOrder ?? 0));

  const membersOf = (id: string): ListedClass[] => membersIn(classes, id);
  const ask = async <Value>(...request: Parameters<typeof send>): Promise<{ readonly value: Value } | null> => {
    const answer = await send<Value>(...request);
    if (answer.ok) return { value: answer.value };
    setTrouble({ title: answer.problem.detail, issues: answer.problem.issues ?? [] });
    return null;
  };
  const copy = async (entry: ListedClass): Promise<void> => {
    const made = await ask<ClassResponse>('POST', '/api/classes', { from: 'class', classId: entry.id });
    if (made) location.assign(`/classes/${made.value.id}`);
  };
  const remove = async (entry: ListedClass): Promise<void> => {
    if (!(await ask('DELETE', `/api/classes/${entry.id}`))) return;
    setClasses((before) => before.filter((one) => one.id !== entry.id));
    setRemoved({ kind: 'class', id: entry.id, words: `${entry.title} was moved to the bin.` });
  };
  const undoRemove = async (): Promise<void> => {
    if (removed && (await ask('POST', `/api/bin/${removed.kind}/${removed.id}/restore`, {}))) location.reload();
  };
  const saveSeries: ClassListState['saveSeries'] = async (one, title, arranged = (ids) => ids) => {
    // What is saved is the whole of it: classes that are not here yet would fall out.
    const all = await whole();
    if (!all) return setTrouble({ title: 'The list is not whole yet. Try again in a moment.', issues: [] });
    const classIds = arranged(membersIn(all, one.id).map(({ id }) => id));
    const body = { baseRevision: one.revision, saveId: crypto.randomUUID(), title, classIds };
    const answer = await send<Saved>('PUT', `/api/series/${one.id}`, body);
    if (!answer.ok) return setTrouble(seriesTrouble(answer.status, answer.problem.detail));
    const saved = { ...one, title, revision: answer.value.revision };
    setSeries((before) => before.map((kept) => (kept.id === one.id ? saved : kept)));
    return setClasses((before) => before.map((entry) => placedIn(entry, one.id, classIds)));
  };
  const ungroup = async (one: ListedSeries): Promise<void> => {
    if (!(await ask('DELETE', `/api/series/${one.id}`))) return;
    setSeries((before) => before.filter((kept) => kept.id !== one.id));
    setClasses((before) => before.map((entry) => placedIn(entry, one.id, [])));
    setRemoved({ kind: 'series', id: one.id, words: `The series ${one.title} was ungrouped.` });
  };
  const next = async (one: ListedSeries): Promise<void> => {
    const made = await ask<ClassResponse>('POST', `/api/series/${one.id}/next`, {});
    if (made) location.assign(`/classes/${made.value.id}`);
  };
  const place = async (entry: ListedClass, target: ListedSeries | null): Promise<void> => {
    if (target) return saveSeries(target, target.title, (ids) => [...ids, entry.id]);
    const home = series.find((one) => one.id === entry.seriesId);
    return home && saveSeries(home, home.title, (ids) => ids.filter((id) => id !== entry.id));
  };
  const begin = async (entry: ListedClass, title: string): Promise<void> => {
    const made = await ask<ListedSeries>('POST', '/api/series', { title });
    if (!made) return;
    setSeries((before) => [...before, made.value]);
    await place(entry, made.value);
  };
  const setListing = (entry: ListedClass, { tags, liveDates }: Listing): void => {
    const now = new Date().toISOString();
    const nextLive = liveDates.find((one) => one > now) ?? null;
    setClasses((before) => before.map((one) => (one.id === entry.id ? { ...one, tags, nextLive } : one)));
  };
  const forgetTrouble = (): void => setTrouble(null);
  return { classes, series, unsaved, removed, trouble, forgetTrouble, membersOf, copy, remove, undoRemove, saveSeries, ungroup, next, place, begin, setListing }; // prettier-ignore
}

function seriesTrouble(status: number, detail: string): Trouble {
  const title =
    status === 409
      ? 'This series was changed in another window meanwhile. Nothing was overwritten. Reload the page to see it, then try again.'
      : detail;
  return { title, issues: [] };
}

/** A class as it stands once a series holds exactly these. */
function placedIn(entry: ListedClass, seriesId: string, classIds: readonly string[]): ListedClass {
  const at = classIds.indexOf(entry.id);
  if (at >= 0) return { ...entry, seriesId, seriesOrder: at + 1 };
  return entry.seriesId === seriesId ? { ...entry, seriesId: null, seriesOrder: null } : entry;
}

type SetClasses = (change: (before: readonly ListedClass[]) => readonly ListedClass[]) => void;

/** The rest of a list after the part that is here; `null` when the server does not answer. */
async function restAfter({ classes, more }: ClassesPage): Promise<readonly ListedClass[] | null> {
  const rest: ListedClass[] = [];
  let last = more ? classes.at(-1) : undefined;
  while (last) {
    const answer = await send<ClassesPage>('GET', `/api/classes?after=${last.id}`);
    if (!answer.ok) return null;
    rest.push(...answer.value.classes);
    last = answer.value.more ? answer.value.classes.at(-1) : undefined;
  }
  return rest;
}

function useClasses(first: ClassesPage): {
  readonly classes: readonly ListedClass[];
  readonly setClasses: SetClasses;
  /** All of them as they stand, once they are here; `null` when the server does not answer. */
  readonly whole: () => Promise<readonly ListedClass[] | null>;
  readonly unsaved: ReadonlySet<string>;
} {
  const [classes, setShown] = useState(first.classes);
  // What stands now, for work that waits for the rest: the list that a press saw may be older.
  const latest = useRef(first.classes);
  const setClasses = useCallback<SetClasses>((change) => {
    latest.current = change(latest.current);
    setShown(latest.current);
  }, []);
  const [unsaved, setUnsaved] = useState<ReadonlySet<string>>(new Set());
  const loading = useRef<Promise<boolean> | null>(null);
  useEffect(() => {
    const load = async (): Promise<boolean> => {
      const rest = await restAfter(first);
      if (!rest) return false;
      setClasses((before) => {
        const known = new Set(before.map((entry) => entry.id));
        return [...before, ...rest.filter((entry) => !known.has(entry.id))];
      });
      return true;
    };
    loading.current = load();
    // What was typed a moment before this page was opened is in the list too.
    void loading.current.then(async () => {
      const left = await saveLeftDrafts('class', (id) => `/api/classes/${id}`, (plan) => ({ plan })); // prettier-ignore
      if (left.length === 0) return;
      const drafts = new Map(left.map((edit) => [edit.id, edit]));
      setClasses((before) => before.map((entry) => withDraft(entry, drafts.get(entry.id)?.document)));
      setUnsaved(new Set(left.filter((edit) => !edit.saved).map((edit) => edit.id)));
    });
    // Come back to by the browser's own button, the page is as it was left: the list may have changed since.
    const back = (event: PageTransitionEvent): void => {
      if (event.persisted) location.reload();
    };
    addEventListener('pageshow', back);
    return () => removeEventListener('pageshow', back);
  }, [first, setClasses]);
  const whole = useCallback(async () => ((await loading.current) === false ? null : latest.current), []);
  return { classes, setClasses, whole, unsaved };
}

/** A row as its draft has it. */
function withDraft(entry: ListedClass, document: unknown): ListedClass {
  const read = document === undefined ? null : readPlan(document);
  if (!read?.ok) return entry;
  return {
    ...entry,
    title: read.value.title,
    targetSeconds: read.value.targetSeconds,
    runtimeSeconds: toSeconds(planMilliseconds(read.value)),
  };
}
