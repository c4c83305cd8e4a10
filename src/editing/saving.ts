import { send } from '@/api/client';
import { UNANSWERED_AT_MOST, type Saved } from '@/api/saved';
import { sameDocument } from '@/core/document';
import type { Issue } from '@/core/units';
import { Drafts, type DraftKind } from './drafts';
import { saveBeforeLinks, watchPage } from './leave';

/** How a document on the screen stands to the one on the server. */
export type SaveState<Doc> =
  | { readonly kind: 'saved' | 'waiting' | 'saving' | 'away' }
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] }
  | { readonly kind: 'conflict'; readonly theirs: Theirs<Doc> };

/** What is stored now, where another place saved meanwhile. */
export interface Theirs<Doc> {
  readonly revision: number;
  /** `null` where the answer does not bring it: the page has to be loaded again to see it. */
  readonly document: Doc | null;
}

export interface SavingOptions<Doc> {
  readonly kind: DraftKind;
  readonly id: string;
  /** Where it is saved, by PUT. */
  readonly path: string;
  readonly revision: number;
  /** The document as it is stored. */
  readonly stored: Doc;
  /** What is sent beside what the save builds on. */
  readonly bodyOf: (document: Doc) => object;
  /** What is stored, out of the answer to a stale save. */
  readonly theirsOf: (current: unknown) => Theirs<Doc>;
  /** A draft judged; `null` where it is none. */
  readonly read: (raw: unknown) => Doc | null | Promise<Doc | null>;
  /** Told whenever the state changes, with the revision that the document builds on. */
  readonly onState: (state: SaveState<Doc>, revision: number) => void;
}

/** A pause in typing after which a save is sent, and how long to wait when nobody answered. */
const SAVE_AFTER_MILLISECONDS = 600;
const TRY_AGAIN_MILLISECONDS = 2_500;
/** What a browser lets a page send while it is being left. */
const LEAVING_BYTES = 60_000;
/** A page that was asked for before the last save was stored is opened within this. */
const ASKED_WITHIN_MILLISECONDS = 10_000;

export interface Saving<Doc> {
  /** A draft that never reached the server, if there is one; the document then goes on from it. */
  readonly takeUp: () => Promise<Doc | null>;
  /** The document as it is now: kept in the browser before this returns, sent after a pause. */
  readonly changed: (document: Doc) => void;
  /** Sends what is waiting at once; whether everything is on the server. */
  readonly flush: () => Promise<boolean>;
  /** After a conflict: ours on top of theirs, or theirs, which the caller then shows; ends when our draft is gone. */
  readonly settle: (keep: 'ours' | 'theirs') => Promise<void>;
  readonly stop: () => void;
}

/**
 * Saves a document by itself, whatever it is: each change goes to the browser's own store at once and to the server
 * after a pause, one save at a time. While the server is away it tries again; when another place has saved meanwhile
 * that is told and nothing is overwritten. A save whose answer was lost is the tab's own and no conflict: every save
 * has a name, and the next one says which names were never answered.
 */
