import { useHotkeys, type Options } from 'react-hotkeys-hook';

/** Whether a dialog lies over the page. */
function dialogOpen(): boolean {
  return document.querySelector('dialog[open]') !== null;
}

/** A key of a page: not bound where text is typed, nor behind a dialog. */
export function useKey(keys: string, does: (event: KeyboardEvent) => void, options: Options = {}): void {
  const { ignoreEventWhen, ...rest } = options;
  useHotkeys(keys, does, {
    preventDefault: true,
    ...rest,
    ignoreEventWhen: (event) => dialogOpen() || (ignoreEventWhen?.(event) ?? false),
  });
}
