import { GROUPS } from './groups';
import { stemOf, type Word } from './words';

/** One place of a pattern: the stems and the exact words that may stand there. */
interface Slot {
  readonly stems: ReadonlySet<string>;
  readonly exact: ReadonlySet<string>;
  readonly optional: boolean;
  /** Words that may lie between the last slot and this one, at most. */
  readonly gap: number;
  /** Has to be the first word of its clause. */
  readonly first: boolean;
  /** May lie in another clause of the same sentence than the slot before. */
  readonly farther: boolean;
}

export interface Pattern {
  readonly slots: readonly Slot[];
  /** Written with a `!` before it: where it is found, what overlaps it of the same meaning is not meant. */
  readonly cancels: boolean;
}

/**
 * A pattern over the words of one clause. Places are parted by spaces; `a|b` are choices, known by their stems; `=a`
 * is that very word; `@name` a group of `groups.ts`; `^` before a place asks for the first word of a clause; `?` after
 * it that it may be left out; a `!` before the whole makes it an exception; `..3` lets up to three other words lie between two places, `~3` also across commas.
 */
export function pattern(written: string): Pattern {
  const cancels = written.startsWith('!');
  const slots: Slot[] = [];
  let [gap, farther] = [0, false];
  for (const part of (cancels ? written.slice(1) : written).split(' ')) {
    const between = /^(\.\.|~)(\d+)$/.exec(part);
    if (between) {
      gap = Number(between[2]);
      farther = between[1] === '~';
      continue;
    }
    const first = part.startsWith('^');
    const optional = part.endsWith('?');
    const words = choices(part.slice(first ? 1 : 0, optional ? -1 : undefined));
    const exact = new Set(words.filter((one) => one.startsWith('=')).map((one) => one.slice(1)));
    const stems = new Set(words.filter((one) => !one.startsWith('=')).map(stemOf));
    slots.push({ stems, exact, optional, gap, first, farther });
    [gap, farther] = [0, false];
  }
  return { slots, cancels };
}

function choices(part: string): string[] {
  return part.split('|').flatMap((one) => {
    if (!one.startsWith('@')) return [one];
    const group = GROUPS[one.slice(1)];
    if (!group) throw new Error(`no group ${one}`);
    return choices(group.trim().split(/\s+/).join('|'));
  });
}

/** Where a pattern ends that begins at a word, `null` where it does not: the index after its last word. */
export function matchAt(slots: readonly Slot[], words: readonly Word[], at: number, slot = 0): number | null {
  const wanted = slots[slot];
  if (!wanted) return at;
  const before = words[at - 1];
  for (let skip = 0; skip <= wanted.gap; skip++) {
    const word = words[at + skip];
    if (!word) break;
    if (slot > 0 && before && !isNear(before, word, wanted)) break;
    if (!fits(wanted, word, words[at + skip - 1])) continue;
    const end = matchAt(slots, words, at + skip + 1, slot + 1);
    if (end !== null) return end;
  }
  return wanted.optional ? matchAt(slots, words, at, slot + 1) : null;
}

function isNear(before: Word, word: Word, { farther }: Slot): boolean {
  return farther ? word.sentence === before.sentence : word.clause === before.clause;
}

function fits({ stems, exact, first }: Slot, word: Word, before: Word | undefined): boolean {
  if (first && before?.clause === word.clause) return false;
  return stems.has(word.stem) || exact.has(word.plain);
}
