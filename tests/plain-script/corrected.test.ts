import { describe, expect, it } from 'vitest';
import { readScript, type ReadLine } from '@/core/plain-script';
import { itemAt } from '@/core/units';
import { countingIds } from '../support/chance';
import { hands, isAsMeant } from '../support/hands';

/*
 * Guesses of the wrong kind, in classes of many hands: whether the right kind is one of the two that are offered, and
 * whether the line is then as meant, with its name and amounts. The only-read hands are summed with the others.
 */

const kindMeant = (kind: string): ReadLine['kind'] => (kind === 'still' ? 'movement' : (kind as ReadLine['kind']));

describe('guesses of the wrong kind', () => {
  const found = hands().flatMap(({ lines }) => {
    const text = lines.map((line) => line.text).join('\n');
    const { lines: read } = readScript(countingIds('w'), text);
    return lines.flatMap((line, at) => {
      const guess = itemAt(read, at);
      const meant = line.meanings.map(({ kind }) => kindMeant(kind));
      if (!guess.unsure || isAsMeant(line, guess) || meant.includes(guess.kind)) return [];
      const put = readScript(countingIds('w'), text, new Map([[at + 1, itemAt(meant, 0)]]));
      return [{ offered: meant.some((kind) => guess.others?.includes(kind)), right: isAsMeant(line, itemAt(put.lines, at)) }]; // prettier-ignore
    });
  });

  it('have the right kind one key away, nine of ten', () => {
    expect(found.length).toBeGreaterThan(40);
    expect(found.filter(({ offered }) => offered).length / found.length).toBeGreaterThanOrEqual(0.88);
  });

  it('are as meant with their name and amounts, once they are corrected, two of three', () => {
    expect(found.filter(({ right }) => right).length / found.length).toBeGreaterThanOrEqual(0.66);
  });
});
