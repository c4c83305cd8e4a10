import { useEffect } from 'react';

/** Looked at once after a press, and again when what is calculated later is drawn; in milliseconds. */
const LOOKS = [0, 150, 500];

/**
 * Where the element that had the focus is taken away (a finding that was fixed, a step removed), the focus goes to what
 * it stood in, not back to the start of the page. Used once a page, by its head.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    let last: Element | null = null;
    let homes: readonly HTMLElement[] = [];
    const note = (event: FocusEvent): void => {
      if (!(event.target instanceof Element) || event.target.closest('dialog')) return;
      last = event.target;
      homes = ancestors(last);
    };
    const look = (): void => {
      for (const wait of LOOKS) setTimeout(lookNow, wait);
    };
    const lookNow = (): void => {
      const nowhere = document.activeElement === null || document.activeElement === document.body;
      if (!nowhere || last === null || last.isConnected || document.querySelector('dialog[open]')) return;
      const home = homes.find((one) => one.isConnected) ?? document.getElementById('main');
      home?.focus({ preventScroll: true });
    };
    document.addEventListener('focusin', note);
    document.addEventListener('keyup', look);
    document.addEventListener('click', look);
    return () => {
      document.removeEventListener('focusin', note);
      document.removeEventListener('keyup', look);
      document.removeEventListener('click', look);
    };
  }, []);
}

/** What an element stands in and can itself be given the focus, the nearest first. */
function ancestors(element: Element): HTMLElement[] {
  const found: HTMLElement[] = [];
  for (let at = element.parentElement; at; at = at.parentElement) if (at.hasAttribute('tabindex')) found.push(at);
  return found;
}
