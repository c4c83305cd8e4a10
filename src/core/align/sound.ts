import type { Cue } from '@/core/timeline';
import { wholeMilliseconds, type Interval, type Seconds } from '@/core/units';
import type { Alignment, FoundCue, Remark } from './model';

/*
 * The order-preserving match of stretches of speech to cues, on expected length and planned gaps. A cue may take
 * several stretches (a pause for breath) or share one with its neighbours (no pause at all); cues may be skipped,
 * stretches may be remarks. The costs are robust: an interruption is paid once and no more.
 */

/** Cues passed over, and stretches passed over, between two matches at most. */
const CUES_BACK = 8;
const STRETCHES_BACK = 10;
const STRETCHES_A_CUE = 4;
const CUES_A_STRETCH = 3;
/** Stretches of one cue are parted by less than this; cues that share one are planned closer than this. */
const WITHIN_CUE_GAP: Seconds = 1.3;
const SHARED_GAP: Seconds = 0.7;
const WITHIN_REMARK_GAP: Seconds = 0.8;

const COST = { skip: 2.6, remark: 1.5, remarkSecond: 0.25, gapAtMost: 3.2, lengthAtMost: 4, length: 3.2, joined: 0.3 };

/** One possible match: cues `[cueFrom, cueTo)` said in stretches `[from, to)`. */
interface Candidate {
  readonly cueFrom: number;
  readonly cueTo: number;
  readonly from: number;
  readonly to: number;
  readonly own: number;
  /** When its last cue begins. */
  readonly lastOnset: Seconds;
  cost: number;
  before: Candidate | null;
}

/** Aligns cues with stretches of speech alone. Two passes: the second knows how much slower or quicker the voice is. */
export function alignSound(cues: readonly Cue[], speech: readonly Interval[]): Alignment {
  if (cues.length === 0 || speech.length === 0) {
    return { found: [], remarks: speech.map((stretch) => ({ ...stretch, text: null })) };
  }
  const first = bestPath(cues, speech, 1);
  const rate = medianOf(
    first.map((match) => spoken(speech, match) / planned(cues, match)).filter((ratio) => ratio > 0.3 && ratio < 3),
  );
  const path = bestPath(cues, speech, rate ?? 1);
  const used = new Uint8Array(speech.length);
  for (const match of path) used.fill(1, match.from, match.to);
  return {
    found: path.flatMap((match) => foundIn(cues, speech, match)),
    remarks: joined(speech.filter((_, index) => !used[index])),
  };
}

/** Left-over stretches close to each other are one remark. */
function joined(stretches: readonly Interval[]): Remark[] {
  const remarks: Remark[] = [];
  for (const { startSeconds, endSeconds } of stretches) {
    const last = remarks.at(-1);
    if (last && startSeconds - last.endSeconds < WITHIN_REMARK_GAP)
      remarks[remarks.length - 1] = { ...last, endSeconds };
    else remarks.push({ startSeconds, endSeconds, text: null });
  }
  return remarks;
}

function bestPath(cues: readonly Cue[], speech: readonly Interval[], rate: number): Candidate[] {
  const remarks = remarkSums(speech);
  const ending: Candidate[][] = Array.from({ length: cues.length + 1 }, () => []);
  const slowness = stretchGuess(cues, speech);
  let best: Candidate | null = null;
  let bestCost = Infinity;
  for (let cueTo = 1; cueTo <= cues.length; cueTo++) {
    const candidates = candidatesEnding(cues, speech, cueTo, rate, slowness)
      // Dearer than passing over its cues and stretches: never part of the best path.
      .filter((one) => one.own <= COST.skip * (one.cueTo - one.cueFrom) + remarks[one.to] - remarks[one.from])
      .sort((a, b) => a.to - b.to);
    for (const candidate of candidates) {
      link(candidate, cues, speech, ending, remarks);
      ending[cueTo].push(candidate);
      const total = candidate.cost + COST.skip * (cues.length - cueTo) + remarks[speech.length] - remarks[candidate.to];
      if (total < bestCost) [best, bestCost] = [candidate, total];
    }
  }
  const path: Candidate[] = [];
  for (let at: Candidate | null = best; at; at = at.before) path.unshift(at);
  return path;
}

/** Chooses the cheapest match before this one. */
function link(
  candidate: Candidate,
  cues: readonly Cue[],
  speech: readonly Interval[],
  ending: readonly (readonly Candidate[])[],
  remarks: Float64Array,
): void {
  const first = cues[candidate.cueFrom];
  const start = speech[candidate.from].startSeconds;
  let cost =
    COST.skip * candidate.cueFrom +
    remarks[candidate.from] +
    Math.min(COST.gapAtMost, Math.abs(start - first.startSeconds) / 20);
  for (let cueEnd = candidate.cueFrom; cueEnd >= Math.max(1, candidate.cueFrom - CUES_BACK); cueEnd--) {
    const last = cues[cueEnd - 1];
    const plannedGap = first.startSeconds - last.startSeconds;
    const passed = COST.skip * (candidate.cueFrom - cueEnd) + remarks[candidate.from];
    const earlier = ending[cueEnd];
    for (let at = countUpTo(earlier, candidate.from) - 1; at >= 0; at--) {
      const before = earlier[at];
      if (candidate.from - before.to > STRETCHES_BACK) break;
      const stray = Math.abs(start - before.lastOnset - plannedGap) / (0.6 + 0.14 * plannedGap);
      const total = before.cost + passed - remarks[before.to] + Math.min(COST.gapAtMost, stray);
      if (total < cost) {
        cost = total;
        candidate.before = before;
      }
    }
  }
  candidate.cost = cost + candidate.own;
}

