import type { Locator } from '@playwright/test';

/**
 * Waits until a place of the page shows a text, be it only for a moment: it is looked for in the page, at each frame. From
 * outside a busy machine looks once in a second or two, and a clock that runs has gone on by then.
 * @throws Error where it is not seen within 40 s.
 */
export async function showsOnce(place: Locator, wanted: RegExp): Promise<void> {
  const element = await place.elementHandle();
  await place
    .page()
    .waitForFunction(
      ([at, text]) => text.test((at?.textContent ?? '').replace(/\s+/g, ' ').trim()),
      [element, wanted] as const,
      { polling: 'raf', timeout: 40_000 },
    );
}
