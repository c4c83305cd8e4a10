import { beginning, eachBefore, ending, type SpeechMatch, type Task } from './match-costs';

/*
 * How sure a match is: the share of all ways through a take that it has, where a way is the less likely the more it
 * costs (forward and backward sums; Rabiner 1989, from memory).
 */

/** Onsets this near are the same place. */
const SAME_ONSET = 0.4;

export interface Odds {
  /** That a cue was said where a match of the way found has it, 0 to 1. */
  said(cue: number, match: SpeechMatch): number;
  /** That a cue was not said, 0 to 1. */
  skipped(cue: number): number;
}

/** @param byEnd Every match, as `eachBefore` takes them. */
export function oddsOf(task: Task, byEnd: readonly (readonly SpeechMatch[])[], remarks: Float64Array): Odds {
  const ordered = byEnd.flat();
  const place = new Map(ordered.map((match, at) => [match, at]));
  const forward = new Float64Array(ordered.length);
  const backward = new Float64Array(ordered.length);
  const cold = 1 / task.costs.warmth;
  ordered.forEach((match, at) => {
    let sum = -cold * beginning(task, match, remarks);
    eachBefore(task, match, byEnd, remarks, (before, cost) => {
      sum = logSum(sum, forward[place.get(before) ?? 0] - cold * cost);
    });
    forward[at] = sum - cold * match.own;
    backward[at] = -cold * ending(task, match, remarks);
  });
  let whole = -Infinity;
  for (let at = ordered.length - 1; at >= 0; at--) {
    const match = ordered[at];
    whole = logSum(whole, forward[at] - cold * ending(task, match, remarks));
    const onward = backward[at] - cold * match.own;
    eachBefore(task, match, byEnd, remarks, (before, cost) => {
      const earlier = place.get(before) ?? 0;
      backward[earlier] = logSum(backward[earlier], onward - cold * cost);
    });
  }
  const shares = ordered.map((_, at) => Math.exp(forward[at] + backward[at] - whole));
  const ofCue: { readonly match: SpeechMatch; readonly share: number }[][] = task.cues.map(() => []);
  ordered.forEach((match, at) => {
    if (shares[at] < 1e-6) return;
    for (let cue = match.cueFrom; cue < match.cueTo; cue++) ofCue[cue].push({ match, share: shares[at] });
  });
  const sum = (cue: number, counts: (match: SpeechMatch) => boolean): number =>
    Math.min(
      1,
      ofCue[cue].reduce((total, { match, share }) => total + (counts(match) ? share : 0), 0),
    );
  return {
    said: (cue, found) =>
      sum(cue, (match) => match.cueFrom === found.cueFrom && Math.abs(match.onset - found.onset) <= SAME_ONSET),
    skipped: (cue) => 1 - sum(cue, () => true),
  };
}

function logSum(a: number, b: number): number {
  const [more, less] = a > b ? [a, b] : [b, a];
  return less === -Infinity || more - less > 30 ? more : more + Math.log1p(Math.exp(less - more));
}
