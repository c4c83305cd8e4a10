import type { Cue } from '@/core/timeline';
import { itemAt, type Seconds } from '@/core/units';
import { PART, type SpeechMatch, type SpeechStretch } from '../model';
import type { Tempo } from './tempo';
import { type TextDistances } from '../text-distances';

/*
 * What a match of cues with stretches of speech costs: on expected length, on the gap to the match before against the
 * planned gap under a tempo that may wander, and on how like each text sounds. A cue may take several stretches (a
 * pause for breath), the first of which may only lead in, or share one with its neighbours (no pause at all). The
 * costs are robust: an interruption is paid once and no more.
 */

const STRETCHES_A_CUE = 5;
const CUES_A_STRETCH = 3;
/** Stretches of one cue are parted by less than this; cues that share one are planned closer than this. */
const WITHIN_CUE_GAP: Seconds = 0.9;
const SHARED_GAP: Seconds = 0.7;
/**
 * A stretch that leads in ("okay", "and now") is no longer, and its cue no further behind it. Where it runs into its cue,
 * the stretch of both is longer than the cue by something between these.
 */
const LEAD_IN = { longest: 0.95, gap: 0.45, withinLeast: 0.44, withinMost: 1.1 };

export interface Costs {
  readonly skip: number;
  /** Of a stretch that belongs to no cue, and of each second of it; less where it is hardly a voice. */
  readonly adLib: number;
  readonly adLibSecond: number;
  /** Of a gap that is off by what is allowed: so many seconds, and a share of the gap. */
  readonly gapAtMost: number;
  readonly gapSeconds: number;
  readonly gapShare: number;
  /** Of a length off by a factor of e. */
  readonly length: number;
  readonly lengthAtMost: number;
  readonly joined: number;
  /** Of a word or two that only lead in, as a stretch of their own or within the first of the cue. */
  readonly leadIn: number;
  readonly leadWithin: number;
  /** So much dearer is a way one e-th as likely. */
  readonly temperature: number;
  /** Of a unit of distance, counted from here and held between bounds. */
  readonly distance: {
    readonly cost: number;
    readonly from: number;
    readonly likest: number;
    readonly unlikest: number;
  };
}

/** Where length and time alone tell cues apart; found on synthetic takes in quiet rooms. */
const BY_LENGTH: Costs = {
  skip: 2.6,
  adLib: 1.5,
  adLibSecond: 0.25,
  gapAtMost: 3.2,
  gapSeconds: 0.6,
  gapShare: 0.14,
  length: 3.2,
  lengthAtMost: 4,
  joined: 0.3,
  leadIn: 0.8,
  leadWithin: 0.8,
  temperature: 1.5,
  distance: { cost: 0, from: 0, likest: 0, unlikest: 0 },
};

/** Where texts are heard; found on one half of the synthetic takes of `docs/alignment.md`. */
const BY_SOUND: Costs = {
  skip: 2.04,
  adLib: 1.59,
  adLibSecond: 0.05,
  gapAtMost: 5.06,
  gapSeconds: 0.51,
  gapShare: 0.11,
  length: 0.79,
  lengthAtMost: 3,
  joined: 0.49,
  leadIn: 0.52,
  leadWithin: 1.59,
  temperature: 2,
  distance: { cost: 2.22, from: 0.58, likest: -3.14, unlikest: 0.39 },
};

/** Where words are known: several that share nothing with a text are surely another. */
const BY_WORDS: Costs = {
  skip: 2.4,
  adLib: 1.2,
  adLibSecond: 0,
  gapAtMost: 7,
  gapSeconds: 0.7,
  gapShare: 0.11,
  length: 0.6,
  lengthAtMost: 3,
  joined: 0.5,
  leadIn: 0.85,
  leadWithin: 1.2,
  temperature: 1.5,
  distance: { cost: 1.93, from: 0.58, likest: -4.35, unlikest: 2.8 },
};

