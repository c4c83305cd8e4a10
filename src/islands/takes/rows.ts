import { itemAt } from '@/core/units';
import type { CueReading, Cut, Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import type { AdLib } from '@/core/align';

/** A row of the strip: a step's name, a cue, an ad-lib where it was said, or a cut where it begins. */
export type Row =
  | { readonly kind: 'step'; readonly key: string; readonly name: string }
  | { readonly kind: 'cue'; readonly key: string; readonly cue: CueReading }
  | { readonly kind: 'ad-lib'; readonly key: string; readonly adLib: AdLib; readonly at: number }
  | { readonly kind: 'cut'; readonly key: string; readonly cut: Cut; readonly at: number };

/** Cues in the order of the plan under the names of their steps, each ad-lib and cut before the first cue said after it. */
export function rowsOf(
  reading: Reading,
  timeline: Timeline,
  names: ReadonlyMap<string, string>,
  cuts: readonly Cut[] = [],
): Row[] {
  const rows: Row[] = [];
  let stepBefore = '';
  const beside = [
    ...reading.adLibs.map((adLib, at): Row => ({ kind: 'ad-lib', key: `ad-lib ${adLib.startSeconds}`, adLib, at })),
    ...cuts.map((cut, at): Row => ({ kind: 'cut', key: cutKey(at), cut, at })),
  ].sort((a, b) => startOf(a) - startOf(b));
  let taken = 0;
  const takeBeside = (until: number): void => {
    for (; taken < beside.length && startOf(itemAt(beside, taken)) < until; taken++) rows.push(itemAt(beside, taken));
  };
  reading.cues.forEach((cue, index) => {
    if (cue.actualStart !== null) takeBeside(cue.actualStart);
    const step = timeline.cues[index]?.step ?? '';
    if (step !== stepBefore) rows.push({ kind: 'step', key: `step ${index}`, name: names.get(step) ?? '' });
    stepBefore = step;
    rows.push({ kind: 'cue', key: cue.id, cue });
  });
  takeBeside(Infinity);
  return rows;
}

/** The key of a cut's row, by its place among the cuts. */
export function cutKey(at: number): string {
  return `cut ${at}`;
}

function startOf(row: Row): number {
  if (row.kind === 'ad-lib') return row.adLib.startSeconds;
  return row.kind === 'cut' ? row.cut.startSeconds : 0;
}
