/** What the service worker keeps, and in which cache; the page that is opened first fills them itself. */
export const PROMPTER_PAGES = 'prompter-pages';
export const BUILT_FILES = 'built-files';

export function isPrompter({ pathname }: URL): boolean {
  return /^\/classes\/[0-9a-f-]{36}\/perform$/.test(pathname);
}

export function isBuiltFile({ origin, pathname }: URL): boolean {
  return origin === location.origin && pathname.startsWith('/_astro/');
}
