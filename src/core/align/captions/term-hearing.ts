import { itemAt } from '@/core/units';
import type { Term } from '@/core/words';
import type { Cue } from '@/core/timeline';
import { plainWords } from './plain-words';

interface Phrase {
  readonly words: readonly string[];
  readonly stands: readonly string[];
}

/**
 * Reads terms of the trade through a machine's ears. Every spelling of a term, in the plan and in the captions, is
 * taken for its first; in the captions so is what machines write when they mishear it. A mishearing counts only where
 * the class has the term and never says the misheard words themselves: "she" is "qi" in a class without a "she".
 */
export class TermHearing {
  private readonly spellings: readonly Phrase[];
  private readonly hearings: readonly Phrase[];

  constructor(terms: readonly Term[], cues: readonly Cue[]) {
    const said = cues.map((cue) => plainWords(cue.text));
    const says = (words: readonly string[]): boolean => said.some((line) => isIn(line, words));
    const spellings: Phrase[] = [];
    const misheard: Phrase[] = [];
    for (const { variants, misheard: heard } of terms) {
      const written = variants.map(plainWords).filter((words) => words.length > 0);
      const [stands] = written;
      if (stands === undefined || !written.some(says)) continue;
      for (const words of written) spellings.push({ words, stands });
      for (const words of heard.map(plainWords)) if (words.length > 0 && !says(words)) misheard.push({ words, stands });
    }
    this.spellings = longestFirst(spellings);
    this.hearings = longestFirst([...spellings, ...misheard]);
  }

  planned(words: readonly string[]): string[] {
    return replaced(words, this.spellings);
  }

  heard(words: readonly string[]): string[] {
    return replaced(words, this.hearings);
  }
}

function longestFirst(phrases: readonly Phrase[]): Phrase[] {
  return [...phrases].sort((a, b) => b.words.length - a.words.length);
}

function startsAt(line: readonly string[], at: number, words: readonly string[]): boolean {
  return words.every((word, index) => line[at + index] === word);
}

function isIn(line: readonly string[], words: readonly string[]): boolean {
  return line.some((_, at) => startsAt(line, at, words));
}

function replaced(line: readonly string[], phrases: readonly Phrase[]): string[] {
  if (phrases.length === 0) return [...line];
  const result: string[] = [];
  for (let at = 0; at < line.length;) {
    const phrase = phrases.find(({ words }) => startsAt(line, at, words));
    result.push(...(phrase ? phrase.stands : [itemAt(line, at)]));
    at += phrase ? phrase.words.length : 1;
  }
  return result;
}
