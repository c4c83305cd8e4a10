import { vi } from 'vitest';

/** A browser's two stores, kept in memory; `idb` stands behind `idb-keyval` where a test mocks it with `idbKeyval`. */
export interface BrowserStore {
  readonly idb: Map<string, unknown>;
  readonly local: Map<string, string>;
  /** Tabs that hold their lock. */
  readonly alive: Set<string>;
}

export const store: BrowserStore = { idb: new Map(), local: new Map(), alive: new Set() };

/** What `idb-keyval` does, on the store above. */
export const idbKeyval = {
  get: (key: string) => Promise.resolve(store.idb.get(key)),
  set: (key: string, value: unknown) => Promise.resolve(void store.idb.set(key, structuredClone(value))),
  del: (key: string) => Promise.resolve(void store.idb.delete(key)),
  entries: () => Promise.resolve([...store.idb.entries()]),
};

/** An empty store, as a page finds it: `localStorage`, `sessionStorage` with this tab's name, and locks. */
export function freshBrowser(tab: string): void {
  for (const part of Object.values(store) as { clear: () => void }[]) part.clear();
  const local = new Proxy(
    {
      getItem: (key: string) => store.local.get(key) ?? null,
      setItem: (key: string, value: string) => void store.local.set(key, value),
      removeItem: (key: string) => void store.local.delete(key),
    },
    {
      // `Object.keys(localStorage)` lists what it holds.
      ownKeys: () => [...store.local.keys()],
      getOwnPropertyDescriptor: (target, key) =>
        store.local.has(String(key))
          ? { enumerable: true, configurable: true }
          : Reflect.getOwnPropertyDescriptor(target, key),
    },
  );
  vi.stubGlobal('localStorage', local);
  vi.stubGlobal('sessionStorage', { getItem: () => tab, setItem: () => undefined });
  vi.stubGlobal('navigator', {
    locks: {
      query: () => Promise.resolve({ held: [...store.alive].map((name) => ({ name: `calm-count-tab/${name}` })) }),
      request: (_: string, __: object, hold: () => Promise<unknown>) => hold(),
    },
  });
}
