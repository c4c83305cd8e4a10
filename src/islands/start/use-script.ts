import { useEffect, useState } from 'react';
import type { LineKind, ReadLine, ReadScript } from '@/core/plain-script';
import { alike, carried, confirmLine, nextOpen, putLines, type Corrections } from './corrections';
import { keep, kept, type KeptScript } from './kept-script';
import { useScriptRead } from './use-script-read';

/** Lines that look like the one that was corrected last, and what that one is. */
export interface Alike {
  readonly of: number;
  readonly numbers: readonly number[];
  readonly kind: LineKind;
}

export interface Script {
  readonly text: string;
  readonly corrections: Corrections;
  /** `null` before the first reading, and where the text could not be read. */
  readonly read: ReadScript | null;
  readonly state: 'ready' | 'slow' | 'failed';
  readonly newest: () => Promise<ReadScript | null>;
  /** The guess that is looked at; another object each time it is asked for. */
  readonly looked: { readonly number: number } | null;
  readonly alike: Alike | null;
  readonly write: (text: string) => void;
  readonly put: (line: ReadLine, kind: LineKind) => void;
  readonly putAlike: () => void;
  readonly confirm: (line: ReadLine) => void;
  /** Goes to the next guess behind a line. */
  readonly lookOn: (after: number) => void;
  /** Breaks long lines into their sentences; `null` where no line is long. */
  readonly breakUp: (() => Promise<void>) | null;
  /** Takes that back; `null` where it was not done, or the text was changed since. */
  readonly undoBreakUp: (() => void) | null;
}

/** A pasted script with what was corrected in it; `onDone` once no guess is left to look at. */
export function useScript(onDone: () => void): Script {
  const [{ text, corrections }, setScript] = useState(kept);
  const [looked, setLooked] = useState<Script['looked']>(null);
  const [like, setLike] = useState<Alike | null>(null);
  const [whole, setWhole] = useState<KeptScript | null>(null);
  const { read: last, state, newest } = useScriptRead(text, corrections.put);
  useEffect(() => keep({ text, corrections }), [text, corrections]);
  // What was read before tells nothing of a text that could not be.
  const read = state === 'failed' ? null : last;
  const lines = read?.lines ?? [];
  const goOn = (after: number, corrected: Corrections): void => {
    const number = nextOpen(lines, corrected, after);
    setLooked(number === null ? null : { number });
    if (number === null) onDone();
  };
  const begin = (script: KeptScript, before: KeptScript | null): void => {
    setScript(script);
    setWhole(before);
    setLooked(null);
    setLike(null);
  };
  const breakUp = async (): Promise<void> => {
    const apart = (await newest())?.sentencesApart;
    if (apart) begin({ text: apart, corrections: carried(corrections, text, apart) }, { text, corrections });
  };
  const correct = (corrected: Corrections, after: number, alikeNow: Alike | null): void => {
    setScript({ text, corrections: corrected });
    setLike(alikeNow);
    goOn(after, corrected);
  };
  return {
    text,
    corrections,
    read,
    state,
    newest,
    looked,
    alike: like,
    write: (next) => begin({ text: next, corrections: carried(corrections, text, next) }, null),
    put: (line, kind) => {
      const corrected = putLines(corrections, [line.number], kind);
      const numbers = line.unsure ? alike(lines, corrected, line) : [];
      correct(corrected, line.number, numbers.length > 0 ? { of: line.number, numbers, kind } : null);
    },
    putAlike: () => {
      if (like) correct(putLines(corrections, like.numbers, like.kind), like.of, null);
    },
    confirm: (line) => correct(confirmLine(corrections, line), line.number, null),
    lookOn: (after) => goOn(after, corrections),
    breakUp: read?.sentencesApart ? breakUp : null,
    undoBreakUp: whole ? () => begin(whole, null) : null,
  };
}
