import { CEPSTRA_SECONDS, COEFFICIENTS } from '@/core/signal';
import type { Cue } from '@/core/timeline';
import { itemAt, type Seconds } from '@/core/units';
import { distancesIn } from '../acoustic/cepstral-distances';
import type { Task } from '../decoder/costs';
import {
  CUES_A_STRETCH,
  leadsIn,
  leadsWithin,
  ownCost,
  placed,
  SHARED_GAP,
  STRETCHES_A_CUE,
  WITHIN_CUE_GAP,
} from '../decoder/matches';
import { tempoAlong } from '../decoder/tempo';
import { anchorsOf, heardTexts, rateOf, slownessBy } from '../decoder/viterbi';
import { PART, type SpeechMatch } from '../model';
import type { HeardText, SaidCepstra, TextDistances } from '../text-distances';
import { LineCosts, type SaidLast } from './line-costs';
import { OnlineSpeech, type OnlineStretch } from './online-speech';
import type { Room } from './room';
import { textsCompressed } from './root-compression';

/*
 * Where a class is while it is given: the same model as for takes, a stretch of speech at a time, with what may come
 * before a stretch and nothing after it (the forward algorithm; Rabiner 1989, from memory). A line is known once the
 * stretch that ends it has ended.
 */

/** Lines after the likely ones that may be said next without a leap. */
const AHEAD = 8;
/** Ways less likely than the likeliest by this power of e are given up; at once where nothing more can end in them. */
const REACH = 5;
/** Matches of the likeliest way that the tempo and the voice are learned from, the least of them, and how often. */
const LEARNED = { most: 60, least: 4, everyStretches: 6 } as const;

/** Of its expected length, what a line takes at least. */
const UNFINISHED = 0.7;

/** One way through what was said so far. */
interface Way extends SaidLast {
  /** The match that it ends with; `null` where it begins. */
  readonly match: SpeechMatch | null;
  /** Stretches up to its end. */
  readonly to: number;
  /** The logarithm of how likely all ways to this end are. */
  readonly log: number;
  readonly before: Way | null;
}

/** Where a class is, by what was heard. */
export interface OnlinePlace {
  /** The line that is said next, or still is, by its place, and how likely that is, 0 to 1. */
  readonly next: number;
  readonly share: number;
  /** The line said last, when it began, and how likely that is; `null` before the first. */
  readonly last: { readonly cue: number; readonly onset: Seconds; readonly share: number } | null;
  /** For how long something else was said since then. */
  readonly asideSeconds: Seconds;
}

/** Follows the lines of a class in what is heard of it. Times are those of the stretches. */
export class OnlineAligner {
  private readonly cues: readonly Cue[];
  private readonly lines: LineCosts;
  private task: Task;
  private ways: Way[];
  /** What it costs that the first `n` stretches belong to no line. */
  private readonly adLibs: number[] = [0];
  /** By stretch: what it costs to part it from the one before. */
  private readonly cuts: number[] = [];
  private heard: readonly HeardText[] = [];
  private learnedAt = 0;
  private slowness = 1;
  private room: Room;
  /** Made once for each room: the texts of an hour take some tenths of a second. */
  private readonly byRoom = new Map<Room, TextDistances>();

  /** @param texts Each text of the class as the plain voice says it; one that is missing is told by length and place. */
  constructor(
    cues: readonly Cue[],
    private readonly texts: ReadonlyMap<string, SaidCepstra>,
    private readonly speech = new OnlineSpeech(),
  ) {
    this.room = speech.room;
    // How long a line takes is better known by how a voice says it than by its syllables.
    this.cues = cues.map((cue) => {
      const said = texts.get(cue.text);
      const seconds = said && (said.length / COEFFICIENTS) * CEPSTRA_SECONDS;
      return seconds ? { ...cue, endSeconds: cue.startSeconds + seconds } : cue;
    });
    this.lines = new LineCosts(this.cues);
    this.lines.setRoom(this.room);
    this.ways = [{ match: null, cue: -1, to: 0, onset: 0, log: 0, before: null }];
    this.task = {
      cues: this.cues,
      speech: speech.stretches,
      distances: this.distances(),
      costs: this.room.costs,
      jumps: true,
      rate: 1,
      tempo: () => 1,
      place: () => ({ centre: 0, reach: Infinity }),
    };
  }

  /** The same with other lines from now on, at the same place among those that stay, the voice still known. */
  withCues(cues: readonly Cue[], texts: ReadonlyMap<string, SaidCepstra>): OnlineAligner {
    const next = new OnlineAligner(cues, texts, this.speech);
    const places = new Map(cues.map(({ id }, at) => [id, at]));
    const stay = this.ways.flatMap((way) => {
      const cue = way.cue < 0 ? -1 : places.get(itemAt(this.cues, way.cue).id);
      return cue === undefined ? [] : [{ ...way, cue, match: null, before: null }];
    });
    if (stay.length > 0) next.ways = stay;
    else next.moveTo(this.likeliest().cue + 1, this.likeliest().onset);
    next.adLibs.splice(0, 1, ...this.adLibs);
    next.cuts.push(...this.cuts);
    next.slowness = this.slowness;
    next.heard = this.heard;
    next.lines.setTempo(() => this.slowness);
    const distances = next.task.distances?.adaptedTo(this.heard) ?? null;
    next.task = { ...next.task, rate: this.task.rate, distances };
    return next;
  }

