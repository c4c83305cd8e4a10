import type { Cue } from '@/core/timeline';
import type { Seconds } from '@/core/units';
import type { Likeness } from './likeness';
import type { SpeechStretch } from './model';
import { tempoAlong, type Tempo } from './tempo';

/*
 * The order-preserving match of stretches of speech to cues: on expected length, on the gap to the match before
 * against the planned gap under a tempo that may wander, and on how like each text sounds. A cue may take several
 * stretches (a pause for breath) or share one with its neighbours (no pause at all); cues may be skipped, stretches
 * may be remarks or noises. The costs are robust: an interruption is paid once and no more.
 */

/** Cues and stretches passed over between two matches at most. */
const CUES_BACK = 8;
const STRETCHES_BACK = 12;
const STRETCHES_A_CUE = 5;
const CUES_A_STRETCH = 3;
/** Stretches of one cue are parted by less than this; cues that share one are planned closer than this. */
const WITHIN_CUE_GAP: Seconds = 0.9;
const SHARED_GAP: Seconds = 0.7;
/** Where a cue is looked for: this far to either side of its place at the guessed tempo, and a share of the time so far. */
const REACH: Seconds = 45;
const REACH_SHARE = 0.2;

interface Costs {
  readonly skip: number;
  /** Of a stretch that belongs to no cue, and of each second of it; less where it is hardly a voice. */
  readonly remark: number;
  readonly remarkSecond: number;
  /** Of a gap that is off by what is allowed: so many seconds, and a share of the gap. */
  readonly gapAtMost: number;
  readonly gapSeconds: number;
  readonly gapShare: number;
  /** Of a length off by a factor of e. */
  readonly length: number;
  readonly lengthAtMost: number;
  readonly joined: number;
}

/** Where length and time alone tell cues apart; found on synthetic takes in quiet rooms. */
const BY_LENGTH: Costs = {
  skip: 2.6,
  remark: 1.5,
  remarkSecond: 0.25,
  gapAtMost: 3.2,
  gapSeconds: 0.6,
  gapShare: 0.14,
  length: 3.2,
  lengthAtMost: 4,
  joined: 0.3,
};

/** Where texts are heard; found on one half of the synthetic takes of `docs/alignment.md`. */
const BY_LIKENESS: Costs = {
  skip: 3,
  remark: 1.6,
  remarkSecond: 0.1,
  gapAtMost: 4,
  gapSeconds: 0.8,
  gapShare: 0.1,
  length: 1,
  lengthAtMost: 3,
  joined: 0.15,
};

/** Of a unit of unlikeness, counted from here and held between bounds. */
const LIKENESS = { cost: 1.6, from: 0.5, likest: -4, unlikest: 1 };
/** Of cues not said at an end of the class. */
const EDGE = { most: 12, each: 0.3 };
/** A match that costs less by itself is an anchor for the tempo. */
const ANCHOR_COST = 0.5;

/** Cues `[cueFrom, cueTo)` said in stretches `[from, to)`. */
export interface SpeechMatch {
  readonly cueFrom: number;
  readonly cueTo: number;
  readonly from: number;
  readonly to: number;
  /** Of its length and its likeness. */
  readonly own: number;
  /** When its last cue begins. */
  readonly lastOnset: Seconds;
  /** Of the whole way to it. */
  cost: number;
  before: SpeechMatch | null;
}

interface Task {
  readonly cues: readonly Cue[];
  readonly speech: readonly SpeechStretch[];
  readonly likeness: Likeness | null;
  readonly costs: Costs;
  /** Length of what is said over what is expected. */
  readonly rate: number;
  readonly tempo: Tempo;
  /** Of the whole take, as a first guess. */
  readonly slowness: number;
}

/**
 * The cheapest match. Two passes: the second knows how fast the voice is, and the tempo of each part of the take.
 * Cues and stretches are in order of time; neither may be empty.
 */
