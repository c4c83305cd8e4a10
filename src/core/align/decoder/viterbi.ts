import type { Cue } from '@/core/timeline';
import { itemAt, type Seconds } from '@/core/units';
import { expectation, type Anchor } from '../anchors';
import { adLibSums, costsFor, ending, farCost, type Task } from './costs';
import { matchesEnding, plannedLength } from './matches';
import { FenwickMinimum } from './fenwick-minimum';
import { posteriorsOf, type Posteriors } from './posteriors';
import type { SpeechStretch } from '../model';
import { tempoAlong } from './tempo';
import { CUES_BACK, MatchColumn, Transitions } from './transitions';
import { type HeardText, type TextDistances } from '../text-distances';
import { PART, type SpeechMatch } from '../model';

/** Where a cue is looked for: this far to either side of its place at the guessed tempo, and a share of the time so far. */
const REACH: Seconds = 45;
const REACH_SHARE = 0.2;
const LEFT_OUT: Seconds = 300;
/** The same once a way has been found, about it; and a share of the time to the nearest anchor. */
const REACH_ABOUT: Seconds = 25;
const REACH_AWAY = 0.3;
/** A match that costs less by itself is an anchor for the tempo. */
const ANCHOR_COST = 0.5;
const ANCHORS_AT_LEAST = 6;
/** So many that are known before are believed. */
const KNOWN_AT_LEAST = 2;
/** A cue may lie as much further from where they have it: one of them may be wrong. */
const KNOWN_REACH: Seconds = 30;
/** The voice is learned from matches that cost less by themselves, in so many passes. */
const LEARNED_COST = 2.5;
const LEARNING_PASSES = 3;

export interface MatchedSpeech {
  /** In order. */
  readonly path: readonly SpeechMatch[];
  readonly odds: Posteriors;
  /** The distances as learned from the take. */
  readonly distances: TextDistances | null;
  /** Seconds taken for one planned, where nothing nearer is known. */
  readonly slowness: number;
}

/**
 * The cheapest order-preserving match of cues with stretches of speech. Several passes: the later ones know how fast
 * the voice is, the tempo of each part of the take, and how the voice sounds. Cues and stretches are in order of time;
 * neither may be empty. Where many cues in a row were not found, a step may be left out: it is matched again with leave
 * to jump, and the cheaper of the two stands. A first pass with that leave goes astray in noise: it knows no voice yet.
 */
export function decode(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  distances: TextDistances | null,
  known: readonly Anchor[] = [],
  onPass: () => void = () => undefined,
): MatchedSpeech {
  const plain = matchedIn(cues, speech, distances, known, false, onPass);
  const jumped = lacksMany(cues, plain.way.path) ? matchedIn(cues, speech, distances, known, true, onPass) : plain;
  const { way, task, slowness } = jumped.way.cost < plain.way.cost ? jumped : plain;
  return { path: way.path, odds: posteriorsOf(task, way.columns, way.adLibs), distances: task.distances, slowness };
}

/** So many cues in a row are more than anybody skips one by one. */
const MANY = 5;

function lacksMany(cues: readonly Cue[], path: readonly SpeechMatch[]): boolean {
  const ends = [0, ...path.map(({ cueTo }) => cueTo)];
  const starts = [...path.map(({ cueFrom }) => cueFrom), cues.length];
  return starts.some((start, at) => start - (ends[at] ?? 0) >= MANY);
}