export function costsFor(distances: TextDistances | null): Costs {
  if (!distances) return BY_LENGTH;
  return distances.by === 'words' ? BY_WORDS : BY_SOUND;
}

/** A text that the lengths rule out is as unlike as sound can tell. */
const UNASKED = 0.4;
/** Of many cues not said in a row: a take that begins late or breaks off, and a step left out, are one event. */
const EVENT = { max: 12, each: 0.3 };
/** What is held is part of every way. */
export const HELD = -1e6;

export interface Task {
  readonly cues: readonly Cue[];
  readonly speech: readonly SpeechStretch[];
  readonly distances: TextDistances | null;
  readonly costs: Costs;
  /** Whether many cues in a row may be passed over. */
  readonly jumps: boolean;
  /** What every way goes through, by the last cue of each match; `null` for a cue that ends none. */
  readonly held?: ReadonlyMap<number, SpeechMatch | null>;
  /** Length of what is said over what is expected. */
  readonly rate: number;
  readonly tempo: Tempo;
  /** Where a cue planned at a time is looked for. */
  readonly place: (plannedStart: Seconds) => { readonly centre: Seconds; readonly reach: Seconds };
}

/** What it costs to leave the first `n` stretches out of every cue. */
export function adLibSums({ speech, costs }: Task): Float64Array {
  const sums = new Float64Array(speech.length + 1);
  speech.forEach(({ startSeconds, endSeconds, likely }, index) => {
    const cost = costs.adLib + costs.adLibSecond * Math.min(6, endSeconds - startSeconds);
    sums[index + 1] = (sums[index] ?? 0) + cost * Math.min(1, 0.3 + likely);
  });
  return sums;
}

/**
 * What it costs that so many cues at an end of the class were not said. Those that the take has time for were skipped
 * one by one; the others are one event, a take that begins late or breaks off.
 */
function unsaid({ costs }: Task, cues: number, timeFor: number): number {
  const outside = cues - timeFor;
  return costs.skip * timeFor + Math.min(costs.skip * outside, EVENT.max + EVENT.each * outside);
}

/** What it costs that a match begins where nothing was matched before. */
export function beginning(task: Task, match: SpeechMatch, adLibs: Float64Array): number {
  const { cues, speech, costs } = task;
  const first = itemAt(cues, match.cueFrom);
  const slow = task.tempo(first.startSeconds);
  const off = Math.abs(match.onset - first.startSeconds * slow);
  const room = (match.onset - itemAt(speech, 0).startSeconds) / slow;
  // Cues that start later than the take does, by the plan.
  const timeFor =
    match.cueFrom - countWhere(match.cueFrom, (at) => first.startSeconds - itemAt(cues, at).startSeconds >= room);
  return unsaid(task, match.cueFrom, timeFor) + (adLibs[match.from] ?? 0) + Math.min(costs.gapAtMost, off / 20);
}

/** What it costs that nothing is matched after a match. */
export function ending(task: Task, match: SpeechMatch, adLibs: Float64Array): number {
  const { cues, speech } = task;
  const last = itemAt(cues, match.cueTo - 1);
  const room = (itemAt(speech, speech.length - 1).endSeconds - match.lastOnset) / task.tempo(last.startSeconds);
  const after = cues.length - match.cueTo;
  const timeFor = countWhere(after, (at) => itemAt(cues, match.cueTo + at).startSeconds - last.startSeconds < room);
  return unsaid(task, after, timeFor) + (adLibs[speech.length] ?? 0) - (adLibs[match.to] ?? 0);
}

