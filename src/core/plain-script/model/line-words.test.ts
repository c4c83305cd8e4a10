import { describe, expect, it } from 'vitest';
import { LIMITS } from '@/core/plan';
import { cut, name, wordsFor } from './line-words';
import { reading } from './reading';

describe('the words of a line that a person says what it is', () => {
  it('are those that were found, where it was read so', () => {
    expect(wordsFor('talk', '- Hello there', reading('talk', 'Hello'))).toBe('Hello');
    expect(wordsFor('talk', '- Hello there', reading('talk', ''))).toBe('Hello there');
  });

  it('are the line without its bullet, number, mark or heading else', () => {
    const found = reading('movement', 'Swings', { rounds: 3 });
    for (const line of [
      '## Swings x3',
      '> Swings x3',
      '12. Swings x3',
      '3) Swings x3',
      '• Swings x3',
      '  * Swings x3 ',
    ])
      expect(wordsFor('talk', line, found)).toBe('Swings x3');
    expect(wordsFor('talk', '-Swings x3', found)).toBe('-Swings x3');
  });

  it('leave the counts of a movement or a silence away', () => {
    expect(wordsFor('movement', 'Swings x3', reading('talk', 'Swings'))).toBe('Swings');
    expect(wordsFor('silence', 'Rest 20 s', reading('talk', 'Rest'))).toBe('Rest');
    expect(wordsFor('movement', '- x3', reading('talk', ''))).toBe('x3');
  });

  it('give a name that is never empty, has no signs that do not print, and has an end', () => {
    expect(name(' \u0007 ')).toBe('Step');
    expect(name('a\tb')).toBe('a b');
    expect(name('é'.repeat(LIMITS.titleCharacters + 5))).toBe('é'.repeat(LIMITS.titleCharacters));
    expect(cut('😀😀😀', 2)).toBe('😀😀');
  });
});
