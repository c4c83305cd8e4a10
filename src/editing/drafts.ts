import { del, entries, get, set } from 'idb-keyval';
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
  async find(read: (raw: unknown) => Doc | null): Promise<Draft<Doc> | null> {
    const own = await this.#claim();
    for (const { tab, draft } of await draftsOf(this.#key, own)) {
      const document = read(draft.document);
      if (document === null) continue;
      const found = { ...draft, document };
      this.#last = Math.max(this.#last, draft.at);
      if (tab !== own) {
        this.keep(found);
        await forget(keyOf(this.#key, tab));
        await forgetOlderForm(this.#key, tab);
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
    const drop = async (): Promise<void> => {
      await forget(keyOf({ kind, id }, first.tab));
      await forgetOlderForm({ kind, id }, first.tab);
    };
    const key = keyOf({ kind, id }, first.tab);
    const keep = (draft: Draft): void => {
      writeAhead(key, draft, true);
      void quietly(() => set(key, draft));
    };
    found.push({ id, draft: first.draft, keep, drop });
  }
  return found;
}

interface Found {
  readonly key: Key;
  readonly tab: string;
  readonly draft: Draft;
}

/** The drafts of a document that no other open tab writes: this tab's own first, the newest of the others next. */
async function draftsOf({ kind, id }: Key, own: string): Promise<{ readonly tab: string; readonly draft: Draft }[]> {
  const left: Found[] = [];
  for (const one of await allDrafts()) {
    if (one.key.kind !== kind || one.key.id !== id) continue;
    if (one.tab === own || !(await isTabAlive(one.tab))) left.push(one);
  }
  return left.sort((a, b) => Number(b.tab === own) - Number(a.tab === own) || b.draft.at - a.draft.at);
}

/** All drafts of this browser, of the two that may be kept of each the newer one. */
async function allDrafts(): Promise<Found[]> {
  const newest = new Map<string, Found>();
  const kept = (await quietly(() => entries<string, Draft>())) ?? [];
  for (const [name, draft] of [...kept, ...writtenAhead()]) {
    const found = foundUnder(String(name), draft);
    if (!found) continue;
    const at = keyOf(found.key, found.tab);
    if (found.draft.at >= (newest.get(at)?.draft.at ?? -1)) newest.set(at, found);
  }
  return [...newest.values()];
}

function foundUnder(name: string, raw: unknown): Found | null {
  const [prefix, first, second, third] = name.split('/');
  if (prefix !== PREFIX || typeof raw !== 'object' || raw === null) return null;
  if (third !== undefined) return { key: { kind: first as DraftKind, id: second }, tab: third, draft: raw as Draft };
  // Drafts of classes from before other documents had some: `draft/<class>/<tab>`, with the plan by its name.
  const older = raw as { readonly baseRevision: number; readonly plan?: unknown };
  if (second === undefined || older.plan === undefined) return null;
  const draft = { baseRevision: older.baseRevision, unanswered: [], document: older.plan, at: 0 };
  return { key: { kind: 'class', id: first }, tab: second, draft };
}

async function forgetOlderForm({ kind, id }: Key, tab: string): Promise<void> {
  if (kind === 'class') await quietly(() => del(`${PREFIX}/${id}/${tab}`));
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

/** Drafts of movements were once kept without a tab; such a one is taken over and moved. */
export async function takeOlderMovementDraft(id: string): Promise<Draft | null> {
  const key = `movement draft ${id}`;
  const older = await quietly(() => get<{ readonly baseRevision: number; readonly movement: unknown }>(key));
  if (!older) return null;
  await quietly(() => del(key));
  return { baseRevision: older.baseRevision, unanswered: [], document: older.movement, at: 0 };
}

/** A browser that keeps nothing still edits. */
async function quietly<Value>(work: () => Promise<Value>): Promise<Value | undefined> {
  try {
    return await work();
  } catch {
    return undefined;
  }
}