/** How many of the places from 0 are so, where all that are come before all that are not. */
function countWhere(places: number, isSo: (at: number) => boolean): number {
  let low = 0;
  let high = places;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (isSo(middle)) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * What it costs to go on from a match many cues before, in two parts, so that the cheapest can be found among all of
 * them: what leaving the one costs, and what coming to the other. A step left out is one event; time of the take that
 * is passed over with it costs what skipping the cues would that it has time for. The gap is off by as much as can be.
 */
export function farCost(
  { cues, costs, tempo }: Task,
  adLibs: Float64Array,
): { readonly leaving: (before: SpeechMatch) => number; readonly coming: (match: SpeechMatch) => number } {
  const planned = Math.max(1, itemAt(cues, cues.length - 1).endSeconds - itemAt(cues, 0).startSeconds);
  const second = (costs.skip * cues.length) / (planned * tempo(itemAt(cues, 0).startSeconds));
  return {
    leaving: (before) => before.cost - (adLibs[before.to] ?? 0) - EVENT.each * before.cueTo - second * before.lastOnset,
    coming: (match) =>
      (adLibs[match.from] ?? 0) + EVENT.max + EVENT.each * match.cueFrom + second * match.onset + costs.gapAtMost,
  };
}

/** All matches whose last cue is the one before `cueTo`, in order of `to`, that may be part of the cheapest way. */
export function matchesEnding(task: Task, cueTo: number, adLibs: Float64Array): SpeechMatch[] {
  const { cues, speech, costs } = task;
  const last = itemAt(cues, cueTo - 1);
  const held = task.held?.get(cueTo - 1);
  if (held !== undefined) return held ? [{ ...held, cost: Infinity, before: null, far: null }] : [];
  const made: SpeechMatch[] = [];
  const keep = (cueFrom: number, from: number, to: number, led = 0): void => {
    // Dearer than passing over its cues and stretches: never part of the best way.
    const instead = costs.skip * (cueTo - cueFrom) + (adLibs[to] ?? 0) - (adLibs[from] ?? 0);
    const own = ownCost(task, cueFrom, cueTo, from, to, led);
    if (own <= instead) made.push(placed(task, { cueFrom, cueTo, from, to, led, own }));
  };
  const { centre, reach } = task.place(last.startSeconds);
  const end = centre + reach;
  for (
    let from = firstFrom(speech, centre - reach);
    from < speech.length && itemAt(speech, from).startSeconds < end;
    from++
  ) {
    const led = leadsIn(speech, from);
    for (let to = from + 1; to <= Math.min(speech.length, from + STRETCHES_A_CUE); to++) {
      if (to > from + 1 && itemAt(speech, to - 1).startSeconds - itemAt(speech, to - 2).endSeconds > WITHIN_CUE_GAP)
        break;
      keep(cueTo - 1, from, to);
      if (led && to > from + 1) keep(cueTo - 1, from, to, 1);
    }
    if (task.distances && leadsWithin(task, cueTo - 1, from)) keep(cueTo - 1, from, from + 1, PART);
    for (let cueFrom = cueTo - 2; cueFrom >= Math.max(0, cueTo - CUES_A_STRETCH); cueFrom--) {
      if (task.held?.has(cueFrom)) break;
      if (itemAt(cues, cueFrom + 1).startSeconds - itemAt(cues, cueFrom).endSeconds > SHARED_GAP) break;
      keep(cueFrom, from, from + 1);
    }
  }
  return made.sort((a, b) => a.to - b.to);
}

/**
 * A cue said at a time whatever was heard: it takes the stretches that begin about there for as long as it lasts, and
 * the one before where most of that lies in its time.
 */
export function matchAt(
  { cues, speech, rate }: Pick<Task, 'cues' | 'speech' | 'rate'>,
  cue: number,
  onset: Seconds,
): SpeechMatch {
  const lasts = plannedLength(cues, cue, cue + 1) * rate;
  let from = firstFrom(speech, onset - 0.3);
  const before = speech.at(from - 1);
  if (before && from > 0) {
    const shared = Math.min(before.endSeconds, onset + lasts) - onset;
    if (shared > 0.5 * Math.min(lasts, before.endSeconds - before.startSeconds)) from--;
  }
  const end = onset + lasts * 0.8;
  let to = from;
  while (to < speech.length && itemAt(speech, to).startSeconds < end) to++;
  const times = { onset, lastOnset: onset, cost: Infinity, before: null, far: null };
  return { cueFrom: cue, cueTo: cue + 1, from, to, led: 0, own: HELD, ...times };
}

/** Whether a stretch is short and close before the next. */
function leadsIn(speech: readonly SpeechStretch[], at: number): boolean {
  const { startSeconds, endSeconds } = itemAt(speech, at);
  if (endSeconds - startSeconds > LEAD_IN.longest || at + 1 >= speech.length) return false;
  return itemAt(speech, at + 1).startSeconds - endSeconds <= LEAD_IN.gap;
}

/** Whether a stretch is longer than a cue by about a word or two. */
function leadsWithin({ cues, speech, rate }: Task, cue: number, at: number): boolean {
  const longer =
    itemAt(speech, at).endSeconds - itemAt(speech, at).startSeconds - plannedLength(cues, cue, cue + 1) * rate;
  return longer > LEAD_IN.withinLeast && longer < LEAD_IN.withinMost;
}

/** Of its length and its distance. `led` of the stretches only lead in: they belong to the cue, but are not its words. */
function ownCost(task: Task, cueFrom: number, cueTo: number, from: number, to: number, led: number): number {
  const { cues, speech, distances, rate, costs } = task;
  const within = led === PART;
  const words = within ? from : from + led;
  const planned = plannedLength(cues, cueFrom, cueTo);
  const spoken = within ? planned * rate : itemAt(speech, to - 1).endSeconds - itemAt(speech, words).startSeconds;
  const joins = to - words - 1 + (cueTo - cueFrom - 1);
  let own = Math.min(costs.lengthAtMost, costs.length * Math.abs(Math.log(spoken / (planned * rate))));
  own += costs.joined * joins + (within ? costs.leadWithin : costs.leadIn * led);
  if (distances) {
    const { text } = itemAt(cues, cueFrom);
    const asked = within ? distances.distanceOfEnd(from, to, text) : distances.distance(words, to, text);
    const { cost, from: counted, likest, unlikest } = costs.distance;
    // Of several cues in one stretch no text can be told, nor of lengths that rule it out.
    const unlike = cueTo - cueFrom === 1 ? (asked ?? UNASKED) : 0;
    own += cost * (Math.max(likest, Math.min(unlikest, unlike)) + counted);
  }
  return own;
}

/** A match with its times, before any way leads to it. */
export function placed(
  { cues, speech }: Pick<Task, 'cues' | 'speech'>,
  match: Pick<SpeechMatch, 'cueFrom' | 'cueTo' | 'from' | 'to' | 'led' | 'own'>,
): SpeechMatch {
  const { cueFrom, cueTo, from, to } = match;
  const onset = itemAt(speech, from).startSeconds;
  const share =
    (itemAt(cues, cueTo - 1).startSeconds - itemAt(cues, cueFrom).startSeconds) / plannedLength(cues, cueFrom, cueTo);
  const lastOnset = onset + (itemAt(speech, to - 1).endSeconds - onset) * share;
  const { led, own } = match;
  // Fields are written out one by one: spreading an object here took ten times as long.
  return { cueFrom, cueTo, from, to, led, own, onset, lastOnset, cost: Infinity, before: null, far: null };
}

/** From the start of the first to the end of the last, as planned. */
export function plannedLength(cues: readonly Cue[], cueFrom: number, cueTo: number): Seconds {
  return Math.max(0.1, itemAt(cues, cueTo - 1).endSeconds - itemAt(cues, cueFrom).startSeconds);
}

function firstFrom(speech: readonly SpeechStretch[], seconds: Seconds): number {
  return countWhere(speech.length, (at) => itemAt(speech, at).startSeconds < seconds);
}