  /** Somebody moved on by hand: the line at this place is said next, about now. */
  moveTo(next: number, now: Seconds): void {
    const cue = Math.min(next, this.cues.length) - 1;
    const last = { cue, onset: now };
    const gap = next < this.cues.length ? this.lines.gap(last, next) : 0;
    const to = this.speech.stretches.length;
    this.ways = [{ ...last, onset: now - gap, match: null, to, log: 0, before: null }];
  }

  /** The next stretch of speech. */
  add(stretch: OnlineStretch): void {
    const before = this.speech.stretches.at(-1);
    this.speech.add(stretch);
    if (this.speech.room !== this.room) this.enter(this.speech.room);
    const { startSeconds, endSeconds, likely } = stretch;
    this.cuts.push(before && startSeconds - before.endSeconds < this.room.aside.cutGap ? this.room.aside.cut : 0);
    const cost = this.room.costs.adLib + this.room.costs.adLibSecond * Math.min(6, endSeconds - startSeconds);
    this.adLibs.push((this.adLibs.at(-1) ?? 0) + cost * Math.min(1, 0.3 + likely));
    const found = [...this.matchesEndingNow()].flatMap((match) => this.wayTo(match) ?? []);
    this.ways.push(...found);
    this.prune();
    this.learn();
  }

  /** From now on lines are told apart as it is best in another room. */
  private enter(room: Room): void {
    this.room = room;
    this.lines.setRoom(room);
    this.task = { ...this.task, costs: room.costs, distances: this.distances().adaptedTo(this.heard) };
  }

  /** Distances of what is heard to the texts, by the measure of the room; the voice is not known to them. */
  private distances(): TextDistances {
    const { room, texts, speech } = this;
    let found = this.byRoom.get(room);
    if (!found) {
      found = distancesIn(speech.shapesIn(room), room.compressed ? textsCompressed(texts) : texts, room.scaledBy);
      this.byRoom.set(room, found);
    }
    return found;
  }

  /** What was said last, and what is said next if nothing more was said until a time. */
  place(now: Seconds): OnlinePlace {
    const { speech, cues, ways } = this;
    const end = speech.stretches.at(-1)?.endSeconds ?? 0;
    const lasts = new Float64Array(cues.length + 1);
    const nexts = new Float64Array(cues.length + 1);
    const max = this.weight(this.likeliest());
    for (const way of ways) {
      const weight = Math.exp(this.weight(way) - max);
      lasts[way.cue + 1] = (lasts[way.cue + 1] ?? 0) + weight;
      const other = speech.stretches[way.to];
      const aside = other ? end - other.startSeconds + this.room.aside.back : 0;
      const first = way.cue + 1;
      const count = Math.min(cues.length, first + AHEAD) - first;
      const shares = Array.from({ length: count }, (_, by) =>
        Math.exp(-this.lines.awaited(way, first + by, now, aside)),
      );
      // After the last line comes nothing.
      if (count === 0) shares.push(1);
      const all = shares.reduce((sum, share) => sum + share, 0);
      shares.forEach((share, by) => (nexts[first + by] = (nexts[first + by] ?? 0) + (weight * share) / all));
    }
    const [last, lastShare] = greatest(lasts);
    const [next, share] = greatest(nexts);
    const way = this.likeliestWith(last - 1);
    const other = speech.stretches[way.to];
    const isUnfinished = last > 0 && now - way.onset < this.leastLength(last - 1);
    return {
      next: isUnfinished ? last - 1 : Math.min(next, cues.length - 1),
      share: isUnfinished ? lastShare : share,
      last: last === 0 ? null : { cue: last - 1, onset: way.onset, share: lastShare },
      asideSeconds: other ? end - other.startSeconds : 0,
    };
  }

  /** How long a line takes at least: until then it is still being said, whatever pause there was in it. */
  private leastLength(cue: number): Seconds {
    const { startSeconds, endSeconds } = itemAt(this.cues, cue);
    return UNFINISHED * this.task.rate * (endSeconds - startSeconds);
  }

  /** The logarithm of how likely a way is, what was said since belonging to no line. */
  private weight(way: Way): number {
    return way.log - this.aside(way.to, this.speech.stretches.length);
  }

  private likeliest(): Way {
    return this.ways.reduce((best, way) => (this.weight(way) > this.weight(best) ? way : best));
  }

  private likeliestWith(cue: number): Way {
    const those = this.ways.filter((way) => way.cue === cue);
    return those.reduce(
      (best, way) => (this.weight(way) > this.weight(best) ? way : best),
      those[0] ?? this.likeliest(),
    );
  }

