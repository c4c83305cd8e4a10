import type { Cue } from '@/core/timeline';
import { countWhere, itemAt, type Seconds } from '@/core/units';
import type { SpeechMatch, SpeechStretch } from '../model';
import type { Tempo } from './tempo';
import { type TextDistances } from '../text-distances';

/*
 * What a match of cues with stretches of speech costs: on expected length, on the gap to the match before against the
 * planned gap under a tempo that may wander, and on how like each text sounds. A cue may take several stretches (a
 * pause for breath), the first of which may only lead in, or share one with its neighbours (no pause at all). The
 * costs are robust: an interruption is paid once and no more.
 */

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

/** Of many cues not said in a row: a take that begins late or breaks off, and a step left out, are one event. */
const EVENT = { max: 12, each: 0.3 };

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
