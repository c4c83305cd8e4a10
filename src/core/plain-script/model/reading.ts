import type { DuringLine } from '@/core/movement';
import type { Counts, LineKind } from './model';

/** What joins, and in how many rounds it is done before the next joins; `null` to the end. */
export interface LayerPart {
  readonly words: string;
  readonly rounds: number | null;
}

/** What a line sets of the movement above; seconds before its end, or words. */
export interface StepSettings {
  readonly breath?: 'free';
  readonly breathWay?: 'nose' | 'nose-mouth';
  readonly callBackSeconds?: number;
  readonly callBackWords?: string;
  /** Said between its two sides, or its two ways. */
  readonly changeWords?: string;
  /** Said before its rounds, though its breath is written already. */
  readonly before?: string;
  /** Said somewhere in its rounds. */
  readonly during?: string;
  /** Of `during`: on which rounds; anywhere where it is not given. */
  readonly place?: Pick<DuringLine, 'on' | 'number'> | null;
  /** How its rounds are counted aloud. */
  readonly counting?: 'up' | 'down';
  /** How often or how long each of a list above is done, where it has no amount; of one alone, its own. */
  readonly each?: Counts;
  /** What joins round by round, in order. */
  readonly layers?: readonly LayerPart[];
}

/** One thing that a line says; a line may hold an in and an out. */
export interface Reading {
  readonly kind: LineKind;
  readonly words: string;
  readonly counts: Counts;
  readonly unsure: boolean;
  /** Where it tells of the class as a whole: what it is about, whom it is for, how long it is. */
  readonly about?: 'focus' | 'audience' | 'length';
  /** How a breath is said, where its words are what is done. */
  readonly said?: string;
  /** Whether it is a name by itself, and what stands below it is spoken. */
  readonly heads?: true;
  /** Whether it is a part that is marked as a heading. */
  readonly marked?: boolean;
  /** Whether it tells how a movement is done, and is said in its rounds. */
  readonly how?: boolean;
  /** Whether it is a part that stands in one line with its steps, and is over with it. */
  readonly inLine?: true;
  /** What a version of a movement is called, where a label tells. */
  readonly label?: string;
  /** What it sets of the movement above, beside its counts. */
  readonly sets?: StepSettings;
}

export function reading(kind: LineKind, words: string, counts: Counts = {}, unsure = false): Reading {
  return { kind, words, counts, unsure };
}

/** A reading with its words, and all else that is said of it, worded otherwise. */
export function worded(one: Reading, as: (words: string) => string): Reading {
  const { words, said, label, sets } = one;
  const callBackWords = sets?.callBackWords;
  const changeWords = sets?.changeWords;
  const before = sets?.before;
  const during = sets?.during;
  const layers = sets?.layers?.map((part) => ({ ...part, words: as(part.words) }));
  return {
    ...one,
    words: as(words),
    ...(said === undefined ? {} : { said: as(said) }),
    ...(label === undefined ? {} : { label: as(label) }),
    ...(callBackWords === undefined ? {} : { sets: { ...sets, callBackWords: as(callBackWords) } }),
    ...(changeWords === undefined ? {} : { sets: { ...sets, changeWords: as(changeWords) } }),
    ...(before === undefined ? {} : { sets: { ...sets, before: as(before) } }),
    ...(during === undefined ? {} : { sets: { ...sets, during: as(during) } }),
    ...(layers === undefined ? {} : { sets: { ...sets, layers } }),
  };
}
