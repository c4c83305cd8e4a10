import { del, entries, set } from 'idb-keyval';
import { readPlan, type ClassPlan } from '@/core/plan';

/** A plan not yet on the server, with the revision it builds on. */
export interface Draft {
  readonly baseRevision: number;
  readonly plan: ClassPlan;
}

const PREFIX = 'draft/';
const TAB_KEY = 'calm-count-tab';

/**
 * The name of this tab, kept over a reload. While it lives the tab holds a lock of that name, so that the drafts of
 * other tabs are told from those that a closed or crashed tab left behind.
 */
async function claimTab(): Promise<string> {
  const before = sessionStorage.getItem(TAB_KEY);
  const held = before !== null && (await isHeld(before));
  const name = before !== null && !held ? before : crypto.randomUUID();
  sessionStorage.setItem(TAB_KEY, name);
  await new Promise<void>((claimed) => {
    void navigator.locks.request(lockOf(name), () => {
      claimed();
      return new Promise(() => undefined);
    });
  });
  return name;
}

let tab: Promise<string> | null = null;

function thisTab(): Promise<string> {
  tab ??= claimTab();
  return tab;
}

function lockOf(name: string): string {
  return `calm-count-tab/${name}`;
}

async function isHeld(name: string): Promise<boolean> {
  const { held } = await navigator.locks.query();
  return (held ?? []).some((lock) => lock.name === lockOf(name));
}

/** Keeps what is typed in this tab until the server has it. */
export async function keepDraft(classId: string, draft: Draft): Promise<void> {
  await set(`${PREFIX}${classId}/${await thisTab()}`, draft);
}

export async function dropDraft(classId: string): Promise<void> {
  await del(`${PREFIX}${classId}/${await thisTab()}`);
}

/**
 * The draft to go on with: this tab's own, else one left by a tab that is gone (which is then this tab's). A draft
 * that can no longer be read is left where it is.
 */
export async function findDraft(classId: string): Promise<Draft | null> {
  const name = await thisTab();
  const own = `${PREFIX}${classId}/${name}`;
  const all = (await entries<string, Draft>()).filter(([key]) => String(key).startsWith(`${PREFIX}${classId}/`));
  all.sort(([a], [b]) => Number(b === own) - Number(a === own));
  for (const [key, draft] of all) {
    const owner = key.slice(`${PREFIX}${classId}/`.length);
    if (key !== own && (await isHeld(owner))) continue;
    const plan = readPlan(draft.plan);
    if (!plan.ok) continue;
    if (key !== own) {
      await set(own, draft);
      await del(key);
    }
    return { baseRevision: draft.baseRevision, plan: plan.value };
  }
  return null;
}
