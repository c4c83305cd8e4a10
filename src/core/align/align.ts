import type { Timeline } from '@/core/timeline';
import { TERMS, type Term } from '@/core/words';
import { lastStartedAt, type Interval, type Seconds } from '@/core/units';
import { alignCaptions } from './captions';
import type { Alignment, Evidence, FoundCue } from './model';
import { likenessKept, type Likeness } from './likeness';
import { alignSound } from './sound';

/** A caption's onset is moved to the start of speech when that lies this near. */
const SNAP_SECONDS: Seconds = 0.6;

/** What helps to hear a take rightly. */
export interface Hearing {
  /** The terms of the studio; the house list when left out. */
  readonly terms?: readonly Term[];
  /** How the speech of the evidence is like the texts of the class; as it was kept with the evidence when left out. */
  readonly likeness?: Likeness | null;
  /** What somebody set by hand: when a cue was said, or that it was not (`null`). Sound puts the others about it. */
  readonly set?: ReadonlyMap<string, Seconds | null>;
}

/**
 * Finds the cues of a timeline in a take. Words decide where there are captions, and sound then gives their exact
 * onsets; sound decides alone where there are none. What machines write for a term counts as the term.
 */
export function alignTake(timeline: Timeline, evidence: Evidence, hearing: Hearing = {}): Alignment {
  const { captions } = evidence;
  const { terms = TERMS, likeness = null, set } = hearing;
  const kept = likeness ?? (evidence.likeness ? likenessKept(evidence.likeness) : null);
  const speech = evidence.speech?.map((stretch) => ({ likely: 1, ...stretch })) ?? null;
  if (captions && captions.length > 0) {
    const aligned = alignCaptions(timeline.cues, captions, terms);
    return speech ? { ...aligned, found: snapOnsets(aligned.found, speech) } : aligned;
  }
  return alignSound(timeline.cues, speech ?? [], kept, set);
}

function snapOnsets(found: readonly FoundCue[], speech: readonly Interval[]): FoundCue[] {
  const taken = new Set<number>();
  return found.map((cue) => {
    const at = lastStartedAt(speech, cue.startSeconds);
    const near = [at, at + 1]
      .filter((index) => speech[index] && !taken.has(index))
      .map((index) => ({ index, off: Math.abs(speech[index].startSeconds - cue.startSeconds) }))
      .sort((a, b) => a.off - b.off)[0];
    if (!near || near.off > SNAP_SECONDS) return cue;
    taken.add(near.index);
    const { startSeconds } = speech[near.index];
    return { ...cue, startSeconds, endSeconds: Math.max(cue.endSeconds, startSeconds + 0.05) };
  });
}
