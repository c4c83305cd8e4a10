import type { LineKind, ReadLine } from '@/core/plain-script';

/** What a person says of the lines of a script, by their numbers from 1. */
export interface Corrections {
  /** What a line is, where it was read as something else. */
  readonly put: ReadonlyMap<number, LineKind>;
  /** What a guess was when somebody said that it is right: read as something else, it is a guess again. */
  readonly right: ReadonlyMap<number, LineKind>;
}

export const NO_CORRECTIONS: Corrections = { put: new Map(), right: new Map() };

/** With lines that are `kind`. */
export function putLines({ put, right }: Corrections, numbers: readonly number[], kind: LineKind): Corrections {
  return { put: new Map([...put, ...numbers.map((number) => [number, kind] as const)]), right };
}

/** With a guess that is right as it is. */
export function confirmLine(
  { put, right }: Corrections,
  { number, kind }: Pick<ReadLine, 'number' | 'kind'>,
): Corrections {
  return { put, right: new Map([...right, [number, kind]]) };
}

/**
 * The same corrections after the text was edited: those of lines above and below the edit stay with their lines. What
 * was corrected in the one line that is edited stays too; that a guess was right is asked anew.
 */
export function carried(corrections: Corrections, before: string, after: string): Corrections {
  if (corrections.put.size + corrections.right.size === 0) return corrections;
  const [old, edited] = [before.split('\n'), after.split('\n')];
  const most = Math.min(old.length, edited.length);
  let above = 0;
  while (above < most && old[above] === edited[above]) above++;
  let below = 0;
  while (below < most - above && old.at(-1 - below) === edited.at(-1 - below)) below++;
  const [changed, nowChanged] = [old.length - above - below, edited.length - above - below];
  const moved = (number: number, isKept: boolean): number[] => {
    if (number <= above) return [number];
    if (number > old.length - below) return [number + edited.length - old.length];
    return isKept && changed === 1 && nowChanged === 1 ? [number] : [];
  };
  const movedOf = (said: ReadonlyMap<number, LineKind>, isKept: boolean): ReadonlyMap<number, LineKind> =>
    new Map([...said].flatMap(([number, kind]) => moved(number, isKept).map((one) => [one, kind] as const)));
  return { put: movedOf(corrections.put, true), right: movedOf(corrections.right, false) };
}

/** Whether a line is a guess that nobody has looked at yet. */
export function isOpen({ number, kind, unsure }: ReadLine, { put, right }: Corrections): boolean {
  return unsure && !put.has(number) && right.get(number) !== kind;
}

/** The next guess behind a line, or the first of all where there is none; `null` where none is left. */
export function nextOpen(lines: readonly ReadLine[], corrections: Corrections, after: number): number | null {
  const open = lines.filter((line) => isOpen(line, corrections) && line.number !== after);
  return (open.find(({ number }) => number > after) ?? open[0])?.number ?? null;
}

/** Other guesses that look like a line: of its kind, with its mark, its end, and about as many words. */
export function alike(lines: readonly ReadLine[], corrections: Corrections, line: ReadLine): readonly number[] {
  const looks = looksOf(line);
  return lines
    .filter((one) => one.number !== line.number && isOpen(one, corrections) && looksOf(one) === looks)
    .map(({ number }) => number);
}

/** Of few words, of a clause, of a sentence. */
const WORDS = [3, 8] as const;

function looksOf({ kind, text, counts, others = [] }: ReadLine): string {
  const words = text.trim().split(/\s+/).length;
  const mark = /^\s*(?:(\d+)[.):]|([-*•–]))\s/.exec(text);
  return [
    kind,
    others.join(' '),
    mark ? (mark[1] ? 'number' : 'bullet') : '',
    /[.!?:…"”)]$/.exec(text.trim())?.[0] ?? '',
    WORDS.filter((most) => words > most).length,
    /^\P{L}*\p{Lu}/u.test(text) ? 'capital' : '',
    /\d/.test(text) ? 'figure' : '',
    Object.keys(counts).sort().join(' '),
  ].join('|');
}
