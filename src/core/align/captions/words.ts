import type { Caption } from '@/core/interchange';
import type { Cue } from '@/core/timeline';
import { itemAt, type Seconds } from '@/core/units';
import { plainWords } from './plain-words';
import type { TermHearing } from './term-hearing';

/** A word of the plan with the time at which it is planned to be said. */
export interface PlannedWord {
  readonly word: string;
  readonly cue: number;
  /** Place in its cue, 0 for the first. */
  readonly place: number;
  readonly seconds: Seconds;
}

/** A word of the captions with the time it is likely said at: a caption's time shared out by length. */
export interface HeardWord {
  readonly word: string;
  readonly caption: number;
  readonly startSeconds: Seconds;
  readonly endSeconds: Seconds;
}

/** The words of the plan, each spelling of a term as its first one. */
export function plannedWords(cues: readonly Cue[], hearing: TermHearing): PlannedWord[] {
  return cues.flatMap((cue, index) => {
    const words = hearing.planned(plainWords(cue.text));
    const letters = words.reduce((total, word) => total + word.length + 1, 0);
    let passed = 0;
    return words.map((word, place) => {
      const seconds = cue.startSeconds + ((cue.endSeconds - cue.startSeconds) * passed) / letters;
      passed += word.length + 1;
      return { word, cue: index, place, seconds };
    });
  });
}

/** The words of captions, what stands for a term as its first spelling. */
export function heardWords(captions: readonly Caption[], hearing: TermHearing): HeardWord[] {
  return captions.flatMap((caption, index) => {
    const words = hearing.heard(plainWords(caption.text));
    const letters = words.reduce((total, word) => total + word.length + 1, 0);
    const length = caption.endSeconds - caption.startSeconds;
    let passed = 0;
    return words.map((word) => {
      const startSeconds = caption.startSeconds + (length * passed) / letters;
      passed += word.length + 1;
      return { word, caption: index, startSeconds, endSeconds: caption.startSeconds + (length * passed) / letters };
    });
  });
}

/**
 * How alike two words are, 0 to 1: one less the edit distance over the longer length, so that a machine's mishearing
 * of a word still counts for something.
 */
export function similarity(a: string, b: string): number {
  if (a === b) return 1;
  if (areOpposite(a, b)) return 0;
  const longer = Math.max(a.length, b.length);
  if (longer === 0 || Math.abs(a.length - b.length) > longer / 2) return 0;
  return 1 - editDistance(a, b) / longer;
}

/** Whether two words lead opposite ways of the breath, however alike they are written: one is never heard for the other. */
export function areOpposite(a: string, b: string): boolean {
  const way = wayOf(a);
  return way !== null && wayOf(b) !== null && way !== wayOf(b);
}

function wayOf(word: string): 'inhale' | 'exhale' | null {
  if (word.startsWith('inhal') || word === 'in') return 'inhale';
  return word.startsWith('exhal') || word === 'out' ? 'exhale' : null;
}

function editDistance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, index) => index);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      next[j] = Math.min(
        (row[j] ?? 0) + 1,
        (next[j - 1] ?? 0) + 1,
        (row[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1),
      );
    }
    row = next;
  }
  return row[b.length] ?? 0;
}

/** Of so many pairs of words the likeness stands side by side (32 MB); of more it is looked up. */
const SIDE_BY_SIDE = 4_194_304;

/** Likeness of words by their numbers, worked out once for each pair. Quickest with the fewer words as `a`. */
export class SimilarityTable {
  /** By the one number, then by the other; not a number until it is known. */
  private readonly rows: Float64Array[] = [];
  private readonly others = new Map<number, number>();
  private readonly numbers = new Map<string, number>();
  private readonly words: string[] = [];
  private cells = 0;

  numberOf(word: string): number {
    const found = this.numbers.get(word);
    if (found !== undefined) return found;
    this.numbers.set(word, this.words.length);
    return this.words.push(word) - 1;
  }

  of(a: number, b: number): number {
    const known = this.rows[a]?.[b];
    if (known !== undefined && !Number.isNaN(known)) return known;
    const key = a * SIDE_BY_SIDE + b;
    let value = this.others.get(key);
    if (value === undefined) {
      value = similarity(itemAt(this.words, a), itemAt(this.words, b));
      const row = this.rowOf(a, b);
      if (row) row[b] = value;
      else this.others.set(key, value);
    }
    return value;
  }

  /** Whether two words lead opposite ways of the breath. */
  opposite(a: number, b: number): boolean {
    return areOpposite(itemAt(this.words, a), itemAt(this.words, b));
  }

  /** A row with a place for `b`; `null` where there is no room for it. */
  private rowOf(a: number, b: number): Float64Array | null {
    const row = this.rows[a];
    if (row && b < row.length) return row;
    const { length } = this.words;
    this.cells += length - (row?.length ?? 0);
    if (this.cells > SIDE_BY_SIDE) return null;
    const longer = new Float64Array(length).fill(NaN);
    longer.set(row ?? []);
    this.rows[a] = longer;
    return longer;
  }
}
