import { useEffect, useRef } from 'react';

interface HeldKeys {
  /** Presses them all where the focus then is, in order, and holds no more. */
  readonly pressAgain: () => Promise<void>;
  readonly forget: () => void;
}

/** While `waiting`, keeps every key from the page; gives them to what has come once it is drawn and listens. */
export function useHeldKeys(waiting: boolean): void {
  const held = useRef<HeldKeys | null>(null);
  useEffect(() => {
    if (waiting) held.current = holdKeys();
    else {
      void held.current?.pressAgain();
      held.current = null;
    }
  }, [waiting]);
  useEffect(() => () => held.current?.forget(), []);
}

function holdKeys(): HeldKeys {
  const held: KeyboardEvent[] = [];
  const hold = (event: KeyboardEvent): void => {
    if (!event.isTrusted || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    held.push(event);
  };
  const forget = (): void => removeEventListener('keydown', hold, true);
  addEventListener('keydown', hold, true);
  return {
    forget,
    pressAgain: async () => {
      // Each in a task of its own, as a person presses them: a field takes one letter at a time.
      for (let event = held.shift(); event; event = held.shift()) {
        press(event);
        await new Promise((resolve) => setTimeout(resolve));
      }
      forget();
    },
  };
}

/** A key pressed by the page itself, with what a browser does of its own on a real one. */
function press({ key, code, shiftKey, altKey }: KeyboardEvent): void {
  const target = document.activeElement ?? document.body;
  const init = { key, code, shiftKey, altKey, bubbles: true, cancelable: true };
  const unhandled = target.dispatchEvent(new KeyboardEvent('keydown', init));
  target.dispatchEvent(new KeyboardEvent('keyup', init));
  if (!unhandled) return;
  if (target instanceof HTMLButtonElement && (key === 'Enter' || key === ' ')) target.click();
  if (key.length === 1 && target.matches('input, textarea')) document.execCommand('insertText', false, key);
}
