import { itemAt } from '@/core/units';
import { beginning, ending, type Task } from './costs';
import { Transitions, type MatchColumn } from './transitions';
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
  const costs = new Float64Array(ordered.length + 1);
  const transitions = new Transitions(task, columns, adLibs);
  /** Of all ways to a match, its own cost not counted. */
  const arriving = new Float64Array(ordered.length);
  const forward = new Float64Array(ordered.length);
  const logs = new Float64Array(ordered.length + 1);
  ordered.forEach((match, at) => {
    const count = transitions.allBefore(match, places, costs);
    const begun = -cold * beginning(task, match, adLibs);
    let max = begun;
    for (let one = 0; one < count; one++) {
      logs[one] = (forward[places[one] ?? 0] ?? 0) - cold * (costs[one] ?? 0);
      if ((logs[one] ?? 0) > max) max = logs[one] ?? 0;
    }
    let sum = Math.exp(begun - max);
    for (let one = 0; one < count; one++) if (max - (logs[one] ?? 0) < 30) sum += Math.exp((logs[one] ?? 0) - max);
    arriving[at] = max + Math.log(sum);
    forward[at] = arriving[at] - cold * match.own;
  });
  const ended = ordered.map((match, at) => (forward[at] ?? 0) - cold * ending(task, match, adLibs));
  const max = ended.reduce((greatest, one) => Math.max(greatest, one), -Infinity);
  const whole = max + Math.log(ended.reduce((sum, one) => sum + Math.exp(one - max), 0));
  const shares = Float64Array.from(ended, (one) => Math.exp(one - whole));
  for (let at = ordered.length - 1; at >= 0; at--) {
    if ((shares[at] ?? 0) < NOTHING) continue;
    const count = transitions.allBefore(itemAt(ordered, at), places, costs);
    for (let one = 0; one < count; one++) {
      const log = (forward[places[one] ?? 0] ?? 0) - cold * (costs[one] ?? 0) - (arriving[at] ?? 0);
      if (log > -30) shares[places[one] ?? 0] = (shares[places[one] ?? 0] ?? 0) + (shares[at] ?? 0) * Math.exp(log);
    }
  }
  return shares;
}
