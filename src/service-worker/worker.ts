import { clientsClaim } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { takenAs } from '@/core/units';
import { BUILT_FILES, isBuiltFile, isPrompter, PROMPTER_PAGES } from './kept';

/*
 * Keeps the prompter's page with the plan in it, and the files of the build that it needs, in the browser: a class can
 * be opened and performed with the server away. Nothing else goes through here.
 */

/** A page that takes longer is taken from what was kept. */
const WAIT_SECONDS = 4;
const DAY = 24 * 3600;

/** A server that answers only to say that it cannot is away. */
const noFaults = {
  fetchDidSucceed: ({ response }: { response: Response }): Promise<Response> =>
    response.status >= 500
      ? Promise.reject(new Error(`the server said ${response.status}`))
      : Promise.resolve(response),
};

registerRoute(
  ({ request, url }) => request.mode === 'navigate' && isPrompter(url),
  new NetworkFirst({
    cacheName: PROMPTER_PAGES,
    networkTimeoutSeconds: WAIT_SECONDS,
    plugins: [noFaults, new ExpirationPlugin({ maxEntries: 20, maxAgeSeconds: 30 * DAY })],
  }),
);
// Their names change with what is in them.
registerRoute(
  ({ url }) => isBuiltFile(url),
  new CacheFirst({
    cacheName: BUILT_FILES,
    plugins: [new ExpirationPlugin({ maxEntries: 200, maxAgeSeconds: 30 * DAY })],
  }),
);

// The scope of a service worker, which the page's types do not have.
void takenAs<{ skipWaiting: () => Promise<void> }>(globalThis).skipWaiting();
clientsClaim();
