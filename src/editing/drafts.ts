import { del, entries, set } from 'idb-keyval';
import { isTabAlive, thisTab } from './tab';

/**
 * What was typed and is not yet on the server, by document and tab: in the browser's database, and the newest of it in
 * `localStorage` too, which is written before the call returns and so outlives a tab that is closed, or a page that
 * crashes, after the very last key.
 */
export interface Draft<Doc = unknown> {
  readonly baseRevision: number;
  /** Saves that were sent and never answered; one of them may be what is stored. */
  readonly unanswered: readonly string[];
  readonly document: Doc;
  /** The revision it was stored as, where it was: kept for a page that was drawn before that. */
  readonly savedAs?: number;
  /** Rises with each draft of a tab, whatever the clock does. */
  readonly at: number;
}

/** Which kinds of document are edited and kept. */
export type DraftKind = 'class' | 'movement' | 'take' | 'spelling';

interface Key {
  readonly kind: DraftKind;
  readonly id: string;
}

const PREFIX = 'draft';
/** Longer ones are written ahead only when the page is left: `localStorage` holds five million characters in all. */
const AHEAD_CHARACTERS = 400_000;

const keyOf = ({ kind, id }: Key, tab: string): string => `${PREFIX}/${kind}/${id}/${tab}`;

/** The drafts of one document as this tab writes them. Nothing here throws: a browser that keeps nothing still edits. */
export class Drafts<Doc> {
  readonly #key: Key;
  #tab: string | null = null;
  #last = 0;

  constructor(key: Key) {
    this.#key = key;
  }

  /**
   * The draft to go on with: this tab's own, else one left by a tab that is gone (which is then this tab's). Those that
   * `read` cannot read are left where they are.
   */
  async find(read: (raw: unknown) => Doc | null | Promise<Doc | null>): Promise<Draft<Doc> | null> {
    const own = keyOf(this.#key, await this.#claim());
    for (const { name, draft } of await draftsOf(this.#key, await thisTab())) {
      const document = await read(draft.document);
      if (document === null) continue;
      const found = { ...draft, document };
      this.#last = Math.max(this.#last, draft.at);
      if (name !== own) {
        this.keep(found);
        await forget(name);
      }
      return found;
    }
    return null;
  }

  /** Keeps the newest state of the document; what is short enough is kept before this returns. */
  keep(draft: Omit<Draft<Doc>, 'at'>, leaving = false): void {
    const kept: Draft<Doc> = { ...draft, at: (this.#last = Math.max(Date.now(), this.#last + 1)) };
    if (this.#tab === null) {
      void this.#claim().then((tab) => void quietly(() => set(keyOf(this.#key, tab), kept)));
      return;
    }
    const key = keyOf(this.#key, this.#tab);
    writeAhead(key, kept, leaving);
    void quietly(() => set(key, kept));
  }

  async drop(): Promise<void> {
    await forget(keyOf(this.#key, await this.#claim()));
  }

  async #claim(): Promise<string> {
    this.#tab = await thisTab();
    return this.#tab;
  }
}

/** A draft of a kind that no open tab but this one writes, as `leftDrafts` finds them. */
export interface LeftDraft {
  readonly id: string;
  readonly draft: Draft;
  /** Puts it in another's place. */
  readonly keep: (draft: Draft) => void;
  readonly drop: () => Promise<void>;
}

/** Every draft of a kind that was left: by tabs that are gone, and by this one on a page before. */
export async function leftDrafts(kind: DraftKind): Promise<LeftDraft[]> {
  const own = await thisTab();
  const ids = new Set((await allDrafts()).flatMap(({ key }) => (key.kind === kind ? [key.id] : [])));
  const found: LeftDraft[] = [];
  for (const id of ids) {
    const [first] = await draftsOf({ kind, id }, own);
    if (!first) continue;
    const { name, draft } = first;
    const keep = (next: Draft): void => {
      writeAhead(name, next, true);
      void quietly(() => set(name, next));
    };
    found.push({ id, draft, keep, drop: () => forget(name) });
  }
  return found;
}

interface Found {
  readonly key: Key;
  /** `null` where it was kept without one, once. */
  readonly tab: string | null;
  /** What it is kept under. */
  readonly name: string;
  readonly draft: Draft;
}

/**
 * The drafts of a document that no other open tab writes: what is not stored first, then this tab's own, then the
 * newest.
 */
async function draftsOf({ kind, id }: Key, own: string): Promise<Found[]> {
  const left: Found[] = [];
  for (const one of await allDrafts()) {
    if (one.key.kind !== kind || one.key.id !== id) continue;
    if (one.tab === own || one.tab === null || !(await isTabAlive(one.tab))) left.push(one);
  }
  const isStored = ({ draft }: Found): number => Number(draft.savedAs !== undefined);
  return left.sort(
    (a, b) => isStored(a) - isStored(b) || Number(b.tab === own) - Number(a.tab === own) || b.draft.at - a.draft.at,
  );
}

/** All drafts of this browser; of the two that may be kept under one name the newer one. */
async function allDrafts(): Promise<Found[]> {
  const newest = new Map<string, Found>();
  const kept = (await quietly(() => entries<string, Draft>())) ?? [];
  for (const [key, draft] of [...kept, ...writtenAhead()]) {
    const name = String(key);
    const found = foundUnder(name, draft);
    if (found && found.draft.at >= (newest.get(name)?.draft.at ?? -1)) newest.set(name, found);
  }
  return [...newest.values()];
}

function foundUnder(name: string, raw: unknown): Found | null {
  if (typeof raw !== 'object' || raw === null) return null;
  const [prefix, first = '', second = '', third] = name.split('/');
  if (prefix === PREFIX && third !== undefined) {
    return { key: { kind: first as DraftKind, id: second }, tab: third, name, draft: raw as Draft };
  }
  // From before other documents had drafts: classes under `draft/<class>/<tab>`, movements without a tab.
  const { baseRevision, plan, movement } = raw as OlderDraft;
  const older = { baseRevision, unanswered: [], at: 0 };
  if (prefix === PREFIX && second !== '' && plan !== undefined) {
    return { key: { kind: 'class', id: first }, tab: second, name, draft: { ...older, document: plan } };
  }
  const id = /^movement draft (.+)$/.exec(name)?.[1];
  if (id === undefined || movement === undefined) return null;
  return { key: { kind: 'movement', id }, tab: null, name, draft: { ...older, document: movement } };
}

interface OlderDraft {
  readonly baseRevision: number;
  readonly plan?: unknown;
  readonly movement?: unknown;
}

function writeAhead(key: string, draft: Draft, leaving: boolean): void {
  try {
    const text = JSON.stringify(draft);
    if (text.length <= AHEAD_CHARACTERS || leaving) localStorage.setItem(key, text);
    // An older one must not be taken for the newest.
    else localStorage.removeItem(key);
  } catch {
    // No room, or none allowed: the browser's database has it a moment later.
  }
}

function writtenAhead(): [string, unknown][] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(`${PREFIX}/`))
      .flatMap((key): [string, unknown][] => {
        try {
          return [[key, JSON.parse(localStorage.getItem(key) ?? 'null')]];
        } catch {
          return [];
        }
      });
  } catch {
    return [];
  }
}

async function forget(key: string): Promise<void> {
  try {
    localStorage.removeItem(key);
  } catch {
    // It was never written there.
  }
  await quietly(() => del(key));
}

/** A browser that keeps nothing still edits. */
async function quietly<Value>(work: () => Promise<Value>): Promise<Value | undefined> {
  try {
    return await work();
  } catch {
    return undefined;
  }
}