/** How many of the matches, ordered by where they end, end at or before stretch `to`. */
function countUpTo(matches: readonly Candidate[], to: number): number {
  let low = 0;
  let high = matches.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (matches[middle].to <= to) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Start of the last cue of a match. */
function onsetOf(speech: readonly Interval[], match: Place, cues: readonly Cue[]): Seconds {
  const start = speech[match.from].startSeconds;
  if (match.cueTo - match.cueFrom === 1) return start;
  const length = planned(cues, match);
  const before = cues[match.cueTo - 1].startSeconds - cues[match.cueFrom].startSeconds;
  return start + (spoken(speech, match) * before) / length;
}

/** All matches whose last cue is the one before `cueTo`, within the band of times it could be said at. */
function candidatesEnding(
  cues: readonly Cue[],
  speech: readonly Interval[],
  cueTo: number,
  rate: number,
  slowness: number,
): Candidate[] {
  const made: Candidate[] = [];
  const cue = cues[cueTo - 1];
  const centre = cue.startSeconds * slowness;
  const reach = 45 + 0.2 * centre;
  for (
    let from = firstFrom(speech, centre - reach);
    from < speech.length && speech[from].startSeconds < centre + reach;
    from++
  ) {
    for (let to = from + 1; to <= Math.min(speech.length, from + STRETCHES_A_CUE); to++) {
      if (to > from + 1 && speech[to - 1].startSeconds - speech[to - 2].endSeconds > WITHIN_CUE_GAP) break;
      made.push(candidate(cues, speech, { cueFrom: cueTo - 1, cueTo, from, to }, rate));
    }
    for (let cueFrom = cueTo - 2; cueFrom >= Math.max(0, cueTo - CUES_A_STRETCH); cueFrom--) {
      if (cues[cueFrom + 1].startSeconds - cues[cueFrom].endSeconds > SHARED_GAP) break;
      made.push(candidate(cues, speech, { cueFrom, cueTo, from, to: from + 1 }, rate));
    }
  }
  return made;
}

function candidate(
  cues: readonly Cue[],
  speech: readonly Interval[],
  at: Pick<Candidate, 'cueFrom' | 'cueTo' | 'from' | 'to'>,
  rate: number,
): Candidate {
  const ratio = spoken(speech, at) / (planned(cues, at) * rate);
  const joins = at.to - at.from - 1 + (at.cueTo - at.cueFrom - 1);
  const own = Math.min(COST.lengthAtMost, COST.length * Math.abs(Math.log(ratio))) + COST.joined * joins;
  return { ...at, own, lastOnset: onsetOf(speech, at, cues), cost: Infinity, before: null };
}

type Place = Pick<Candidate, 'cueFrom' | 'cueTo' | 'from' | 'to'>;

function spoken(speech: readonly Interval[], match: Place): Seconds {
  return speech[match.to - 1].endSeconds - speech[match.from].startSeconds;
}

function planned(cues: readonly Cue[], match: Place): Seconds {
  return Math.max(0.1, cues[match.cueTo - 1].endSeconds - cues[match.cueFrom].startSeconds);
}

/** What it costs to leave the first `n` stretches as remarks. */
function remarkSums(speech: readonly Interval[]): Float64Array {
  const sums = new Float64Array(speech.length + 1);
  speech.forEach((stretch, index) => {
    const length = stretch.endSeconds - stretch.startSeconds;
    sums[index + 1] = sums[index] + COST.remark + COST.remarkSecond * Math.min(6, length);
  });
  return sums;
}

/** How much longer the take is than the plan, as a first guess at its tempo: held between 0.6 and 1.7. */
function stretchGuess(cues: readonly Cue[], speech: readonly Interval[]): number {
  const plannedEnd = cues[cues.length - 1].endSeconds;
  const takenEnd = speech[speech.length - 1].endSeconds;
  return Math.min(1.7, Math.max(0.6, takenEnd / Math.max(1, plannedEnd)));
}

function firstFrom(speech: readonly Interval[], seconds: Seconds): number {
  let low = 0;
  let high = speech.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (speech[middle].startSeconds < seconds) low = middle + 1;
    else high = middle;
  }
  return low;
}

function foundIn(cues: readonly Cue[], speech: readonly Interval[], match: Candidate): FoundCue[] {
  const start = speech[match.from].startSeconds;
  const end = speech[match.to - 1].endSeconds;
  const scale = (end - start) / planned(cues, match);
  const from = cues[match.cueFrom].startSeconds;
  const step = match.cost - (match.before?.cost ?? 0);
  const confidence = Math.round(100 * Math.min(0.95, Math.max(0.15, 0.95 - 0.16 * step))) / 100;
  return cues.slice(match.cueFrom, match.cueTo).map((cue) => ({
    cueId: cue.id,
    startSeconds: wholeMilliseconds(start + (cue.startSeconds - from) * scale),
    endSeconds: wholeMilliseconds(start + (cue.endSeconds - from) * scale),
    confidence,
  }));
}

function medianOf(values: readonly number[]): number | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
}
