import type { Cue } from '@/core/timeline';
import { itemAt, type Seconds } from '@/core/units';
import { longestRising, type Anchor } from '../anchors';
import type { Task } from '../decoder/costs';
import { HELD, matchAt } from '../decoder/matches';
import { anchorsOf, decodeOnce, placeAbout, taskAbout } from '../decoder/viterbi';
import type { Alignment, FoundWay, SpeechMatch, SpeechStretch } from '../model';
import { alignmentOf, confidencesOf } from '../decoder/align-speech';

/*
 * Putting right by hand: the cues about one that was set find their places anew, between the nearest cues that stand;
 * all others stay. What lies between two that stand is worked out once, so that a nudge costs only what it touches.
 */

/** When each cue was said that somebody set by hand, or that it was not (`null`). */
export type SetByHand = ReadonlyMap<string, Seconds | null>;

/** So many cues in a row that are this sure hold what was found beyond them. */
const HOLDS = { sure: 0.9, row: 5 };
/** A cue set beyond more sure ones than these was said out of order, and moves nobody. */
const OUT_OF_ORDER = 8;

/** What is asked about each cue, by its place in the plan. */
interface Wanted {
  /** Said at another time than was found. */
  readonly moved: ReadonlyMap<number, Seconds>;
  /** Not said, or said out of order. */
  readonly gone: ReadonlySet<number>;
  /** Finds its place anew. */
  readonly open: ReadonlySet<number>;
}

interface Placed {
  readonly path: readonly SpeechMatch[];
  /** By place. */
  readonly confidences: ReadonlyMap<number, number>;
}

/** An alignment by sound that can be put right by hand, again and again. */
export class ByHand {
  private readonly task: Task;
  private readonly matches: ReadonlyMap<number, SpeechMatch>;
  private readonly starts: readonly (Seconds | null)[];
  private readonly known = new Map<string, Placed>();

  /** `null` where captions were read by themselves, or nothing was found. */
  static of(cues: readonly Cue[], speech: readonly SpeechStretch[], found: Alignment): ByHand | null {
    return found.way && new ByHand(cues, speech, found, found.way);
  }

  private constructor(
    private readonly cues: readonly Cue[],
    private readonly speech: readonly SpeechStretch[],
    private readonly found: Alignment,
    private readonly way: FoundWay,
  ) {
    this.task = taskAbout({ cues, speech, distances: found.distances }, way.path, way.slowness);
    this.matches = new Map(way.path.flatMap((match) => placesOf(match).map((place) => [place, match] as const)));
    const starts = new Map(found.found.map(({ cueId, startSeconds }) => [cueId, startSeconds]));
    this.starts = cues.map(({ id }) => starts.get(id) ?? null);
  }

  withSet(set: SetByHand): Alignment {
    const wanted = this.wanted(set);
    const { moved, gone, open } = wanted;
    if (moved.size + gone.size === 0) return this.found;
    const path = this.way.path.filter(({ cueFrom }) => !moved.has(cueFrom) && !gone.has(cueFrom) && !open.has(cueFrom));
    const standing = [...path, ...[...moved].map(([place, seconds]) => matchAt(this.task, place, seconds))];
    standing.sort((a, b) => a.cueFrom - b.cueFrom);
    const all = [...standing];
    const confidences = [...this.way.confidences];
    for (const { before, run, after } of runsBetween(standing, open, this.cues.length)) {
      const placed = this.placed(before, run, after);
      all.push(...placed.path);
      for (const [place, confidence] of placed.confidences) confidences[place] = confidence;
    }
    all.sort((a, b) => a.cueFrom - b.cueFrom);
    const again = { path: all, confidences, slowness: this.way.slowness };
    // What can be put right once more is what was found first.
    return { ...alignmentOf(this.cues, this.speech, again, this.found.distances), way: this.found.way };
  }

  private wanted(set: SetByHand): Wanted {
    const moved = new Map<number, Seconds>();
    const gone = new Set<number>();
    const stands = new Set<number>();
    this.cues.forEach(({ id }, place) => {
      const to = set.get(id);
      if (to === undefined) return;
      if (to === this.starts[place]) stands.add(place);
      else if (to === null || this.sureBeyond(place, to) > OUT_OF_ORDER) gone.add(place);
      else moved.set(place, to);
    });
    const inOrder = longestRising([...moved].map(([place, actualStart]) => ({ plannedStart: place, actualStart })));
    const kept = new Set(inOrder.map(({ plannedStart }) => plannedStart));
    for (const place of [...moved.keys()]) {
      if (kept.has(place)) continue;
      moved.delete(place);
      gone.add(place);
    }
    const open = new Set<number>();
    for (const place of [...moved.keys(), ...gone]) this.openAbout(place, moved, stands, open);
    this.openTogether(moved, gone, stands, open);
    for (const place of [...moved.keys(), ...gone]) open.delete(place);
    return { moved, gone, open };
  }

