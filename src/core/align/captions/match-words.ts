import { itemAt, type Seconds } from '@/core/units';
import { SimilarityTable, type HeardWord, type PlannedWord } from './words';

/** Words less alike than this are different words. */
const LEAST_LIKENESS = 0.55;
/** What two matches in a row within one cue are worth on top: words of a cue are said together. */
const TOGETHER = 0.4;
/** A match this far from its expected time is worth nothing if it is a short word. */
const TIME_SCALE: Seconds = 12;
const TIME_COST_AT_MOST = 0.8;
/** How far from its expected time a word is looked for: wide without anchors, narrower with. */
const REACH_WITHOUT_ANCHORS: Seconds = 240;
const REACH_WITH_ANCHORS: Seconds = 60;

const FROM_LEFT = 1;
const FROM_ABOVE = 2;
const FROM_MATCH = 3;
const MATCH_CHAINED = 4;

/**
 * The best order-preserving match of planned to heard words: `-1` or the index of the heard word, for each planned
 * word. Maximises similarity, less a cost for lying away from the expected time, plus a bonus for neighbours. Banded
 * around the expected time, so that three hours stay quick.
 */
export function matchWords(
  planned: readonly PlannedWord[],
  heard: readonly HeardWord[],
  expected: (plannedStart: Seconds) => Seconds,
  anchored: boolean,
): Int32Array {
  const reach = anchored ? REACH_WITH_ANCHORS : REACH_WITHOUT_ANCHORS;
  const table = new SimilarityTable();
  const heardNumbers = Int32Array.from(heard, (word) => table.numberOf(word.word));
  const starts = Float64Array.from(heard, ({ startSeconds }) => startSeconds);
  const bands = bandsOf(planned, heard, expected, reach);
  const moves: Uint8Array[] = [];
  // best[k]: the best score so far with the first k heard words; chained[k]: the same, ending in a match of word k - 1.
  // Both are kept in place from row to row and only touched inside the band, which never moves back.
  const best = new Float32Array(heard.length + 1);
  const chained = new Float32Array(heard.length + 1).fill(-Infinity);
  let reached = 0;
  planned.forEach((word, row) => {
    const { from, to } = itemAt(bands, row);
    for (; reached < to; reached++) best[reached + 1] = best[reached] ?? 0;
    const number = table.numberOf(word.word);
    const when = expected(word.seconds);
    const weight = Math.min(1, 0.4 + word.word.length * 0.12);
    const follows = row > 0 && itemAt(planned, row - 1).cue === word.cue;
    const marks = new Uint8Array(to - from);
    let bestBefore = best[from] ?? 0;
    let chainBefore = row > 0 && from > itemAt(bands, row - 1).from ? (chained[from] ?? 0) : -Infinity;
    for (let at = from; at < to; at++) {
      let score = best[at + 1] ?? 0;
      let mark = FROM_ABOVE;
      let chain = -Infinity;
      if ((best[at] ?? 0) > score) [score, mark] = [best[at] ?? 0, FROM_LEFT];
      const alike = table.of(number, heardNumbers[at] ?? 0);
      if (alike >= LEAST_LIKENESS) {
        const late = Math.abs((starts[at] ?? 0) - when) / TIME_SCALE;
        const gain = alike * alike * weight - Math.min(TIME_COST_AT_MOST, 0.35 * late);
        const joined = follows ? chainBefore + TOGETHER : -Infinity;
        const linked = joined >= bestBefore ? MATCH_CHAINED : 0;
        chain = Math.max(joined, bestBefore) + gain;
        mark = chain > score ? FROM_MATCH | linked : mark | linked;
        score = Math.max(score, chain);
      }
      bestBefore = best[at + 1] ?? 0;
      chainBefore = chained[at + 1] ?? 0;
      best[at + 1] = score;
      chained[at + 1] = chain;
      marks[at - from] = mark;
    }
    moves.push(marks);
  });
  return walkBack(planned, heard.length, bands, moves);
}

interface Band {
  readonly from: number;
  readonly to: number;
}

function bandsOf(
  planned: readonly PlannedWord[],
  heard: readonly HeardWord[],
  expected: (seconds: Seconds) => Seconds,
  reach: Seconds,
): Band[] {
  let from = 0;
  let to = 0;
  return planned.map((word) => {
    const when = expected(word.seconds);
    while (from < heard.length && itemAt(heard, from).startSeconds < when - reach) from++;
    to = Math.max(to, from);
    while (to < heard.length && itemAt(heard, to).startSeconds <= when + reach) to++;
    return { from, to };
  });
}

function walkBack(
  planned: readonly PlannedWord[],
  heardCount: number,
  bands: readonly Band[],
  moves: readonly Uint8Array[],
): Int32Array {
  const matched = new Int32Array(planned.length).fill(-1);
  let at = heardCount;
  let linked = false;
  for (let row = planned.length - 1; row >= 0 && at > 0;) {
    const { from, to } = itemAt(bands, row);
    if (at > to && !linked) at = to;
    if (at <= from) {
      row--;
      linked = false;
      continue;
    }
    const mark = itemAt(moves, row)[at - 1 - from] ?? 0;
    if (linked || (mark & 3) === FROM_MATCH) {
      matched[row] = at - 1;
      linked = (mark & MATCH_CHAINED) !== 0;
      row--;
      at--;
    } else if ((mark & 3) === FROM_LEFT) at--;
    else row--;
  }
  return matched;
}
