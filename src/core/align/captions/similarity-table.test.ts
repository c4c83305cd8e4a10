import { describe, expect, it } from 'vitest';
import { Random } from '@/core/units';
import { similarity, SimilarityTable } from './words';

function wordsOf(count: number, chance: Random): string[] {
  const letters = 'aeinorstlm';
  const word = (): string =>
    Array.from({ length: 2 + Math.floor(6 * chance.next()) }, () => letters[Math.floor(10 * chance.next())]).join('');
  return [...new Set(Array.from({ length: count }, word))];
}

describe('how alike two words are', () => {
  it('is one less the edit distance over the longer length', () => {
    expect(similarity('breathe', 'breathe')).toBe(1);
    // Substituted, inserted, deleted (Levenshtein 1966, from memory: kitten and sitting are three apart).
    expect(similarity('kitten', 'sitting')).toBeCloseTo(1 - 3 / 7, 9);
    expect(similarity('heel', 'heels')).toBeCloseTo(1 - 1 / 5, 9);
    expect(similarity('knees', 'knee')).toBeCloseTo(1 - 1 / 5, 9);
    expect(similarity('palm', 'calm')).toBeCloseTo(1 - 1 / 4, 9);
    expect(similarity('abcd', 'dcba')).toBe(0);
  });

  it('is nothing where one is less than half the other, or leads the breath the other way', () => {
    expect(similarity('at', 'atten')).toBe(0);
    expect(similarity('at', 'atte')).toBeCloseTo(1 / 2, 9);
    expect(similarity('inhale', 'exhale')).toBe(0);
    expect(similarity('inhale', 'inhaling')).toBeGreaterThan(0);
    expect(similarity('', '')).toBe(1);
    expect(similarity('', 'a')).toBe(0);
  });
});

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