  /** Opens the cues about one, on either side up to a row of sure ones in order, or to one that was set. */
  private openAbout(place: number, moved: Wanted['moved'], stands: ReadonlySet<number>, open: Set<number>): void {
    const to = moved.get(place);
    for (const step of [1, -1]) {
      for (let at = place + step, row = 0; this.cues[at] && row < HOLDS.row; at += step) {
        const start = this.starts[at] ?? 0;
        const inOrder = to === undefined || start === null || (start - to) * step > 0;
        if (moved.has(at) || (stands.has(at) && inOrder)) break;
        open.add(at);
        row = inOrder && (this.way.confidences[at] ?? 0) >= HOLDS.sure ? row + 1 : 0;
      }
    }
  }

  /** Cues that share a stretch move together; one of them that was set goes where it was set. */
  private openTogether(
    moved: Map<number, Seconds>,
    gone: ReadonlySet<number>,
    stands: ReadonlySet<number>,
    open: Set<number>,
  ): void {
    for (const match of this.way.path) {
      const places = placesOf(match);
      if (!places.some((place) => moved.has(place) || gone.has(place) || open.has(place))) continue;
      for (const place of places) {
        const start = this.starts[place] ?? 0;
        if (stands.has(place) && start !== null) moved.set(place, start);
        else open.add(place);
      }
    }
  }

  /** How many sure cues a cue would pass that is said at a time. */
  private sureBeyond(place: number, to: Seconds): number {
    let count = 0;
    for (const step of [1, -1]) {
      for (let at = place + step; this.cues[at]; at += step) {
        const start = this.starts[at] ?? 0;
        if (start === null || (this.way.confidences[at] ?? 0) < HOLDS.sure) continue;
        if ((start - to) * step > 0) break;
        count++;
      }
    }
    return count;
  }

  /** Where cues find their places between two matches that stand; the ends of the class where there is none. */
  private placed(before: SpeechMatch | null, run: readonly number[], after: SpeechMatch | null): Placed {
    const key = JSON.stringify([before?.onset, run, after?.onset]);
    const known = this.known.get(key);
    if (known) return known;
    const places = [...(before ? placesOf(before) : []), ...run, ...(after ? placesOf(after) : [])];
    const cues = places.map((place) => itemAt(this.cues, place));
    const held = new Map<number, SpeechMatch | null>();
    for (const match of [before, after]) {
      if (!match) continue;
      const cueFrom = places.indexOf(match.cueFrom);
      const cueTo = cueFrom + match.cueTo - match.cueFrom;
      for (let cue = cueFrom; cue < cueTo; cue++) held.set(cue, null);
      held.set(cueTo - 1, { ...match, cueFrom, cueTo, own: HELD });
    }
    const { path, odds } = decodeOnce({ ...this.task, cues, held, place: this.placeBetween(before, run, after) });
    const confidences = confidencesOf(cues.length, path, odds);
    const placed = {
      path: path
        .filter(({ cueTo }) => !held.has(cueTo - 1))
        .map((match) => ({
          ...match,
          cueFrom: itemAt(places, match.cueFrom),
          cueTo: itemAt(places, match.cueTo - 1) + 1,
        })),
      confidences: new Map(run.map((place) => [place, itemAt(confidences, places.indexOf(place))])),
    };
    this.known.set(key, placed);
    return placed;
  }

  /** About where the cues were found, as far as that lies between; as much further away as the ends were moved. */
  private placeBetween(before: SpeechMatch | null, run: readonly number[], after: SpeechMatch | null): Task['place'] {
    const anchorAt = ({ cueFrom, onset }: SpeechMatch): Anchor => {
      return { plannedStart: itemAt(this.cues, cueFrom).startSeconds, actualStart: onset };
    };
    const ends = [before, after].filter((match) => match !== null).map(anchorAt);
    const between = anchorsOf(
      this.cues,
      run
        .flatMap((place) => this.matches.get(place) ?? [])
        .filter(({ onset }) => {
          return onset > (before?.onset ?? -Infinity) && onset < (after?.onset ?? Infinity);
        }),
    );
    const anchors = [...ends, ...between].sort((a, b) => a.plannedStart - b.plannedStart);
    const shifts = ends.map(({ plannedStart, actualStart }) =>
      Math.abs(actualStart - this.task.place(plannedStart).centre),
    );
    return anchors.length > 0 ? placeAbout(anchors, Math.max(0, ...shifts)) : this.task.place;
  }
}

function placesOf({ cueFrom, cueTo }: SpeechMatch): number[] {
  return Array.from({ length: cueTo - cueFrom }, (_, at) => cueFrom + at);
}

interface Run {
  readonly before: SpeechMatch | null;
  readonly run: readonly number[];
  readonly after: SpeechMatch | null;
}

/** The open places between one match that stands and the next. */
function runsBetween(standing: readonly SpeechMatch[], open: ReadonlySet<number>, cues: number): Run[] {
  return [null, ...standing].flatMap((before, at) => {
    const after = standing[at] ?? null;
    const run: number[] = [];
    for (let place = before?.cueTo ?? 0; place < (after?.cueFrom ?? cues); place++)
      if (open.has(place)) run.push(place);
    return run.length > 0 ? [{ before, run, after }] : [];
  });
}
