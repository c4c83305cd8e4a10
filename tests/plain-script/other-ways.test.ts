import { describe, expect, it } from 'vitest';
import { readScript, type ReadLine } from '@/core/plain-script';
import { itemAt } from '@/core/units';
import { countingIds } from '../support/chance';
import { hands, isAsMeant, type Hand, type HandLine } from '../support/hands';
import { ADDED, OTHER_WAYS } from '../support/other-ways';

/*
 * What a script means stays as it is when it is set, typed or pasted in another way: of the lines that are understood as
 * written, so many are understood then as well. The hands are those that rules were made on or known for.
 */

const KNOWN = hands().filter(({ half }) => half === 'tuned' || half === 'known');

function read(lines: readonly HandLine[]): readonly ReadLine[] {
  return readScript(countingIds('o'), lines.map(({ text }) => text).join('\n')).lines;
}

const asWritten = new Map(
  KNOWN.map((hand): [Hand, readonly boolean[]] => {
    const found = read(hand.lines);
    return [hand, hand.lines.map((line, at) => isAsMeant(line, itemAt(found, at)))];
  }),
);

/** Of the lines understood as written, the share understood in another way; and of those lost the share that is marked. */
function kept(change: (lines: readonly HandLine[]) => readonly HandLine[]): { share: number; unmarked: number } {
  let [all, same, unmarked] = [0, 0, 0];
  for (const hand of KNOWN) {
    const changed = change(hand.lines);
    if (changed.length === hand.lines.length && changed.every(({ text }, at) => text === itemAt(hand.lines, at).text)) continue; // prettier-ignore
    const found = read(changed);
    const of = changed.map((line, at) => ({ line, found: itemAt(found, at) })).filter(({ line }) => line.meanings.length > 0); // prettier-ignore
    of.forEach(({ line, found: one }, at) => {
      const untouched = changed.length === hand.lines.length && line.text === itemAt(hand.lines, at).text;
      if (!asWritten.get(hand)?.[at] || untouched) return;
      all++;
      if (isAsMeant(line, one)) same++;
      else if (!one.unsure) unmarked++;
    });
  }
  return { share: same / all, unmarked: unmarked / all };
}

describe('a script in another way', () => {
  /** Where fewer are kept: headings in small letters are hard to tell, and "&" stands within names. */
  const LESS: Readonly<Record<string, number>> = { 'in small letters': 0.97, 'with & for and': 0.95 };
  it.each(Object.entries(OTHER_WAYS))('%s means the same', (way, change) => {
    const { share, unmarked } = kept(change);
    expect(share).toBeGreaterThanOrEqual(LESS[way] ?? 0.98);
    expect(unmarked).toBeLessThan(0.02);
  });
});

describe('a step with something added', () => {
  const PLAIN = /^[\p{L} ,x\d×-]+$/u;
  const AT_MOST = 60;
  const APART = 4;
  /** A remark is told from the name where it stands by itself behind all amounts; beside another it is marked. */
  const LESS: Readonly<Record<string, number>> = {
    'as usual': 0.95,
    'how it is done': 0.95,
    'where the eyes are': 0.94,
    'that it is new': 0.9,
    'a page': 0.9,
    'a clip': 0.9,
    'a remark behind an arrow': 0.92,
    'a remark behind strokes': 0.91,
    'a remark behind NB': 0.92,
    'a remark behind a dash': 0.91,
    'a remark behind a semicolon': 0.93,
  };

  /** Whether a line that is understood is a movement with its amount, and nothing else. */
  function isPlain(hand: Hand, { text, meanings }: HandLine, at: number): boolean {
    const [meant] = meanings;
    const amount = meant !== undefined && (meant.rounds !== null || meant.seconds !== null);
    const plain = PLAIN.test(text) && text.length <= AT_MOST && !/^\s*(?:- |[A-H]?\d|then\b)/.test(text);
    return asWritten.get(hand)?.[at] === true && meant?.kind === 'movement' && meant.name !== null && meant.name !== '' && amount && plain; // prettier-ignore
  }

  it.each(Object.entries(ADDED))('%s stays the step', (what, add) => {
    let [all, same, unmarked] = [0, 0, 0];
    for (const hand of KNOWN) {
      const plain = hand.lines.map((line, at) => isPlain(hand, line, at));
      // Those that are changed in one reading have lines between them that are not.
      for (let first = 0; first < APART; first++) {
        const isChanged = (at: number): boolean => at % APART === first && plain[at] === true;
        if (!hand.lines.some((_, at) => isChanged(at))) continue;
        const changed = hand.lines.map((line, at) => (isChanged(at) ? { ...line, text: add(line.text) } : line));
        const found = read(changed);
        changed.forEach((line, at) => {
          if (!isChanged(at)) return;
          all++;
          if (isAsMeant(line, itemAt(found, at))) same++;
          else if (!itemAt(found, at).unsure) unmarked++;
        });
      }
    }
    expect(all).toBeGreaterThan(200);
    expect(same / all).toBeGreaterThanOrEqual(LESS[what] ?? 0.97);
    expect(unmarked / all).toBeLessThan(0.03);
  });
});
