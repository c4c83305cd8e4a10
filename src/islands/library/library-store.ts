import type { LibraryEntry, MovementResponse, MovementMedia } from '@/api/movements';
import { send } from '@/api/client';
import type { FieldAndValue } from '@/core/document';
import { readMovement, summaryOf, type Movement } from '@/core/movement';
import { createSession, type DocumentSession, type SessionState } from '@/editing/session';
import { createStore } from 'zustand/vanilla';

/** One field of a movement with its new value. */
type FieldEdit = FieldAndValue<Movement>;

/** The movement that is open, as its session has it. */
export interface OpenMovement extends Pick<SessionState<Movement, FieldEdit>, 'revision' | 'save' | 'done' | 'undone'> {
  readonly id: string;
  readonly movement: Movement;
}

export interface LibraryState {
  readonly entries: readonly LibraryEntry[];
  readonly open: OpenMovement | null;
  /** Why the last request was refused, in words. */
  readonly trouble: string | null;
  /** What was put into the bin last, until something else is done. */
  readonly removed: { readonly id: string; readonly name: string } | null;
}

export type LibraryStore = ReturnType<typeof createLibrary>;

const readDraft = (raw: unknown): Movement | null => {
  const read = readMovement(raw);
  return read.ok ? read.value : null;
};

/** The library as one view holds it: the list, and one movement open to be changed, which saves itself. */
export function createLibrary(entries: readonly LibraryEntry[]) {
  const store = createStore<LibraryState>(() => ({ entries, open: null, trouble: null, removed: null }));
  let session: DocumentSession<Movement, FieldEdit> | null = null;
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
    session?.stop();
    const opened = movementSession(id, revision, movement);
    session = opened;
    const showState = ({ document, ...state }: SessionState<Movement, FieldEdit>): void => {
      if (session === opened) store.setState({ open: { id, movement: document, ...state } });
    };
    // Shown when it is known whether a draft of it was left.
    opened.subscribe((state, before) => {
      if (state.begun) showState(state);
      if (state.save.kind === 'saved' && before.save.kind !== 'saved' && session === opened)
        listed({ id, revision: state.revision, archived: isArchived(id), movement: state.document });
    });
    await opened.begin();
    store.setState({ trouble: null });
  };
  const flush = async (): Promise<boolean> => (await session?.flush()) ?? true;
  const close = (): void => {
    session?.stop();
    session = null;
  };

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
      close();
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
    /** Sets one field; what is typed into one field in a row is undone as one. */
    set: (...change: FieldEdit): void => void session?.edit(change, change[0]),
    undo: (): void => void session?.undo(),
    redo: (): void => void session?.redo(),
    archive: async (id: string, archived: boolean): Promise<void> => {
      await flush();
      const answer = await send('PUT', `/api/movements/${id}/archived`, { archived });
      if (!answer.ok) return store.setState({ trouble: answer.problem.detail });
      if (archived) close();
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
      close();
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
    settle: (keep: 'ours' | 'theirs'): void => void session?.settle(keep),
  };
}

/** A movement of the library that is edited field by field. */
function movementSession(id: string, revision: number, movement: Movement): DocumentSession<Movement, FieldEdit> {
  return createSession<Movement, FieldEdit>({
    kind: 'movement',
    id,
    path: `/api/movements/${id}`,
    revision,
    stored: movement,
    apply: (now, edit) => ({ document: withField(now, edit), inverse: fieldOf(now, edit[0]) }),
    bodyOf: (now) => ({ movement: now }),
    theirsOf: (current) => {
      const theirs = current as MovementResponse;
      return { revision: theirs.revision, document: theirs.movement };
    },
    read: readDraft,
  });
}

function withField(movement: Movement, [field, value]: FieldEdit): Movement {
  return { ...movement, [field]: value };
}

function fieldOf<Field extends keyof Movement>(movement: Movement, field: Field): FieldAndValue<Movement, Field> {
  return [field, movement[field]];
}