function matchedIn(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  distances: TextDistances | null,
  known: readonly Anchor[],
  jumps: boolean,
  onPass: () => void,
): { readonly way: Way; readonly task: Task; readonly slowness: number } {
  const costs = costsFor(distances);
  const slownesses = known.length < KNOWN_AT_LEAST ? slownessGuesses(cues, speech) : [slownessBy(known)];
  const tries = slownesses.map((slowness) => {
    const further = jumps ? skipped(cues, speech, slowness) : 0;
    const place = known.length < KNOWN_AT_LEAST ? placeAt(slowness, further) : placeAbout(known, further + KNOWN_REACH);
    const task: Task = { cues, speech, distances, costs, jumps, rate: 1, tempo: tempoAlong(known, slowness), place };
    const way = viterbi(task);
    onPass();
    return { slowness, task, way };
  });
  const first = tries.reduce((best, one) => (one.way.cost < best.way.cost ? one : best));
  const { slowness } = first;
  let { way } = first;
  let task: Task = { ...first.task, ...learnedFrom(first.task, way.path, slowness) };
  for (let pass = 0; pass < LEARNING_PASSES; pass++) {
    const adapted = task.distances?.adaptedTo(heardTexts(task, way.path)) ?? null;
    if (pass > 0 && adapted === task.distances) break;
    task = { ...task, distances: adapted };
    const next = viterbi(task);
    onPass();
    const settled = sameWay(next.path, way.path);
    way = next;
    if (settled) break;
  }
  return { way, task, slowness };
}

/** The cheapest way of a task, and its odds. Nothing is learned. */
export function decodeOnce(task: Task): Pick<MatchedSpeech, 'path' | 'odds'> {
  const { path, columns, adLibs } = viterbi(task);
  return { path, odds: posteriorsOf(task, columns, adLibs) };
}

/** The task that a way tells of: how fast the voice is, the tempo of each part, and about where each cue is. */
export function taskAbout(
  given: Pick<Task, 'cues' | 'speech' | 'distances'>,
  path: readonly SpeechMatch[],
  slowness: number,
): Task {
  const costs = costsFor(given.distances);
  const whole = { ...given, costs, jumps: true, rate: 1, tempo: () => slowness, place: placeAt(slowness) };
  return { ...whole, ...learnedFrom(whole, path, slowness) };
}

/** Where a cue is looked for while nothing but a guess of the tempo is known, and `further` away than usual. */
function placeAt(slowness: number, further: Seconds = 0): Task['place'] {
  return (planned) => {
    const centre = planned * slowness;
    return { centre, reach: Math.max(further, REACH_SHARE * centre) + REACH };
  };
}

/** What the take lacks of its class at a tempo: a step may be left out. No more is looked for than a few minutes. */
function skipped(cues: readonly Cue[], speech: readonly SpeechStretch[], slowness: number): Seconds {
  const lacking = itemAt(cues, cues.length - 1).endSeconds * slowness - itemAt(speech, speech.length - 1).endSeconds;
  return Math.min(LEFT_OUT, Math.max(0, lacking));
}

interface Way {
  readonly path: readonly SpeechMatch[];
  readonly cost: number;
  /** Every match, by the cue that it ends with. */
  readonly columns: readonly MatchColumn[];
  readonly adLibs: Float64Array;
}

function viterbi(task: Task): Way {
  const { cues } = task;
  const adLibs = adLibSums(task);
  const columns = [new MatchColumn([], 0, adLibs)];
  const transitions = new Transitions(task, columns, adLibs);
  const farBefore = new FenwickMinimum<SpeechMatch>(task.speech.length + 1);
  const { leaving, coming } = farCost(task, adLibs);
  const leftOver = adLibs[task.speech.length] ?? 0;
  let best: SpeechMatch | null = null;
  let bestCost = Infinity;
  let count = 0;
  for (let cueTo = 1; cueTo <= cues.length; cueTo++) {
    const matches = matchesEnding(task, cueTo, adLibs);
    for (const before of (task.jumps && columns[cueTo - 1 - CUES_BACK]?.matches) || [])
      farBefore.put(before.to, leaving(before), before);
    for (const match of matches) {
      const far = farBefore.upTo(match.from);
      if (far) match.far = { before: far.item, cost: far.cost - far.item.cost + coming(match) };
      match.cost = transitions.cheapestTo(match) + match.own;
      // With nothing matched after it, what was said from then on is left over at least.
      if (match.cost + leftOver - (adLibs[match.to] ?? 0) >= bestCost) continue;
      const total = match.cost + ending(task, match, adLibs);
      if (total >= bestCost) continue;
      best = match;
      bestCost = total;
    }
    columns.push(new MatchColumn(matches, count, adLibs));
    count += matches.length;
  }
  const path: SpeechMatch[] = [];
  for (let at: SpeechMatch | null = best; at; at = at.before) path.push(at);
  return { path: path.reverse(), cost: bestCost, columns, adLibs };
}