export function matchSpeech(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  likeness: Likeness | null,
): SpeechMatch[] {
  const guesses = slownessGuesses(cues, speech);
  const costs = likeness ? BY_LIKENESS : BY_LENGTH;
  const tries = guesses.map((slowness) => {
    const task: Task = { cues, speech, likeness, costs, rate: 1, tempo: () => slowness, slowness };
    return { task, ...bestPath(task) };
  });
  const { task: guess, path: first } = tries.reduce((best, one) => (one.cost < best.cost ? one : best));
  const anchors = first
    .filter((match) => match.own < ANCHOR_COST)
    .map(({ cueFrom, from }) => ({
      plannedSeconds: cues[cueFrom].startSeconds,
      takenSeconds: speech[from].startSeconds,
    }));
  return bestPath({ ...guess, rate: rateOf(guess, first), tempo: tempoAlong(anchors, guess.slowness) }).path;
}

function bestPath(task: Task): { readonly path: SpeechMatch[]; readonly cost: number } {
  const { cues, speech, costs } = task;
  const remarks = remarkSums(speech, costs);
  const ending: SpeechMatch[][] = Array.from({ length: cues.length + 1 }, () => []);
  let best: SpeechMatch | null = null;
  let bestCost = Infinity;
  for (let cueTo = 1; cueTo <= cues.length; cueTo++) {
    const matches = matchesEnding(task, cueTo)
      // Dearer than passing over its cues and stretches: never part of the best path.
      .filter((one) => one.own <= costs.skip * (one.cueTo - one.cueFrom) + remarks[one.to] - remarks[one.from])
      .sort((a, b) => a.to - b.to);
    for (const match of matches) {
      link(task, match, ending, remarks);
      ending[cueTo].push(match);
      const total = match.cost + unsaid(costs, cues.length - cueTo) + remarks[speech.length] - remarks[match.to];
      if (total < bestCost) [best, bestCost] = [match, total];
    }
  }
  const path: SpeechMatch[] = [];
  for (let at: SpeechMatch | null = best; at; at = at.before) path.push(at);
  return { path: path.reverse(), cost: bestCost };
}

/** Chooses the cheapest match before this one. */
function link(
  { cues, speech, tempo, costs }: Task,
  match: SpeechMatch,
  ending: readonly (readonly SpeechMatch[])[],
  remarks: Float64Array,
): void {
  const first = cues[match.cueFrom];
  const start = speech[match.from].startSeconds;
  const slow = tempo(first.startSeconds);
  const alone = Math.min(costs.gapAtMost, Math.abs(start - first.startSeconds * slow) / 20);
  let cost = unsaid(costs, match.cueFrom) + remarks[match.from] + alone;
  for (let cueEnd = match.cueFrom; cueEnd >= Math.max(1, match.cueFrom - CUES_BACK); cueEnd--) {
    const gap = (first.startSeconds - cues[cueEnd - 1].startSeconds) * slow;
    const passed = costs.skip * (match.cueFrom - cueEnd) + remarks[match.from];
    const allowed = costs.gapSeconds + costs.gapShare * gap;
    const earlier = ending[cueEnd];
    for (let at = countUpTo(earlier, match.from) - 1; at >= 0; at--) {
      const before = earlier[at];
      if (match.from - before.to > STRETCHES_BACK) break;
      const stray = Math.abs(start - before.lastOnset - gap) / allowed;
      const total = before.cost + passed - remarks[before.to] + Math.min(costs.gapAtMost, stray);
      if (total < cost) {
        cost = total;
        match.before = before;
      }
    }
  }
  match.cost = cost + match.own;
}

/** What it costs that so many cues at an end of the class were not said: a take that begins late or breaks off is one event. */
function unsaid(costs: Costs, cues: number): number {
  return Math.min(costs.skip * cues, EDGE.most + EDGE.each * cues);
}

