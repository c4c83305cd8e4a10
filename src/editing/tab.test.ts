import { afterEach, beforeEach, expect, it, vi } from 'vitest';

/** A browser's locks: each name held by one page at a time, and asked for until a signal. */
function locks() {
  const held = new Map<string, Promise<unknown>>();
  const take = (name: string, work: () => Promise<unknown>): Promise<unknown> => {
    held.set(name, work());
    return held.get(name) ?? Promise.resolve();
  };
  const request = (name: string, { signal }: { signal?: AbortSignal }, work: () => Promise<unknown>) => {
    const before = held.get(name);
    if (!before) return take(name, work);
    return new Promise((done, failed) => {
      signal?.addEventListener('abort', () => failed(new DOMException('late', 'TimeoutError')));
      void before.then(() => !signal?.aborted && done(take(name, work)));
    });
  };
  return { request, query: () => Promise.resolve({ held: [...held.keys()].map((name) => ({ name })) }), held };
}

const kept = new Map<string, string>();
let browser = locks();

/** A page as it is opened: it knows nothing of the one before but what the tab keeps. */
async function opened(): Promise<string> {
  vi.resetModules();
  return (await import('./tab')).thisTab();
}

beforeEach(() => {
  kept.clear();
  browser = locks();
  vi.stubGlobal('sessionStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  });
  vi.stubGlobal('navigator', { locks: browser });
});
afterEach(() => vi.unstubAllGlobals());

it('a tab keeps its name over a page that lets go of it late', async () => {
  const first = await opened();
  let letGo: (() => void) | undefined;
  browser.held.set(`calm-count-tab/${first}`, new Promise<void>((done) => (letGo = done)));
  const next = opened();
  setTimeout(() => letGo?.(), 150);
  expect(await next).toBe(first);
});

it('a tab that is a copy of another has a name of its own', async () => {
  const first = await opened();
  const copy = await opened();
  expect(copy).not.toBe(first);
  expect(kept.get('calm-count-tab')).toBe(copy);
});
