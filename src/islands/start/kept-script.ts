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
  const text = stored(TEXT) ?? '';
  return { text, corrections: correctionsIn(stored(CORRECTIONS), text) };
}

/** `null` also in a browser that keeps nothing. */
function stored(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** None where they are of another text, or are not what this page writes. */
export function correctionsIn(written: string | null, text: string): Corrections {
  const read = parsed(written ?? 'null');
  if (typeof read !== 'object' || read === null || !('length' in read) || read.length !== text.length)
    return NO_CORRECTIONS;
  return { put: kindsIn('put' in read && read.put), right: kindsIn('right' in read && read.right) };
}

/** Lines by their numbers with a kind each; what is none is passed over. */
function kindsIn(listed: unknown): ReadonlyMap<number, LineKind> {
  const pairs = Array.isArray(listed) ? (listed as unknown[]) : [];
  return new Map(
    pairs.flatMap((one): [number, LineKind][] => {
      const [number, kind] = Array.isArray(one) ? (one as unknown[]) : [];
      const known = LINE_KINDS.find((each) => each === kind);
      return typeof number === 'number' && known ? [[number, known]] : [];
    }),
  );
}

/** `null` where it is no JSON. */
function parsed(written: string): unknown {
  try {
    return JSON.parse(written);
  } catch {
    return null;
  }
}
