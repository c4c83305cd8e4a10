import { createStore } from 'zustand/vanilla';
import { startSaving, type SaveState, type Saving, type SavingOptions } from './saving';

/** An edit that takes one back. */
export interface Undoable<Edit> {
  readonly inverse: Edit;
  /** Edits with the same key made in a row are undone as one: letters typed into one field. */
  readonly key: string | null;
}

/** A document that is being edited, as it stands. */
export interface SessionState<Doc, Edit> {
  readonly document: Doc;
  /** The stored revision that the document builds on. */
  readonly revision: number;
  readonly save: SaveState<Doc>;
  /** Whether it is known what an earlier page left; until then nothing can be said to be saved. */
  readonly begun: boolean;
  /** What can be undone and done again, the newest last. */
  readonly done: readonly Undoable<Edit>[];
  readonly undone: readonly Undoable<Edit>[];
}

export interface Applied<Doc, Edit> {
  readonly document: Doc;
  readonly inverse: Edit;
}

/** `null` where an edit finds no place: nothing is changed then. */
export type Apply<Doc, Edit> = (document: Doc, edit: Edit) => Applied<Doc, Edit> | null;

export interface SessionOptions<Doc, Edit> extends Omit<SavingOptions<Doc>, 'onState'> {
  /** Applies what a person does. */
  readonly apply: Apply<Doc, Edit>;
  /** Applies inverses and what follows an edit, to the letter; the same where left out. */
  readonly retrace?: Apply<Doc, Edit>;
  /** Edits in order as one; where left out, what takes an edit back takes back what followed it too. */
  readonly together?: (edits: readonly Edit[]) => Edit;
  /** A draft of an earlier page as an edit, so that it can be undone; where left out nothing before it is known. */
  readonly asEdit?: (draft: Doc) => Edit;
}

/** One document that is edited, undone, kept in the browser and saved, whatever it is. */
export interface DocumentSession<Doc, Edit> {
  readonly getState: () => SessionState<Doc, Edit>;
  readonly subscribe: (
    listener: (state: SessionState<Doc, Edit>, before: SessionState<Doc, Edit>) => void,
  ) => () => void;
  /** Whether it found its place. */
  readonly edit: (edit: Edit, key?: string) => boolean;
  /** An edit that belongs to the last one made and is undone with it. */
  readonly follow: (edit: Edit) => boolean;
  readonly undo: () => boolean;
  readonly redo: () => boolean;
  /** Begins to save, and goes on from a draft that was left; settles when that is known. */
  readonly begin: () => Promise<void>;
  /** Sends what waits; whether everything is on the server. */
  readonly flush: () => Promise<boolean>;
  /** After a conflict: ours on top of theirs, or theirs, which is then the document where the answer brought it. */
  readonly settle: (keep: 'ours' | 'theirs') => Promise<void>;
  /** Saves no more. */
  readonly stop: () => void;
}

/** See `DocumentSession`. Nothing is saved before it begins, so that it can be made while a page is drawn. */
export function createSession<Doc, Edit>(options: SessionOptions<Doc, Edit>): DocumentSession<Doc, Edit> {
  const { apply, retrace = apply, together, asEdit, ...saved } = options;
  const store = createStore<SessionState<Doc, Edit>>(() => ({
    document: options.stored,
    revision: options.revision,
    save: { kind: 'saved' },
    begun: false,
    done: [],
    undone: [],
  }));
  let saving: Saving<Doc> | null = null;
  /** What was done before it was known whether an earlier page left a draft; done on top of that. */
  const held: [edit: Edit, key: string | undefined][] = [];

  const change = (part: Pick<SessionState<Doc, Edit>, 'document' | 'done' | 'undone'>): void => {
    const { save } = store.getState();
    store.setState({ ...part, save: save.kind === 'conflict' ? save : { kind: 'waiting' } });
    saving?.changed(part.document);
  };
  const shift = (from: 'done' | 'undone', to: 'done' | 'undone'): boolean => {
    const state = store.getState();
    const last = state[from].at(-1);
    const applied = last ? retrace(state.document, last.inverse) : null;
    if (!applied) return false;
    const { done, undone } = state;
    const moved = { done, undone, [from]: state[from].slice(0, -1) };
    change({
      ...moved,
      [to]: [...state[to], { inverse: applied.inverse, key: null }],
      document: applied.document,
    });
    return true;
  };
  const edit = (one: Edit, key?: string): boolean => {
    if (saving && !store.getState().begun) {
      held.push([one, key]);
      return true;
    }
    const state = store.getState();
    const applied = apply(state.document, one);
    if (!applied) return false;
    const last = state.done.at(-1);
    const joins = key !== undefined && last?.key === key && state.undone.length === 0;
    const inverse = joins ? last.inverse : applied.inverse;
    const kept = joins ? state.done.slice(0, -1) : state.done;
    change({ document: applied.document, done: [...kept, { inverse, key: key ?? null }], undone: [] });
    return true;
  };
  const takeUp = async (running: Saving<Doc>): Promise<void> => {
    try {
      const draft = await running.takeUp();
      if (draft !== null && running === saving) goOnFrom(draft);
    } finally {
      if (running === saving) {
        store.setState({ begun: true });
        for (const [one, key] of held.splice(0)) edit(one, key);
      }
    }
  };
  const goOnFrom = (draft: Doc): void => {
    const { document } = store.getState();
    const applied = asEdit ? apply(document, asEdit(draft)) : null;
    const done = applied ? [{ inverse: applied.inverse, key: null }] : [];
    store.setState({ document: draft, done, undone: [] });
  };

  return {
    getState: store.getState,
    subscribe: store.subscribe,
    edit,
    follow: (one) => {
      const state = store.getState();
      const applied = retrace(state.document, one);
      const last = state.done.at(-1);
      if (!applied || !last) return false;
      const inverse = together ? together([applied.inverse, last.inverse]) : last.inverse;
      change({
        document: applied.document,
        done: [...state.done.slice(0, -1), { ...last, inverse }],
        undone: state.undone,
      });
      return true;
    },
    undo: () => shift('done', 'undone'),
    redo: () => shift('undone', 'done'),
    begin: async () => {
      const { document, revision } = store.getState();
      saving?.stop();
      const running = startSaving<Doc>({
        ...saved,
        stored: document,
        revision,
        onState: (save, base) => {
          if (running === saving) store.setState({ save, revision: base });
        },
      });
      saving = running;
      await takeUp(running);
    },
    flush: async () => (await saving?.flush()) ?? true,
    settle: async (keep) => {
      const { save } = store.getState();
      // Theirs is the document before it is told that all is saved: who lists what is saved lists it.
      if (keep === 'theirs' && save.kind === 'conflict' && save.theirs.document !== null) {
        const { document, revision } = save.theirs;
        store.setState({ document, revision, save: { kind: 'saved' }, done: [], undone: [] });
      }
      await saving?.settle(keep);
    },
    stop: () => {
      saving?.stop();
      saving = null;
    },
  };
}
