import { describe, expect, it } from 'vitest';
import { Random } from '@/core/units';
import { similarity, SimilarityTable } from './words';

function wordsOf(count: number, chance: Random): string[] {
  const letters = 'aeinorstlm';
  const word = (): string =>
    Array.from({ length: 2 + Math.floor(6 * chance.next()) }, () => letters[Math.floor(10 * chance.next())]).join('');
  return [...new Set(Array.from({ length: count }, word))];
}

describe('the table of likenesses', () => {
  it('gives each pair what the words have, whatever was asked before and whichever way', () => {
    const chance = new Random(3);
    const table = new SimilarityTable();
    const words = wordsOf(60, chance);
    const known: string[] = [];
    for (const word of words) {
      known.push(word);
      table.numberOf(word);
      for (let times = 0; times < 20; times++) {
        const a = known[Math.floor(known.length * chance.next())] ?? '';
        const b = known[Math.floor(known.length * chance.next())] ?? '';
        expect(table.of(table.numberOf(a), table.numberOf(b))).toBe(similarity(a, b));
      }
    }
  });

  it('gives the same where there are too many words to keep side by side', () => {
    const chance = new Random(4);
    const table = new SimilarityTable();
    const words = wordsOf(9_000, chance);
    for (const word of words) table.numberOf(word);
    for (const [at, word] of words.slice(0, 900).entries()) {
      const other = words[(at * 7 + 13) % words.length] ?? '';
      const asked = [table.of(at, table.numberOf(other)), table.of(at, table.numberOf(other))];
      expect(asked).toEqual([similarity(word, other), similarity(word, other)]);
    }
  });
});