function sameWay(one: readonly SpeechMatch[], other: readonly SpeechMatch[]): boolean {
  return (
    one.length === other.length &&
    one.every(({ cueFrom, from }, at) => cueFrom === itemAt(other, at).cueFrom && from === itemAt(other, at).from)
  );
}

/** What a first way tells: how fast the voice is, the tempo of each part, and about where each cue is. */
function learnedFrom(
  task: Task,
  path: readonly SpeechMatch[],
  slowness: number,
): Pick<Task, 'rate' | 'tempo' | 'place'> {
  const anchors = anchorsOf(task.cues, path);
  return {
    rate: rateOf(task, path),
    tempo: tempoAlong(anchors, slowness),
    place: anchors.length >= ANCHORS_AT_LEAST ? placeAbout(anchors) : task.place,
  };
}

/** The matches that are good enough to tell the tempo by. */
export function anchorsOf(cues: readonly Cue[], path: readonly SpeechMatch[]): Anchor[] {
  return path
    .filter((match) => match.own < ANCHOR_COST)
    .map(({ cueFrom, onset }) => ({ plannedStart: itemAt(cues, cueFrom).startSeconds, actualStart: onset }));
}

/** Where a cue is looked for between anchors, and `further` away than usual. */
export function placeAbout(anchors: readonly Anchor[], further: Seconds = 0): Task['place'] {
  const expected = expectation(anchors);
  return (planned) => ({
    centre: expected(planned),
    reach: REACH_ABOUT + further + REACH_AWAY * toNearest(anchors, planned),
  });
}

/** From a planned time to the anchor before or after it, whichever is nearer. */
function toNearest(anchors: readonly Anchor[], planned: Seconds): Seconds {
  let min = Infinity;
  for (const { plannedStart } of anchors) min = Math.min(min, Math.abs(plannedStart - planned));
  return min;
}

/** Which texts were said where, by a way so far: of matches with one cue. */
export function heardTexts({ cues }: Task, path: readonly SpeechMatch[]): HeardText[] {
  return path
    .filter(({ cueFrom, cueTo, from, to, led, own }) => {
      return cueTo - cueFrom === 1 && to > from && led !== PART && own < LEARNED_COST;
    })
    .map(({ cueFrom, from, to, led }) => ({ from: from + led, to, text: itemAt(cues, cueFrom).text }));
}

/**
 * How much longer the take may be than the plan: as long as the whole of it is, held between 0.6 and 1.7; and, where
 * that is far off, as long as planned, for a take of a part of the class.
 */
function slownessGuesses(cues: readonly Cue[], speech: readonly SpeechStretch[]): number[] {
  const plannedEnd = itemAt(cues, cues.length - 1).endSeconds;
  const takenEnd = itemAt(speech, speech.length - 1).endSeconds;
  const whole = Math.min(1.7, Math.max(0.6, takenEnd / Math.max(1, plannedEnd)));
  return whole < 0.8 || whole > 1.4 ? [whole, 1] : [whole];
}

/** The tempo from the first to the last of anchors, which are in order; held between 0.6 and 1.7. */
export function slownessBy(anchors: readonly Anchor[]): number {
  const [first, last] = [itemAt(anchors, 0), itemAt(anchors, anchors.length - 1)];
  const planned = last.plannedStart - first.plannedStart;
  return planned > 0 ? Math.min(1.7, Math.max(0.6, (last.actualStart - first.actualStart) / planned)) : 1;
}

/** The middle of how much longer cues were said than expected. */
export function rateOf({ cues, speech }: Task, path: readonly SpeechMatch[]): number {
  const ratios = path
    .filter(({ from, to }) => to > from)
    .map(({ cueFrom, cueTo, from, to }) => {
      const spoken = itemAt(speech, to - 1).endSeconds - itemAt(speech, from).startSeconds;
      return spoken / plannedLength(cues, cueFrom, cueTo);
    })
    .filter((ratio) => ratio > 0.3 && ratio < 3)
    .sort((a, b) => a - b);
  return ratios[Math.floor(ratios.length / 2)] ?? 1;
}
