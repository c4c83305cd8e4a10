import { describe, expect, it } from 'vitest';
import { emptyPlan, makeSection, makeTalk } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import type { Term } from '@/core/words';
import { countingIds } from '../../../../tests/support/chance';
import { TermHearing } from './term-hearing';

const newId = countingIds('t');
const TERMS: readonly Term[] = [
  { term: 'lamp-work', variants: ['lamp gong', 'lampgong'], misheard: ['lamb gone', 'she'], known: false },
  { term: 'tide-hand', variants: ['tide hand'], misheard: ['tired hand', ''], known: false },
];
const hearingOf = (...lines: string[]): TermHearing => {
  const said = lines.map((line): [string, number] => [line, 2]);
  const talk = makeTalk(newId, 'Talk', said);
  const plan = { ...emptyPlan(newId, 'Heard', 300), sections: [makeSection(newId, 'main', [talk])] };
  return new TermHearing(TERMS, expandPlan(plan).cues);
};
const heard = (hearing: TermHearing, line: string): string => hearing.heard(line.split(' ')).join(' ');

describe('terms through a machine’s ears', () => {
  it('are taken for their first spelling, however the plan spells them', () => {
    for (const said of ['Welcome to lamp gong.', 'Welcome to lampgong.']) {
      const hearing = hearingOf(said);
      expect(hearing.planned(['our', 'lampgong', 'now'])).toEqual(['our', 'lamp', 'gong', 'now']);
      expect(heard(hearing, 'our lampgong now')).toBe('our lamp gong now');
      expect(heard(hearing, 'our lamb gone now')).toBe('our lamp gong now');
      expect(hearing.planned(['lamb', 'gone'])).toEqual(['lamb', 'gone']);
    }
  });

  it('stay as heard where the class does not have the term', () => {
    const hearing = hearingOf('Welcome to lamp gong.');
    expect(heard(hearing, 'a tired hand')).toBe('a tired hand');
    expect(heard(hearingOf('Welcome.'), 'she is lamb gone')).toBe('she is lamb gone');
  });

  it('stay as heard where the class says these very words', () => {
    const hearing = hearingOf('Welcome to lamp gong.', 'And she turns.');
    expect(heard(hearing, 'and she turns')).toBe('and she turns');
    expect(heard(hearing, 'lamb gone')).toBe('lamp gong');
    expect(heard(hearingOf('Welcome to lamp gong.'), 'and she turns')).toBe('and lamp gong turns');
  });
});