export function startSaving<Doc>(options: SavingOptions<Doc>): Saving<Doc> {
  const { kind, id, path, bodyOf, theirsOf, read, onState } = options;
  const drafts = new Drafts<Doc>({ kind, id });
  let { revision, stored: document } = options;
  let state: SaveState<Doc> = { kind: 'saved' };
  let unanswered: readonly string[] = [];
  let timer: ReturnType<typeof setTimeout> | undefined;
  let running: Promise<void> | null = null;
  /** What a save that is on its way holds. */
  let onItsWay: Doc | null = null;
  let settledAt = -Infinity;

  const set = (next: SaveState<Doc>): void => {
    state = next;
    onState(next, revision);
  };
  const keepDraft = (leaving = false): void => drafts.keep({ baseRevision: revision, unanswered, document }, leaving);
  const later = (milliseconds: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => void run(), milliseconds);
  };
  const run = (): Promise<void> => {
    clearTimeout(timer);
    running ??= save().finally(() => (running = null));
    return running;
  };
  const remember = (saveId: string): void => {
    unanswered = [...unanswered, saveId].slice(-UNANSWERED_AT_MOST);
  };
  const settled = async (next: number, sent: Doc): Promise<void> => {
    revision = next;
    unanswered = [];
    settledAt = Date.now();
    if (document === sent) {
      set({ kind: 'saved' });
      await drafts.drop();
    } else {
      set({ kind: 'waiting' });
      keepDraft();
      later(SAVE_AFTER_MILLISECONDS);
    }
  };

  const save = async (): Promise<void> => {
    if (state.kind === 'saved' || state.kind === 'conflict') return;
    const sent = document;
    const saveId = crypto.randomUUID();
    const body = { baseRevision: revision, saveId, unanswered, ...bodyOf(sent) };
    onItsWay = sent;
    // Written down before it is sent: a page that crashes meanwhile knows what stands stored for its own.
    remember(saveId);
    keepDraft();
    set({ kind: 'saving' });
    const answer = await send<Saved>('PUT', path, body);
    onItsWay = null;
    if (answer.ok) return settled(answer.value.revision, sent);
    if (answer.status === 409) {
      const theirs = theirsOf(answer.problem.current);
      if (theirs.document !== null && sameDocument(theirs.document, sent)) return settled(theirs.revision, sent);
      return set({ kind: 'conflict', theirs });
    }
    if (answer.away) {
      set({ kind: 'away' });
      return later(TRY_AGAIN_MILLISECONDS);
    }
    const { issues = [], code } = answer.problem;
    return set({ kind: 'refused', issues: issues.length > 0 ? issues : [{ code, at: '', facts: {} }] });
  };

  /** The page is hidden or left: what is not on the server is written down, and sent as far as a browser lets it. */
  const leave = (): void => {
    if (state.kind === 'saved') {
      // The page that follows may have been drawn before that save was stored.
      if (Date.now() - settledAt > ASKED_WITHIN_MILLISECONDS) return;
      return drafts.keep({ baseRevision: revision, unanswered, document, savedAs: revision }, true);
    }
    if (state.kind !== 'conflict' && state.kind !== 'refused' && onItsWay !== document) {
      const saveId = crypto.randomUUID();
      const body = { baseRevision: revision, saveId, unanswered, ...bodyOf(document) };
      if (sendLeaving(path, body)) remember(saveId);
    }
    keepDraft(true);
  };
  const flush = async (): Promise<boolean> => {
    await running;
    if (state.kind !== 'saved') await run();
    return state.kind === 'saved';
  };
  const forgetLinks = saveBeforeLinks(() => state.kind === 'saved' || state.kind === 'conflict', flush);
  const forgetPage = watchPage({ onLeave: leave, onOnline: () => later(0) });

  return {
    takeUp: async () => {
      const draft = await drafts.find(read);
      if (!draft) return null;
      if (draft.savedAs !== undefined) {
        await drafts.drop();
        if (draft.savedAs <= revision) return null;
        [document, revision] = [draft.document, draft.savedAs];
        set({ kind: 'saved' });
        return document;
      }
      // A save of it may still be under way: what it leaves stored is known for the tab's own.
      unanswered = draft.unanswered;
      if (sameDocument(draft.document, options.stored)) {
        await drafts.drop();
        return null;
      }
      document = draft.document;
      // A base that is stale is found out by the save itself, which then offers the choice.
      revision = Math.min(draft.baseRevision, revision);
      set({ kind: 'waiting' });
      later(SAVE_AFTER_MILLISECONDS);
      return document;
    },
    changed: (next) => {
      if (next === document) return;
      document = next;
      keepDraft();
      if (state.kind === 'conflict') return;
      if (state.kind !== 'saving') set({ kind: 'waiting' });
      later(SAVE_AFTER_MILLISECONDS);
    },
    flush,
    settle: async (keep) => {
      if (state.kind !== 'conflict') return;
      const { theirs } = state;
      revision = theirs.revision;
      unanswered = [];
      if (keep === 'ours') {
        set({ kind: 'waiting' });
        keepDraft();
        return later(0);
      }
      if (theirs.document !== null) document = theirs.document;
      set({ kind: 'saved' });
      await drafts.drop();
    },
    stop: () => {
      clearTimeout(timer);
      forgetLinks();
      forgetPage();
    },
  };
}

/** Sends a save as a browser lets a page that is being left; whether it is short enough for that. */
function sendLeaving(path: string, content: object): boolean {
  const body = JSON.stringify(content);
  if (body.length >= LEAVING_BYTES) return false;
  const headers = { 'content-type': 'application/json' };
  void fetch(path, { method: 'PUT', keepalive: true, headers, body }).catch(() => undefined);
  return true;
}
