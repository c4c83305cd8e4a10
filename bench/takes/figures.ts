import { type PracticeTake } from '../../src/core/practice';
import type { Reading } from '../../src/core/reading';
import type { Interval } from '../../src/core/units';

/** What a cue has to be sure of to be called so. */
export const SURE = 0.8;

/** Counts of one take; they add up over takes. */
export interface Figures {
  /** Off by, in seconds, for each cue that was said; infinite where it was not found. */
  readonly errors: readonly number[];
  readonly skips: Hits;
  readonly adLibs: Hits;
  /** Cues called sure, and how many of them are within 0.5 s. */
  readonly sure: number;
  readonly sureRight: number;
}

/** How many there were, how many were told, and how many of each side were right. */
export interface Hits {
  readonly true: number;
  readonly told: number;
  readonly trueFound: number;
  readonly toldRight: number;
}

/** A reading beside what was truly said. */
export function figuresOf(
  { said, skipped }: Pick<PracticeTake, 'said' | 'skipped'>,
  { cues, adLibs }: Pick<Reading, 'cues' | 'adLibs'>,
): Figures {
  const truth = new Map(said.flatMap((one) => (one.cueId === null ? [] : [[one.cueId, one.startSeconds] as const])));
  const off = (id: string, at: number | null): number =>
    at === null ? Infinity : Math.abs(at - (truth.get(id) ?? Infinity));
  const told = cues.filter((cue) => cue.status === 'skipped');
  const sure = cues.filter((cue) => cue.status === 'said' && cue.confidence >= SURE);
  const trueAdLibs = said.filter((one) => one.cueId === null);
  const right = told.filter((cue) => skipped.has(cue.id)).length;
  return {
    errors: cues.filter((cue) => truth.has(cue.id)).map((cue) => off(cue.id, cue.actualStart)),
    skips: { true: skipped.size, told: told.length, trueFound: right, toldRight: right },
    adLibs: {
      true: trueAdLibs.length,
      told: adLibs.length,
      trueFound: trueAdLibs.filter((one) => adLibs.some((other) => meet(one, other))).length,
      toldRight: adLibs.filter((one) => trueAdLibs.some((other) => meet(one, other))).length,
    },
    sure: sure.length,
    sureRight: sure.filter((cue) => off(cue.id, cue.actualStart) <= 0.5).length,
  };
}

/** They share more than half of the shorter one. */
function meet(one: Interval, other: Interval): boolean {
  const shared = Math.min(one.endSeconds, other.endSeconds) - Math.max(one.startSeconds, other.startSeconds);
  return shared > Math.min(one.endSeconds - one.startSeconds, other.endSeconds - other.startSeconds) / 2;
}

export function addFigures(all: readonly Figures[]): Figures {
  const hits = (of: (one: Figures) => Hits): Hits => {
    const total = (key: keyof Hits): number => all.reduce((sum, one) => sum + of(one)[key], 0);
    return { true: total('true'), told: total('told'), trueFound: total('trueFound'), toldRight: total('toldRight') };
  };
  return {
    errors: all.flatMap((one) => one.errors),
    skips: hits((one) => one.skips),
    adLibs: hits((one) => one.adLibs),
    sure: all.reduce((sum, one) => sum + one.sure, 0),
    sureRight: all.reduce((sum, one) => sum + one.sureRight, 0),
  };
}

/** One line of a table. */
export function asRow(name: string, figures: Figures): string {
  const sorted = [...figures.errors].sort((a, b) => a - b);
  const at = (share: number): string => (sorted[Math.floor((sorted.length - 1) * share)] ?? NaN).toFixed(2);
  const share = sorted.filter((error) => error <= 0.3).length / Math.max(1, sorted.length);
  const part = (of: number, all: number): string => (all === 0 ? ' – ' : (of / all).toFixed(2));
  const both = (hits: Hits): string => `${part(hits.toldRight, hits.told)} ${part(hits.trueFound, hits.true)}`;
  return [
    name.padEnd(58),
    share.toFixed(3),
    at(0.5).padStart(6),
    at(0.9).padStart(8),
    both(figures.skips).padStart(10),
    both(figures.adLibs).padStart(10),
    `${part(figures.sureRight, figures.sure)} of ${part(figures.sure, figures.errors.length)}`,
  ].join(' | ');
}

export const HEAD = `${'take'.padEnd(58)} | ≤0.3s |    50% |      90% | skips P R  | ad-libs P R | sure`;
