import type { Cue } from '@/core/timeline';
import { countWhere, itemAt, type Seconds } from '@/core/units';
import { PART, type SpeechMatch, type SpeechStretch } from '../model';
import type { Task } from './costs';

/*
 * The matches that a cue may have, and what each costs by itself. A cue may take several stretches, the first of which
 * may only lead in, or share one with its neighbours.
 */

export const STRETCHES_A_CUE = 5;
export const CUES_A_STRETCH = 3;
/** Stretches of one cue are parted by less than this; cues that share one are planned closer than this. */
export const WITHIN_CUE_GAP: Seconds = 0.9;
export const SHARED_GAP: Seconds = 0.7;
/**
 * A stretch that leads in ("okay", "and now") is no longer, and its cue no further behind it. Where it runs into its cue,
 * the stretch of both is longer than the cue by something between these.
 */
const LEAD_IN = { longest: 0.95, gap: 0.45, withinLeast: 0.44, withinMost: 1.1 };
/** A text that the lengths rule out is as unlike as sound can tell. */
const UNASKED = 0.4;
/** What is held is part of every way. */
export const HELD = -1e6;

/**
 * The matches whose last cue is the one before `cueTo`, in order of `to`, that may be part of the cheapest way; where
 * there are more than are worth comparing, those that cost least by themselves.
 */
export function matchesEnding(task: Task, cueTo: number, adLibs: Float64Array): SpeechMatch[] {
  const { cues, speech } = task;
  const last = itemAt(cues, cueTo - 1);
  const held = task.held?.get(cueTo - 1);
  if (held !== undefined) return held ? [{ ...held, cost: Infinity, before: null, far: null }] : [];
  const candidates = new Candidates(task, cueTo, adLibs);
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
      candidates.keep(cueTo - 1, from, to, 0);
      if (led && to > from + 1) candidates.keep(cueTo - 1, from, to, 1);
    }
    if (task.distances && leadsWithin(task, cueTo - 1, from)) candidates.keep(cueTo - 1, from, from + 1, PART);
    for (let cueFrom = cueTo - 2; cueFrom >= Math.max(0, cueTo - CUES_A_STRETCH); cueFrom--) {
      if (task.held?.has(cueFrom)) break;
      if (itemAt(cues, cueFrom + 1).startSeconds - itemAt(cues, cueFrom).endSeconds > SHARED_GAP) break;
      candidates.keep(cueFrom, from, from + 1, 0);
    }
  }
  return candidates.likeliest();
}

/** Matches of one cue while they are looked for, as numbers side by side: most of them are never compared. */
class Candidates {
  private readonly cueFroms: number[] = [];
  private readonly froms: number[] = [];
  private readonly tos: number[] = [];
  private readonly leads: number[] = [];
  private readonly owns: number[] = [];

  constructor(
    private readonly task: Task,
    private readonly cueTo: number,
    private readonly adLibs: Float64Array,
  ) {}

  /** Keeps one, unless it is dearer than passing over its cues and stretches: never part of the best way. */
  keep(cueFrom: number, from: number, to: number, led: number): void {
    const { cueTo, adLibs, task } = this;
    const instead = task.costs.skip * (cueTo - cueFrom) + (adLibs[to] ?? 0) - (adLibs[from] ?? 0);
    const own = ownCost(task, cueFrom, cueTo, from, to, led);
    if (own > instead) return;
    this.cueFroms.push(cueFrom);
    this.froms.push(from);
    this.tos.push(to);
    this.leads.push(led);
    this.owns.push(own);
  }

  likeliest(): SpeechMatch[] {
    const { cueTo, tos, owns, task } = this;
    const inOrder = byNumber(tos);
    const kept = leastOf(inOrder, owns, task.distances?.matchesAtMost ?? Infinity);
    return Array.from(kept, (at) =>
      placed(task, {
        cueFrom: itemAt(this.cueFroms, at),
        cueTo,
        from: itemAt(this.froms, at),
        to: itemAt(tos, at),
        led: itemAt(this.leads, at),
        own: itemAt(owns, at),
      }),
    );
  }
}

/** The places of whole numbers from the least to the greatest; of the same in the order they have. */
function byNumber(numbers: readonly number[]): Int32Array {
  const least = numbers.reduce((min, one) => Math.min(min, one), Infinity);
  const greatest = numbers.reduce((max, one) => Math.max(max, one), -Infinity);
  const places = new Int32Array(numbers.length);
  if (numbers.length === 0) return places;
  // Where the places of each number begin.
  const begins = new Int32Array(greatest - least + 2);
  for (const one of numbers) begins[one - least + 1] = (begins[one - least + 1] ?? 0) + 1;
  for (let at = 1; at < begins.length; at++) begins[at] = (begins[at] ?? 0) + (begins[at - 1] ?? 0);
  numbers.forEach((one, place) => {
    const next = begins[one - least] ?? 0;
    places[next] = place;
    begins[one - least] = next + 1;
  });
  return places;
}

/** The `count` places with the least costs, in the order given; of the same cost those that come first. */
function leastOf(places: Int32Array, costs: readonly number[], count: number): Int32Array {
  if (places.length <= count) return places;
  const limit = itemAt(Float64Array.from(costs).sort(), count - 1);
  let atLimit = count - countCheaper(costs, limit);
  return places.filter((place) => {
    const cost = itemAt(costs, place);
    return cost < limit || (cost === limit && atLimit-- > 0);
  });
}

function countCheaper(costs: readonly number[], limit: number): number {
  let count = 0;
  for (const cost of costs) if (cost < limit) count++;
  return count;
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
export function leadsIn(speech: readonly SpeechStretch[], at: number): boolean {
  const { startSeconds, endSeconds } = itemAt(speech, at);
  if (endSeconds - startSeconds > LEAD_IN.longest || at + 1 >= speech.length) return false;
  return itemAt(speech, at + 1).startSeconds - endSeconds <= LEAD_IN.gap;
}

/** Whether a stretch is longer than a cue by about a word or two. */
export function leadsWithin({ cues, speech, rate }: Task, cue: number, at: number): boolean {
  const longer =
    itemAt(speech, at).endSeconds - itemAt(speech, at).startSeconds - plannedLength(cues, cue, cue + 1) * rate;
  return longer > LEAD_IN.withinLeast && longer < LEAD_IN.withinMost;
}

/** Of its length and its distance. `led` of the stretches only lead in: they belong to the cue, but are not its words. */
export function ownCost(task: Task, cueFrom: number, cueTo: number, from: number, to: number, led: number): number {
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
