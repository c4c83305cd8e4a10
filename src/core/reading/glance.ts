import { itemAt, type Seconds } from '@/core/units';
import type { Reading } from './model';

/** A take at a glance, for lists: how far it ended from its plan, how the drift went, and what was added. */
export interface TakeGlance {
  /** Actual less planned runtime. */
  readonly offSeconds: Seconds;
  readonly runtimeSeconds: Seconds;
  /** Drift in whole tenths of a second at up to `POINTS` lines that were said, evenly through the take. */
  readonly drift: readonly number[];
  readonly adLibs: number;
  /** The words of the first ad-libs that have any. */
  readonly adLibWords: readonly string[];
}

const POINTS = 48;
const WORDS_AT_MOST = 5;
const WORDS_CHARACTERS = 80;

export function glanceOf({ cues, adLibs, totals }: Reading): TakeGlance {
  const said = cues.flatMap((cue) => (cue.actualStart === null ? [] : [cue.actualStart - cue.plannedStart]));
  const points = Math.min(POINTS, said.length);
  const drift = Array.from({ length: points }, (_, at) => {
    const place = points === 1 ? 0 : Math.round((at * (said.length - 1)) / (points - 1));
    return Math.round(itemAt(said, place) * 10);
  });
  const words = adLibs.flatMap(({ text }) => (text ? [shortened(text)] : []));
  return {
    offSeconds: Math.round(totals.runtimeSeconds) - Math.round(totals.plannedRuntimeSeconds),
    runtimeSeconds: totals.runtimeSeconds,
    drift,
    adLibs: adLibs.length,
    adLibWords: words.slice(0, WORDS_AT_MOST),
  };
}

function shortened(text: string): string {
  const letters = [...text.trim()];
  return letters.length <= WORDS_CHARACTERS ? letters.join('') : `${letters.slice(0, WORDS_CHARACTERS - 1).join('')}…`;
}
