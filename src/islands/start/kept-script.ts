import { LINE_KINDS, type LineKind } from '@/core/plain-script';
import { NO_CORRECTIONS, type Corrections } from './corrections';

/** What was pasted last, and what was corrected in it, stays in this browser, so that a reload loses nothing. */
export interface KeptScript {
  readonly text: string;
  readonly corrections: Corrections;
}

/** The text alone; what was corrected stands beside it, with the text's length to know it again by. */
const TEXT = 'calm-count pasted script';
const CORRECTIONS = 'calm-count pasted script, corrections';

export function keep({ text, corrections: { put, right } }: KeptScript): void {
  try {
    localStorage.setItem(TEXT, text);
    localStorage.setItem(CORRECTIONS, JSON.stringify({ length: text.length, put: [...put], right: [...right] }));
  } catch {
    // A browser that keeps nothing still reads scripts.
  }
}

export function kept(): KeptScript {
  try {
    const text = localStorage.getItem(TEXT) ?? '';
    return { text, corrections: correctionsIn(localStorage.getItem(CORRECTIONS), text) };
  } catch {
    return { text: '', corrections: NO_CORRECTIONS };
  }
}

/** None where they are of another text, or are not what this page writes. */
function correctionsIn(stored: string | null, text: string): Corrections {
  const read: unknown = JSON.parse(stored ?? 'null');
  if (typeof read !== 'object' || read === null || !('length' in read) || read.length !== text.length)
    return NO_CORRECTIONS;
  const put = 'put' in read && Array.isArray(read.put) ? (read.put as unknown[]) : [];
  const right = 'right' in read && Array.isArray(read.right) ? (read.right as unknown[]) : [];
  return {
    put: new Map(
      put.flatMap((one): [number, LineKind][] => {
        const [number, kind] = Array.isArray(one) ? (one as unknown[]) : [];
        const known = LINE_KINDS.find((each) => each === kind);
        return typeof number === 'number' && known ? [[number, known]] : [];
      }),
    ),
    right: new Set(right.filter((number) => typeof number === 'number')),
  };
}
