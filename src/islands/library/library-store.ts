import type { LibraryEntry, MovementConflict, MovementResponse } from '@/api/movements';
import { send } from '@/api/client';
import { sameDocument, type Json } from '@/core/document';
import { summaryOf, type Movement } from '@/core/movement';
import type { Issue } from '@/core/units';
import { del, get, set as keep } from 'idb-keyval';
import { createStore } from 'zustand/vanilla';

/** How the open movement stands to the one on the server. */
export type MovementSave =
  | { readonly kind: 'saved' | 'waiting' | 'saving' | 'away' }
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] }
  | { readonly kind: 'conflict'; readonly theirs: MovementResponse };

interface Open {
  readonly id: string;
  readonly revision: number;
  readonly movement: Movement;
  readonly save: MovementSave;
  /** Earlier states in this session, the newest last. */
  readonly before: readonly Movement[];
}

export interface LibraryState {
  readonly entries: readonly LibraryEntry[];
  readonly open: Open | null;
  /** Why the last request was refused, in words. */
  readonly trouble: string | null;
}

const SAVE_AFTER_MILLISECONDS = 600;
const TRY_AGAIN_MILLISECONDS = 2_500;
const UNDO_AT_MOST = 200;

/** What was typed and is not yet on the server stays in the browser, so that neither a crash nor a closed tab loses it. */
interface Draft {
  readonly baseRevision: number;
  readonly movement: Movement;
}
const draftKey = (id: string): string => `movement draft ${id}`;
/** A browser that keeps nothing still edits movements. */
const quietly = async <Value>(work: () => Promise<Value>): Promise<Value | undefined> => {
  try {
    return await work();
  } catch {
    return undefined;
  }
};

export type LibraryStore = ReturnType<typeof createLibrary>;

