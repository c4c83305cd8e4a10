import { useCallback, useEffect, useRef, useState } from 'react';
import type { LineKind, ReadScript } from '@/core/plain-script';
import { createScriptReader } from '@/workers/script-reader/client';

/** A reading that takes longer, in milliseconds, is told of. */
const TOLD_AFTER = 500;

export interface ScriptReading {
  /** The last one that was read; `null` before the first. */
  readonly read: ReadScript | null;
  readonly state: 'ready' | 'slow' | 'failed';
  /** The text as it is now, once it is read; `null` where that failed or a newer one came. */
  readonly newest: () => Promise<ReadScript | null>;
}

/** How a script is understood, read beside the page, so that one can write on meanwhile. */
export function useScriptRead(text: string, put: ReadonlyMap<number, LineKind>): ScriptReading {
  const [reader] = useState(createScriptReader);
  const [read, setRead] = useState<ReadScript | null>(null);
  const [state, setState] = useState<ScriptReading['state']>('ready');
  const asked = useRef<Promise<ReadScript | null>>(Promise.resolve(null));
  useEffect(() => reader.stop, [reader]);
  useEffect(() => {
    let current = true;
    const slow = setTimeout(() => setState('slow'), TOLD_AFTER);
    const reading = reader.read(text, put);
    asked.current = reading.catch(() => null);
    const settle = (found: ReadScript | null, as: ScriptReading['state']): void => {
      clearTimeout(slow);
      if (!current) return;
      setState(as);
      if (found) setRead(found);
    };
    reading.then(
      (found) => settle(found, 'ready'),
      () => settle(null, 'failed'),
    );
    return () => {
      current = false;
      clearTimeout(slow);
    };
  }, [reader, text, put]);
  const newest = useCallback(() => asked.current, []);
  return { read, state, newest };
}
