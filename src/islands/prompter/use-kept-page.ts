import { useEffect } from 'react';
import { BUILT_FILES, isBuiltFile, PROMPTER_PAGES } from '@/service-worker/kept';

/**
 * Keeps this page and what it needs in the browser, so that it opens with the server away. The service worker does it
 * from the next visit on; what came before it was there is kept here.
 */
export function useKeptPage(): void {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return;
    // A browser that allows none, or has no room, opens the page from the server alone.
    void keepPage().catch(() => undefined);
  }, []);
}

async function keepPage(): Promise<void> {
  await navigator.serviceWorker.register('/prompter-worker.js');
  await navigator.serviceWorker.ready;
  const files = performance
    .getEntriesByType('resource')
    .map(({ name }) => new URL(name))
    .filter(isBuiltFile)
    .map(({ href }) => href);
  const [pages, built] = await Promise.all([caches.open(PROMPTER_PAGES), caches.open(BUILT_FILES)]);
  await pages.add(location.pathname);
  const missing = await Promise.all(files.map(async (file) => ((await built.match(file)) ? null : file)));
  await built.addAll(missing.filter((file) => file !== null));
}
