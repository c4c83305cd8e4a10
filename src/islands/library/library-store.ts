import type { LibraryEntry, MovementResponse, MovementMedia } from '@/api/movements';
import { send } from '@/api/client';
import type { FieldAndValue } from '@/core/document';
import { readMovement, summaryOf, type Movement } from '@/core/movement';
import { startSaving, type SaveState, type Saving } from '@/editing/saving';
import { createStore } from 'zustand/vanilla';

interface Open {
  readonly id: string;
  readonly revision: number;
  readonly movement: Movement;
  readonly save: SaveState<Movement>;
  /** Earlier states in this session, the newest last. */
  readonly before: readonly Movement[];
}

export interface LibraryState {
  readonly entries: readonly LibraryEntry[];
  readonly open: Open | null;
  /** Why the last request was refused, in words. */
  readonly trouble: string | null;
  /** What was put into the bin last, until something else is done. */
  readonly removed: { readonly id: string; readonly name: string } | null;
}

const UNDO_AT_MOST = 200;

export type LibraryStore = ReturnType<typeof createLibrary>;

const readDraft = (raw: unknown): Movement | null => {
  const read = readMovement(raw);
  return read.ok ? read.value : null;
};

/** The library as one view holds it: the list, and one movement open to be changed, which saves itself. */
export function createLibrary(entries: readonly LibraryEntry[]) {
  const store = createStore<LibraryState>(() => ({ entries, open: null, trouble: null, removed: null }));
  let saving: Saving<Movement> | null = null;
  let lastField: string | null = null;
  const setOpen = (part: Partial<Open>): void => {
    const { open } = store.getState();
    if (open) store.setState({ open: { ...open, ...part } });
  };
  const listed = (made: MovementResponse): void => {
    const { entries: before } = store.getState();
    const media = before.find((one) => one.id === made.id)?.media ?? null;
    const summary = summaryOf(made.movement);
    const entry = { id: made.id, revision: made.revision, archived: made.archived, summary, media };
    const others = before.filter((one) => one.id !== made.id);
    const next = [...others, entry].sort((a, b) => a.summary.name.localeCompare(b.summary.name, 'en'));
    store.setState({ entries: next });
  };
  const isArchived = (id: string): boolean =>
    store.getState().entries.find((entry) => entry.id === id)?.archived ?? false;

  /** Shows a movement as it is stored, and saves what is done to it from now on. */
  const show = async ({ id, revision, movement }: MovementResponse): Promise<void> => {
    saving?.stop();
    lastField = null;
    store.setState({ open: { id, revision, movement, save: { kind: 'saved' }, before: [] }, trouble: null });
    const started = startSaving<Movement>({
      kind: 'movement',
      id,
      path: `/api/movements/${id}`,
      revision,
      stored: movement,
      bodyOf: (now) => ({ movement: now }),
      theirsOf: (current) => {
        const theirs = current as MovementResponse;
        return { revision: theirs.revision, document: theirs.movement };
      },
      read: readDraft,
      onState: (save, base) => {
        const { open } = store.getState();
        if (open?.id !== id) return;
        setOpen({ save, revision: base });
        if (save.kind === 'saved') listed({ id, revision: base, archived: isArchived(id), movement: open.movement });
      },
    });
    saving = started;
    const draft = await started.takeUp();
    if (draft) setOpen({ movement: draft });
  };
  const change = (movement: Movement): void => {
    setOpen({ movement });
    saving?.changed(movement);
  };
  const flush = async (): Promise<boolean> => (await saving?.flush()) ?? true;

  return {
    getState: store.getState,
    getInitialState: store.getInitialState,
    subscribe: store.subscribe,
    /** Sends what waits; whether everything is on the server. */
    flush,
    open: async (id: string): Promise<void> => {
      await flush();
      const answer = await send<MovementResponse>('GET', `/api/movements/${id}`);
      if (!answer.ok) return store.setState({ trouble: answer.problem.detail });
      return show(answer.value);
    },
    close: async (): Promise<void> => {
      await flush();
      saving?.stop();
      saving = null;
      store.setState({ open: null });
    },
    /** Adds a movement and opens it. */
    add: async (movement: Movement): Promise<void> => {
      await flush();
      const answer = await send<MovementResponse>('POST', '/api/movements', { movement });
      if (!answer.ok) return store.setState({ trouble: answer.problem.detail });
      listed(answer.value);
      return show(answer.value);
    },
    set: (...[field, value]: FieldAndValue<Movement>): void => {
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
      await flush();
      const answer = await send('PUT', `/api/movements/${id}/archived`, { archived });
      if (!answer.ok) return store.setState({ trouble: answer.problem.detail });
      if (archived) saving?.stop();
      const entries = store.getState().entries.map((entry) => (entry.id === id ? { ...entry, archived } : entry));
      return store.setState({ entries, open: archived ? null : store.getState().open, trouble: null });
    },
    /** Its picture or clip as the server has it now. */
    setMedia: (id: string, media: MovementMedia | null): void => {
      const entries = store.getState().entries.map((entry) => (entry.id === id ? { ...entry, media } : entry));
      store.setState({ entries });
    },
    /** Puts a movement into the bin. Classes keep their own copies. */
    remove: async (id: string): Promise<void> => {
      await flush();
      const answer = await send('DELETE', `/api/movements/${id}`);
      if (!answer.ok) return store.setState({ trouble: answer.problem.detail });
      saving?.stop();
      saving = null;
      const gone = store.getState().entries.find((entry) => entry.id === id);
      const entries = store.getState().entries.filter((entry) => entry !== gone);
      const removed = gone ? { id, name: gone.summary.name } : null;
      return store.setState({ entries, open: null, trouble: null, removed });
    },
    /** Takes the movement that was put into the bin last out of it again. */
    restore: async (): Promise<void> => {
      const { removed } = store.getState();
      if (!removed) return;
      const answer = await send('POST', `/api/bin/movement/${removed.id}/restore`, {});
      if (!answer.ok) return store.setState({ trouble: answer.problem.detail });
      store.setState({ removed: null });
      const found = await send<MovementResponse>('GET', `/api/movements/${removed.id}`);
      if (found.ok) listed(found.value);
    },
    /** After a conflict: ours on top of theirs, or theirs. */
    settle: (keep: 'ours' | 'theirs'): void => {
      const { open } = store.getState();
      if (open?.save.kind !== 'conflict') return;
      const { document: theirs } = open.save.theirs;
      if (keep === 'theirs' && theirs) setOpen({ movement: theirs, before: [] });
      void saving?.settle(keep);
    },
  };
}
