import { useSyncExternalStore } from 'react';

/** How much room a page has: a phone (or a page at twice its size), a tablet held upright, a desk. */
export type Viewport = 'phone' | 'tablet' | 'desk';

/** Widths from which a page is laid out for a tablet and for a desk, in pixels; as Tailwind's `md` and `xl`. */
const TABLET_FROM = '(min-width: 48rem)';
const DESK_FROM = '(min-width: 80rem)';

function now(): Viewport {
  if (!matchMedia(TABLET_FROM).matches) return 'phone';
  return matchMedia(DESK_FROM).matches ? 'desk' : 'tablet';
}

function subscribe(listener: () => void): () => void {
  const lists = [matchMedia(TABLET_FROM), matchMedia(DESK_FROM)];
  for (const list of lists) list.addEventListener('change', listener);
  return () => {
    for (const list of lists) list.removeEventListener('change', listener);
  };
}

export function useViewport(): Viewport {
  return useSyncExternalStore(subscribe, now);
}