  /** What it costs that stretches `[from, to)` belong to no line: a line hardly begins or ends in the middle of talk. */
  private aside(from: number, to: number): number {
    if (to <= from) return 0;
    return itemAt(this.adLibs, to) - itemAt(this.adLibs, from) + (this.cuts[from] ?? 0) + (this.cuts[to] ?? 0);
  }

  /** Every match that the last stretch ends. */
  private *matchesEndingNow(): Generator<SpeechMatch> {
    const { cues, task } = this;
    const { speech } = task;
    const to = speech.length;
    const targets = this.targets();
    for (let from = to - 1; from >= Math.max(0, to - STRETCHES_A_CUE); from--) {
      const alone = from === to - 1;
      if (!alone && itemAt(speech, from + 1).startSeconds - itemAt(speech, from).endSeconds > WITHIN_CUE_GAP) break;
      const led = !alone && leadsIn(speech, from);
      for (const cue of targets) {
        yield* this.match(cue, cue + 1, from, 0);
        if (led) yield* this.match(cue, cue + 1, from, 1);
        if (!alone) continue;
        if (leadsWithin(task, cue, from)) yield* this.match(cue, cue + 1, from, PART);
        for (let first = cue - 1; first > cue - CUES_A_STRETCH && first >= 0; first--) {
          if (itemAt(cues, first + 1).startSeconds - itemAt(cues, first).endSeconds > SHARED_GAP) break;
          yield* this.match(first, cue + 1, from, 0);
        }
      }
    }
  }

  /** A match with the stretches from one to the last, unless passing over all of it costs less. */
  private *match(cueFrom: number, cueTo: number, from: number, led: number): Generator<SpeechMatch> {
    const to = this.task.speech.length;
    const own = ownCost(this.task, cueFrom, cueTo, from, to, led);
    const passed = this.room.costs.skip * (cueTo - cueFrom) + itemAt(this.adLibs, to) - itemAt(this.adLibs, from);
    if (own <= passed) yield placed(this.task, { cueFrom, cueTo, from, to, led, own });
  }

  /** Lines that may be said now: those about where it may be, and the beginnings of rounds and steps. */
  private targets(): number[] {
    const { cues, ways, lines } = this;
    const near = new Uint8Array(cues.length);
    for (const { cue } of ways) near.fill(1, Math.max(0, cue), Math.min(cues.length, cue + 1 + AHEAD));
    return Array.from(cues.keys()).filter((cue) => near[cue] === 1 || lines.isLeapt(cue));
  }

  /** All ways to a match as one, with the likeliest of them before it. */
  private wayTo(match: SpeechMatch): Way | null {
    const { cueFrom, cueTo, from, to, onset, lastOnset, own } = match;
    let max = -Infinity;
    let sum = 0;
    let before: Way | null = null;
    for (const way of this.ways) {
      if (way.to > from) continue;
      const log = way.log - this.aside(way.to, from) - this.lines.following(way, cueFrom, cueTo, onset) - own;
      if (log > max) {
        sum = sum * Math.exp(max - log) + 1;
        max = log;
        before = way;
      } else sum += Math.exp(log - max);
    }
    return before && { match, cue: cueTo - 1, to, onset: lastOnset, log: max + Math.log(sum), before };
  }

  private prune(): void {
    const max = this.weight(this.likeliest());
    const open = this.speech.stretches.length - STRETCHES_A_CUE;
    this.ways = this.ways.filter((way) => {
      const below = max - this.weight(way);
      return below < REACH || (way.to >= open && below < 2 * REACH);
    });
  }

  /** Learns the tempo from the likeliest way, and now and then the voice. */
  private learn(): void {
    const path: SpeechMatch[] = [];
    for (let way: Way | null = this.likeliest(); way?.match && path.length < LEARNED.most; way = way.before)
      if (this.speech.has(way.match.from)) path.unshift(way.match);
    if (path.length < LEARNED.least) return;
    const anchors = anchorsOf(this.cues, path);
    if (anchors.length >= LEARNED.least) this.slowness = slownessBy(anchors);
    this.lines.setTempo(tempoAlong(anchors, this.slowness));
    this.task = { ...this.task, rate: rateOf(this.task, path) };
    const { length } = this.speech.stretches;
    if (length - this.learnedAt < LEARNED.everyStretches) return;
    this.learnedAt = length;
    this.heard = heardTexts(this.task, path);
    this.task = { ...this.task, distances: this.task.distances?.adaptedTo(this.heard) ?? null };
  }
}

/** The place of the greatest, and its share of all. */
function greatest(values: Float64Array): readonly [number, number] {
  let at = 0;
  let sum = 0;
  values.forEach((value, index) => {
    sum += value;
    if (value > (values[at] ?? 0)) at = index;
  });
  return [at, sum > 0 ? (values[at] ?? 0) / sum : 0];
}
