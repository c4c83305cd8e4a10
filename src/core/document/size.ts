import type { Issue } from '@/core/units';

/** Deeper than any of our documents. */
const DEPTH = 24;

/**
 * One cheap pass over parsed JSON, before a schema sees it: more than `most` values, too deep, or text that neither files nor
 * the database can hold (NUL, halves of characters). It keeps a list of its own instead of calling itself, so that
 * depth costs nothing, and gives up at the first problem.
 */
export function tooBig(document: unknown, max: number): Issue | null {
  const waiting: unknown[] = [document];
  const depths: number[] = [0];
  let seen = 0;
  while (waiting.length > 0) {
    const value = waiting.pop();
    const at = depths.pop() ?? 0;
    if (typeof value === 'string' && !isClean(value)) return { code: 'bad-characters', at: '', facts: {} };
    if (typeof value !== 'object' || value === null) continue;
    if (at >= DEPTH) return { code: 'too-deep', at: '', facts: { max: DEPTH } };
    const inside: unknown[] = Array.isArray(value) ? value : Object.values(value);
    seen += inside.length;
    if (seen > max) return { code: 'too-many-values', at: '', facts: { max } };
    if (!Array.isArray(value) && !Object.keys(value).every(isClean)) {
      return { code: 'bad-characters', at: '', facts: {} };
    }
    for (const one of inside) {
      // Numbers, truths and nothing need no look of their own.
      if (typeof one !== 'object' && typeof one !== 'string') continue;
      waiting.push(one);
      depths.push(at + 1);
    }
  }
  return null;
}

/** Whether text has neither NUL nor half a character. */
function isClean(text: string): boolean {
  return !text.includes('\u0000') && !LONE_SURROGATE.test(text);
}

const LONE_SURROGATE = /[\uD800-\uDFFF]/u;
