const TAB_KEY = 'calm-count-tab';

/**
 * The name of this tab, kept over a reload. While it lives the tab holds a lock of that name, so that the drafts of
 * other tabs are told from those that a closed or crashed tab left behind.
 */
async function claimTab(): Promise<string> {
  const before = sessionStorage.getItem(TAB_KEY);
  // A duplicated tab begins with a copy of the name of the one it came from, which still holds the lock.
  const name = before !== null && !(await isTabAlive(before)) ? before : crypto.randomUUID();
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

/** This tab's name, once it is claimed. */
export function thisTab(): Promise<string> {
  // A browser that allows neither storage nor locks still edits, under a name that nobody else knows.
  tab ??= claimTab().catch(() => crypto.randomUUID());
  return tab;
}

function lockOf(name: string): string {
  return `calm-count-tab/${name}`;
}

/** Whether a tab of that name is open somewhere. */
export async function isTabAlive(name: string): Promise<boolean> {
  if (typeof navigator === 'undefined') return false;
  const { held } = await navigator.locks.query();
  return (held ?? []).some((lock) => lock.name === lockOf(name));
}