/** How many of the matches, ordered by where they end, end at or before stretch `to`. */
function countUpTo(matches: readonly SpeechMatch[], to: number): number {
  let low = 0;
  let high = matches.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (matches[middle].to <= to) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** All matches whose last cue is the one before `cueTo`, within the band of times it could be said at. */
function matchesEnding(task: Task, cueTo: number): SpeechMatch[] {
  const { cues, speech } = task;
  const made: SpeechMatch[] = [];
  const centre = cues[cueTo - 1].startSeconds * task.slowness;
  const reach = REACH + REACH_SHARE * centre;
  const last = centre + reach;
  for (let from = firstFrom(speech, centre - reach); from < speech.length && speech[from].startSeconds < last; from++) {
    for (let to = from + 1; to <= Math.min(speech.length, from + STRETCHES_A_CUE); to++) {
      if (to > from + 1 && speech[to - 1].startSeconds - speech[to - 2].endSeconds > WITHIN_CUE_GAP) break;
      made.push(matchOf(task, cueTo - 1, cueTo, from, to));
    }
    for (let cueFrom = cueTo - 2; cueFrom >= Math.max(0, cueTo - CUES_A_STRETCH); cueFrom--) {
      if (cues[cueFrom + 1].startSeconds - cues[cueFrom].endSeconds > SHARED_GAP) break;
      made.push(matchOf(task, cueFrom, cueTo, from, from + 1));
    }
  }
  return made;
}

function matchOf(task: Task, cueFrom: number, cueTo: number, from: number, to: number): SpeechMatch {
  const { cues, speech, likeness, rate, costs } = task;
  const start = speech[from].startSeconds;
  const spoken = speech[to - 1].endSeconds - start;
  const planned = plannedLength(cues, cueFrom, cueTo);
  const joins = to - from - 1 + (cueTo - cueFrom - 1);
  let own = Math.min(costs.lengthAtMost, costs.length * Math.abs(Math.log(spoken / (planned * rate))));
  own += costs.joined * joins;
  if (likeness) {
    // Of several cues in one stretch no text can be told.
    const unlike = cueTo - cueFrom === 1 ? (likeness(from, to, cues[cueFrom].text) ?? LIKENESS.unlikest) : 0;
    own += LIKENESS.cost * (Math.max(LIKENESS.likest, Math.min(LIKENESS.unlikest, unlike)) + LIKENESS.from);
  }
  const share = (cues[cueTo - 1].startSeconds - cues[cueFrom].startSeconds) / planned;
  return { cueFrom, cueTo, from, to, own, lastOnset: start + spoken * share, cost: Infinity, before: null };
}

/** From the start of the first to the end of the last, as planned. */
export function plannedLength(cues: readonly Cue[], cueFrom: number, cueTo: number): Seconds {
  return Math.max(0.1, cues[cueTo - 1].endSeconds - cues[cueFrom].startSeconds);
}

/** What it costs to leave the first `n` stretches out of every cue. */
function remarkSums(speech: readonly SpeechStretch[], costs: Costs): Float64Array {
  const sums = new Float64Array(speech.length + 1);
  speech.forEach(({ startSeconds, endSeconds, likely }, index) => {
    const cost = costs.remark + costs.remarkSecond * Math.min(6, endSeconds - startSeconds);
    sums[index + 1] = sums[index] + cost * Math.min(1, 0.3 + likely);
  });
  return sums;
}

/**
 * How much longer the take may be than the plan: as long as the whole of it is, held between 0.6 and 1.7; and, where
 * that is far off, as long as planned, for a take of a part of the class.
 */
function slownessGuesses(cues: readonly Cue[], speech: readonly SpeechStretch[]): number[] {
  const plannedEnd = cues[cues.length - 1].endSeconds;
  const takenEnd = speech[speech.length - 1].endSeconds;
  const whole = Math.min(1.7, Math.max(0.6, takenEnd / Math.max(1, plannedEnd)));
  return whole < 0.8 || whole > 1.4 ? [whole, 1] : [whole];
}

/** The middle of how much longer cues were said than expected. */
function rateOf({ cues, speech }: Task, path: readonly SpeechMatch[]): number {
  const ratios = path
    .map(({ cueFrom, cueTo, from, to }) => {
      const spoken = speech[to - 1].endSeconds - speech[from].startSeconds;
      return spoken / plannedLength(cues, cueFrom, cueTo);
    })
    .filter((ratio) => ratio > 0.3 && ratio < 3)
    .sort((a, b) => a - b);
  return ratios[Math.floor(ratios.length / 2)] ?? 1;
}

function firstFrom(speech: readonly SpeechStretch[], seconds: Seconds): number {
  let low = 0;
  let high = speech.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (speech[middle].startSeconds < seconds) low = middle + 1;
    else high = middle;
  }
  return low;
}