/** The library as one view holds it: the list, and one movement open to be changed, which saves itself. */
export function createLibrary(entries: readonly LibraryEntry[]) {
  const store = createStore<LibraryState>(() => ({ entries, open: null, trouble: null }));
  let timer: ReturnType<typeof setTimeout> | undefined;
  let lastField: string | null = null;
  const later = (milliseconds: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), milliseconds);
  };
  const setOpen = (part: Partial<Open>): void => {
    const { open } = store.getState();
    if (open) store.setState({ open: { ...open, ...part } });
  };
  const listed = (made: MovementResponse): void => {
    const entry = { id: made.id, revision: made.revision, archived: made.archived, summary: summaryOf(made.movement) };
    const others = store.getState().entries.filter((one) => one.id !== made.id);
    const next = [...others, entry].sort((a, b) => a.summary.name.localeCompare(b.summary.name, 'en'));
    store.setState({ entries: next });
  };

  const save = async (): Promise<void> => {
    clearTimeout(timer);
    const { open } = store.getState();
    if (!open || open.save.kind === 'saved' || open.save.kind === 'saving' || open.save.kind === 'conflict') return;
    setOpen({ save: { kind: 'saving' } });
    const { id, movement, revision } = open;
    const answer = await send<{ revision: number }>('PUT', `/api/movements/${id}`, {
      baseRevision: revision,
      movement,
    });
    const now = store.getState().open;
    if (now?.id !== id) return;
    if (answer.ok) {
      const changed = now.movement !== movement;
      setOpen({ revision: answer.value.revision, save: { kind: changed ? 'waiting' : 'saved' } });
      listed({ id, revision: answer.value.revision, archived: false, movement });
      if (changed) later(SAVE_AFTER_MILLISECONDS);
      else await quietly(() => del(draftKey(id)));
    } else if (answer.status === 409) {
      const theirs = (answer.problem as unknown as MovementConflict).current;
      if (sameDocument(theirs.movement, movement)) setOpen({ revision: theirs.revision, save: { kind: 'saved' } });
      else setOpen({ save: { kind: 'conflict', theirs } });
    } else if (answer.away) {
      setOpen({ save: { kind: 'away' } });
      later(TRY_AGAIN_MILLISECONDS);
    } else {
      setOpen({ save: { kind: 'refused', issues: answer.problem.issues ?? [] } });
    }
  };

  const change = (movement: Movement): void => {
    const { open } = store.getState();
    if (!open) return;
    const conflict = open.save.kind === 'conflict';
    setOpen({ movement, save: conflict ? open.save : { kind: 'waiting' } });
    const draft: Draft = { baseRevision: open.revision, movement };
    void quietly(() => keep(draftKey(open.id), draft));
    if (!conflict) later(SAVE_AFTER_MILLISECONDS);
  };

  return {
    getState: store.getState,
    getInitialState: store.getInitialState,
    subscribe: store.subscribe,
    /** Sends what waits; whether everything is on the server. */
    flush: async (): Promise<boolean> => {
      await save();
      const { open } = store.getState();
      return !open || open.save.kind === 'saved';
    },
    open: async (id: string): Promise<void> => {
      await save();
      const answer = await send<MovementResponse>('GET', `/api/movements/${id}`);
      lastField = null;
      if (!answer.ok) return store.setState({ trouble: answer.problem.detail });
      const { revision, movement } = answer.value;
      const draft = await quietly(() => get<Draft>(draftKey(id)));
      const kept = draft && !sameDocument(draft.movement, movement) ? draft : null;
      const standing: MovementSave =
        kept === null
          ? { kind: 'saved' }
          : kept.baseRevision === revision
            ? { kind: 'waiting' }
            : { kind: 'conflict', theirs: answer.value };
      store.setState({
        open: { id, revision, movement: kept?.movement ?? movement, save: standing, before: [] },
        trouble: null,
      });
      if (standing.kind === 'waiting') later(0);
    },
    close: async (): Promise<void> => {
      await save();
      store.setState({ open: null });
    },
    /** Adds a movement and opens it. */
    add: async (movement: Movement): Promise<void> => {
      await save();
      const answer = await send<MovementResponse>('POST', '/api/movements', { movement });
      if (!answer.ok) return store.setState({ trouble: answer.problem.detail });
      const made = answer.value;
      listed(made);
      lastField = null;
      const { id, revision } = made;
      store.setState({
        open: { id, revision, movement: made.movement, save: { kind: 'saved' }, before: [] },
        trouble: null,
      });
    },
    set: (field: keyof Movement, value: Json): void => {
      const { open } = store.getState();
      if (!open) return;
      const before = field === lastField ? open.before : [...open.before, open.movement].slice(-UNDO_AT_MOST);
      lastField = field;
      setOpen({ before });
      change({ ...open.movement, [field]: value });
    },
    undo: (): void => {
      const { open } = store.getState();
      const last = open?.before.at(-1);
      if (!open || !last) return;
      lastField = null;
      setOpen({ before: open.before.slice(0, -1) });
      change(last);
    },
    archive: async (id: string, archived: boolean): Promise<void> => {
      await save();
      const answer = await send('PUT', `/api/movements/${id}/archived`, { archived });
      if (!answer.ok) return store.setState({ trouble: answer.problem.detail });
      const entries = store.getState().entries.map((entry) => (entry.id === id ? { ...entry, archived } : entry));
      store.setState({ entries, open: archived ? null : store.getState().open, trouble: null });
    },
    /** After a conflict: ours on top of theirs, or theirs. */
    settle: (keep: 'ours' | 'theirs'): void => {
      const { open } = store.getState();
      if (open?.save.kind !== 'conflict') return;
      const { theirs } = open.save;
      if (keep === 'theirs') {
        setOpen({ revision: theirs.revision, movement: theirs.movement, save: { kind: 'saved' }, before: [] });
        void quietly(() => del(draftKey(open.id)));
        return;
      }
      setOpen({ revision: theirs.revision, save: { kind: 'waiting' } });
      later(0);
    },
  };
}
