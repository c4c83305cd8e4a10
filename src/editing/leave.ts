/** A page is not held back longer than this; what is unsaved then is kept as a draft. */
const HOLD_BACK_MILLISECONDS = 2_000;

/**
 * A link to another page of ours waits until what was just typed is saved, so that the next page shows it. Gives back
 * how to stop that.
 */
export function saveBeforeLinks(isSettled: () => boolean, flush: () => Promise<unknown>): () => void {
  if (typeof document === 'undefined') return () => undefined;
  const click = (event: MouseEvent): void => {
    if (event.defaultPrevented || isSettled()) return;
    const href = ordinaryLink(event);
    if (href === null) return;
    event.preventDefault();
    const late = new Promise((done) => setTimeout(done, HOLD_BACK_MILLISECONDS));
    void Promise.race([flush(), late]).finally(() => location.assign(href));
  };
  document.addEventListener('click', click);
  return () => document.removeEventListener('click', click);
}

/** Where a plain click on a link of ours leads away from this page; `null` for any other click. */
function ordinaryLink(event: MouseEvent): string | null {
  const { button, metaKey, ctrlKey, shiftKey, altKey, target } = event;
  if (button !== 0 || metaKey || ctrlKey || shiftKey || altKey || !(target instanceof Element)) return null;
  const link = target.closest('a');
  if (!link || link.href === '' || link.hasAttribute('download') || !['', '_self'].includes(link.target)) return null;
  const { origin, pathname } = new URL(link.href);
  return origin === location.origin && pathname !== location.pathname ? link.href : null;
}

/** Tells when the page is hidden or left, and when the network is back; nothing where there is no page. */
export function watchPage(told: { readonly onLeave: () => void; readonly onOnline: () => void }): () => void {
  if (typeof document === 'undefined') return () => undefined;
  const hidden = (): void => {
    if (document.visibilityState === 'hidden') told.onLeave();
  };
  addEventListener('online', told.onOnline);
  addEventListener('pagehide', told.onLeave);
  document.addEventListener('visibilitychange', hidden);
  return () => {
    removeEventListener('online', told.onOnline);
    removeEventListener('pagehide', told.onLeave);
    document.removeEventListener('visibilitychange', hidden);
  };
}
