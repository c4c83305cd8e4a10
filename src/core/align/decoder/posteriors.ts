import { itemAt } from '@/core/units';
import { beginning, ending, type Task } from './costs';
import { REACH, Transitions, type MatchColumn } from './transitions';
import { type SpeechMatch } from '../model';

/*
 * How sure a match is: its posterior, the share of all ways through the take that it has, where a way is the less
 * likely the more it costs (the forward-backward algorithm; Rabiner 1989, from memory).
 */

/** Onsets this near are the same place. */
const SAME_ONSET = 0.4;
/** A share that nobody will see: what leads to a match of no more is not followed. */
const NOTHING = 1e-9;

export interface Posteriors {
  /** That a cue was said where a match of the way found has it, 0 to 1. */
  said(cue: number, match: SpeechMatch): number;
  /** That a cue was not said, 0 to 1. */
  skipped(cue: number): number;
}

/** @param columns Every match, by the cue that it ends with. */
export function posteriorsOf(task: Task, columns: readonly MatchColumn[], adLibs: Float64Array): Posteriors {
  const ordered = columns.flatMap(({ matches }) => matches);
  const shares = posteriors(task, ordered, columns, adLibs);
  const ofCue: { readonly match: SpeechMatch; readonly share: number }[][] = task.cues.map(() => []);
  ordered.forEach((match, at) => {
    if ((shares[at] ?? 0) < 1e-6) return;
    for (let cue = match.cueFrom; cue < match.cueTo; cue++) itemAt(ofCue, cue).push({ match, share: shares[at] ?? 0 });
  });
  const sum = (cue: number, counts: (match: SpeechMatch) => boolean): number =>
    Math.min(
      1,
      itemAt(ofCue, cue).reduce((total, { match, share }) => total + (counts(match) ? share : 0), 0),
    );
  return {
    said: (cue, found) =>
      sum(cue, (match) => match.cueFrom === found.cueFrom && Math.abs(match.onset - found.onset) <= SAME_ONSET),
    skipped: (cue) => 1 - sum(cue, () => true),
  };
}

/**
 * The share of all ways that go through each match. Forward, the logarithm of the sum over all ways to it; backward,
 * each match hands its share on to those before it, by what each has of that sum.
 */
function posteriors(
  task: Task,
  ordered: readonly SpeechMatch[],
  columns: readonly MatchColumn[],
  adLibs: Float64Array,
): Float64Array {
  const cold = 1 / task.costs.temperature;
  const places = new Int32Array(ordered.length + 1);
  const logs = new Float64Array(ordered.length + 1);
  const transitions = new Transitions(task, columns, adLibs);
  /** Of all ways to a match, its own cost not counted. */
  const arriving = new Float64Array(ordered.length);
  const forward = new Float64Array(ordered.length);
  const greatest = new Float64Array(ordered.length);
  const ways = { forward, greatest, cold };
  for (const { matches, first } of columns) {
    let most = -Infinity;
    for (let at = first; at < first + matches.length; at++) {
      const match = itemAt(ordered, at);
      const count = transitions.waysBefore(match, ways, -Infinity, places, logs);
      let max = -Infinity;
      for (let one = 0; one < count; one++) max = Math.max(max, logs[one] ?? 0);
      let sum = 0;
      // With none before it, what was said until then is left over at least.
      if (-cold * (adLibs[match.from] ?? 0) > max - REACH) {
        const begun = -cold * beginning(task, match, adLibs);
        max = Math.max(max, begun);
        sum = Math.exp(begun - max);
      }
      for (let one = 0; one < count; one++) if (max - (logs[one] ?? 0) < REACH) sum += Math.exp((logs[one] ?? 0) - max);
      const all = max + Math.log(sum);
      arriving[at] = all;
      forward[at] = all - cold * match.own;
      most = Math.max(most, all + cold * ((adLibs[match.to] ?? 0) - match.own));
      greatest[at] = most;
    }
  }
  const ended = ordered.map((match, at) => (forward[at] ?? 0) - cold * ending(task, match, adLibs));
  const max = ended.reduce((greatest, one) => Math.max(greatest, one), -Infinity);
  const whole = max + Math.log(ended.reduce((sum, one) => sum + Math.exp(one - max), 0));
  const shares = Float64Array.from(ended, (one) => Math.exp(one - whole));
  for (let at = ordered.length - 1; at >= 0; at--) {
    const share = shares[at] ?? 0;
    if (share < NOTHING) continue;
    const all = arriving[at] ?? 0;
    const count = transitions.waysBefore(itemAt(ordered, at), ways, all - REACH, places, logs);
    for (let one = 0; one < count; one++) {
      const log = (logs[one] ?? 0) - all;
      if (log > -REACH) shares[places[one] ?? 0] = (shares[places[one] ?? 0] ?? 0) + share * Math.exp(log);
    }
  }
  return shares;
}
