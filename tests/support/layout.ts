/* What is wrong with how a page is laid out, as its boxes tell: run in the page by `page.evaluate(layoutFaults)`. */

/** Faults of the page as it stands, each in words; at most forty. */
export function layoutFaults(): string[] {
  const faults: string[] = [];
  const LEAST_TARGET = 24;
  const width = document.documentElement.clientWidth;
  const height = document.documentElement.clientHeight;
  const nameOf = (element: Element): string => {
    const words = (element.getAttribute('aria-label') ?? element.textContent ?? '').replace(/\s+/g, ' ').trim();
    return `${element.tagName.toLowerCase()} “${words.slice(0, 40)}”`;
  };
  const over = document.querySelector('dialog[open]') ?? document.querySelector('[data-over]');
  const asked = (element: Element): boolean => over === null || over.contains(element);
  const hiddenFromEyes = (element: Element): boolean => {
    for (let at: Element | null = element; at; at = at.parentElement) {
      const style = getComputedStyle(at);
      if (style.display === 'none' || style.visibility === 'hidden' || style.opacity === '0') return true;
      // Words for screen readers alone, and what shows only once it has the focus.
      if (style.clipPath === 'inset(50%)' || at.classList.contains('sr-only')) return true;
      if (at.classList.contains('skip-link')) return true;
      if (at instanceof HTMLDetailsElement && !at.open && at !== element && !element.closest('summary')) return true;
    }
    return false;
  };
  interface Box {
    readonly left: number;
    readonly right: number;
    readonly top: number;
    readonly bottom: number;
  }
  const meet = (a: Box, b: Box): Box => ({
    left: Math.max(a.left, b.left),
    right: Math.min(a.right, b.right),
    top: Math.max(a.top, b.top),
    bottom: Math.min(a.bottom, b.bottom),
  });
  /** The part of the window in which an element shows: inside everything that clips it. */
  const windowOf = (element: Element, ownToo = false): Box => {
    let box: Box = { left: 0, right: width, top: 0, bottom: height };
    let fixed = false;
    for (let at: Element | null = element; at && at !== document.body; at = at.parentElement) {
      const style = getComputedStyle(at);
      if ((ownToo || at !== element) && !fixed && (style.overflowX !== 'visible' || style.overflowY !== 'visible')) {
        box = meet(box, at.getBoundingClientRect());
      }
      if (style.position === 'fixed' || at instanceof HTMLDialogElement) fixed = true;
    }
    return box;
  };
  const scrollsSideways = (element: Element): boolean => {
    for (let at = element.parentElement; at; at = at.parentElement) {
      const { overflowX } = getComputedStyle(at);
      if ((overflowX === 'auto' || overflowX === 'scroll') && at.scrollWidth > at.clientWidth + 1) return true;
    }
    return false;
  };

  if (document.documentElement.scrollWidth > width + 1) {
    faults.push(`the page scrolls sideways: ${document.documentElement.scrollWidth} of ${width}`);
  }

  interface Text {
    readonly element: Element;
    readonly words: string;
    readonly box: Box;
  }
  const texts: Text[] = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const element = node.parentElement;
    const words = node.textContent?.trim() ?? '';
    if (!element || words === '' || !asked(element)) continue;
    if (element.closest('svg, script, style, option, noscript, [aria-hidden="true"] video')) continue;
    if (hiddenFromEyes(element)) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    const seen = windowOf(element, true);
    // A font's own box is taller than its letters: set closely, two lines of one paragraph meet in nothing but air.
    const { fontSize, lineHeight } = getComputedStyle(element);
    const tall = Math.max(parseFloat(fontSize), parseFloat(lineHeight) || Infinity);
    for (const rect of range.getClientRects()) {
      const air = Math.max(0, (rect.height - tall) / 2);
      const letters = { left: rect.left, right: rect.right, top: rect.top + air, bottom: rect.bottom - air };
      const box = meet(letters, seen);
      if (box.right - box.left < 2 || box.bottom - box.top < rect.height * 0.6) continue;
      texts.push({ element, words, box });
      const cut = rect.right > seen.right + 2 || rect.left < seen.left - 2;
      const clipped = getComputedStyle(element).textOverflow === 'ellipsis' || element.closest('.truncate, [title]');
      if (cut && !clipped && !scrollsSideways(element)) faults.push(`cut: “${words.slice(0, 40)}”`);
    }
  }
  // Words squeezed into a column of letters.
  for (const element of new Set(texts.map((one) => one.element))) {
    const rect = element.getBoundingClientRect();
    const size = parseFloat(getComputedStyle(element).fontSize);
    const long = (element.textContent ?? '').trim().length > 12;
    if (long && rect.width < size * 3 && rect.height > size * 8) faults.push(`squeezed: ${nameOf(element)}`);
  }
  // What is cut with dots has to be had in full somewhere: as a title, or by opening what it names.
  for (const element of document.querySelectorAll('.truncate')) {
    if (!asked(element) || hiddenFromEyes(element) || element.scrollWidth <= element.clientWidth + 1) continue;
    if (!element.closest('[title], a, button, [aria-label]')) faults.push(`cut with dots: ${nameOf(element)}`);
  }
  // Two texts at one place.
  const sorted = [...texts].sort((a, b) => a.box.top - b.box.top);
  for (const [at, a] of sorted.entries()) {
    for (const b of sorted.slice(at + 1)) {
      if (b.box.top >= a.box.bottom - 3) break;
      if (a.element === b.element || a.element.contains(b.element) || b.element.contains(a.element)) continue;
      const both = meet(a.box, b.box);
      if (both.right - both.left < 3 || both.bottom - both.top < 5) continue;
      // One may lie under a heading or a bar that is meant to cover it: then the eye sees one alone.
      const x = (both.left + both.right) / 2;
      const y = (both.top + both.bottom) / 2;
      const top = document.elementsFromPoint(x, y);
      const order = [a, b].map((one) => top.findIndex((element) => element === one.element));
      if (order.some((one) => one < 0)) continue;
      const upper = top.slice(0, Math.max(...order));
      const opaque = upper.some((element) => {
        const { backgroundColor } = getComputedStyle(element);
        return (
          backgroundColor !== 'rgba(0, 0, 0, 0)' &&
          backgroundColor !== 'transparent' &&
          !element.contains(a.element) !== !element.contains(b.element)
        );
      });
      if (!opaque) faults.push(`overlap: “${a.words.slice(0, 30)}” and “${b.words.slice(0, 30)}”`);
    }
  }
  // Words, or another control, over a control that they are no part of; and a choice with no room for what is chosen.
  const controls = [...document.querySelectorAll<HTMLElement>('input:not([type=hidden]), select, textarea, button')]
    .filter((element) => asked(element) && !hiddenFromEyes(element))
    .map((element) => ({ element, box: meet(element.getBoundingClientRect(), windowOf(element)) }))
    .filter(({ box }) => box.right - box.left > 4 && box.bottom - box.top > 8);
  const isSeen = ({ element, box }: { readonly element: Element; readonly box: Box }, at: Box): boolean => {
    const both = meet(box, at);
    if (both.right - both.left < 4 || both.bottom - both.top < 6) return false;
    return document
      .elementsFromPoint((both.left + both.right) / 2, (both.top + both.bottom) / 2)
      .slice(0, 2)
      .some((top) => element.contains(top));
  };
  for (const [at, control] of controls.entries()) {
    const { element, box } = control;
    for (const text of texts)
      if (
        !element.contains(text.element) &&
        !text.element.contains(element) &&
        isSeen(control, text.box) &&
        isSeen(text, box)
      )
        faults.push(`over ${nameOf(element)}: “${text.words.slice(0, 30)}”`);
    for (const other of controls.slice(at + 1))
      if (
        !element.contains(other.element) &&
        !other.element.contains(element) &&
        isSeen(control, other.box) &&
        isSeen(other, box)
      )
        faults.push(`over each other: ${nameOf(element)} and ${nameOf(other.element)}`);
    if (element instanceof HTMLSelectElement && element.getBoundingClientRect().width < 48)
      faults.push(`no room: ${nameOf(element)} is ${Math.round(element.getBoundingClientRect().width)} wide`);
  }
  // Things to press.
  const pressable = 'a[href], button, input:not([type=hidden]), select, textarea, summary';
  for (const element of document.querySelectorAll<HTMLElement>(pressable)) {
    if (!asked(element) || hiddenFromEyes(element)) continue;
    const label = element instanceof HTMLInputElement ? element.closest('label') : null;
    const target = label ?? element;
    const rect = target.getBoundingClientRect();
    const seen = windowOf(target);
    const box = meet(rect, seen);
    if (rect.width === 0 || box.bottom - box.top < Math.min(8, rect.height)) continue;
    if ((rect.right > seen.right + 2 || rect.left < seen.left - 2) && !scrollsSideways(target)) {
      faults.push(`outside: ${nameOf(element)} ends at ${Math.round(rect.right)} of ${Math.round(seen.right)}`);
    }
    // A link in a running sentence is excepted (WCAG 2.2, 2.5.8).
    const inSentence = element.tagName === 'A' && getComputedStyle(element).display === 'inline';
    if (!inSentence && (rect.width < LEAST_TARGET - 0.5 || rect.height < LEAST_TARGET - 0.5)) {
      faults.push(`small: ${nameOf(element)} is ${Math.round(rect.width)} x ${Math.round(rect.height)}`);
    }
  }
  return [...new Set(faults)].slice(0, 40);
}
