const TAB_KEY = 'calm-count-tab';

/** The page before this one in its tab may still hold its lock for a moment; a tab that this one is a copy of holds on. */
const LETS_GO_WITHIN_MILLISECONDS = 1_000;

/**
 * The name of this tab, kept over a reload. While it lives the tab holds a lock of that name, so that the drafts of
 * other tabs are told from those that a closed or crashed tab left behind.
 */
async function claimTab(): Promise<string> {
  const before = sessionStorage.getItem(TAB_KEY);
  if (before !== null && (await hold(before, AbortSignal.timeout(LETS_GO_WITHIN_MILLISECONDS)))) return before;
  const name = crypto.randomUUID();
  sessionStorage.setItem(TAB_KEY, name);
  await hold(name);
  return name;
}

/** Takes the lock of a name for as long as this page lives; `false` where it is another's until the signal. */
function hold(name: string, signal?: AbortSignal): Promise<boolean> {
  return new Promise((claimed) => {
    const held = (): Promise<never> => {
      claimed(true);
      return new Promise(() => undefined);
    };
    navigator.locks.request(lockOf(name), signal ? { signal } : {}, held).catch(() => claimed(false));
  });
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
