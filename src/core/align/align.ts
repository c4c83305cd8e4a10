import type { Timeline } from '@/core/timeline';
import { TERMS, type Term } from '@/core/words';
import { lastStartedAt, type Interval, type Seconds } from '@/core/units';
import { alignCaptions } from './captions';
import type { Alignment, Evidence, FoundCue, SpeechStretch } from './model';
import { likenessKept, type Likeness } from './likeness';
import { ByHand, type SetByHand } from './by-hand';
import { alignKept, alignSound } from './sound';

/** A caption's onset is moved to the start of speech when that lies this near. */
const SNAP_SECONDS: Seconds = 0.6;

/** What helps to hear a take rightly. */
export interface Hearing {
  /** The terms of the studio; the house list when left out. */
  readonly terms?: readonly Term[];
  /** How the speech of the evidence is like the texts of the class; as it was kept with the evidence when left out. */
  readonly likeness?: Likeness | null;
}

/**
 * Finds the cues of a timeline in a take. Words decide where there are captions, and sound then gives their exact
 * onsets; sound decides alone where there are none. What machines write for a term counts as the term.
 */
export function alignTake(timeline: Timeline, evidence: Evidence, hearing: Hearing = {}): Alignment {
  const { captions } = evidence;
  const { terms = TERMS, likeness = null } = hearing;
  const speech = evidence.speech && stretchesOf(evidence.speech);
  if (captions && captions.length > 0) {
    const aligned = alignCaptions(timeline.cues, captions, terms);
    return speech ? { ...aligned, found: snapOnsets(aligned.found, speech) } : aligned;
  }
  const kept = evidence.likeness ? likenessKept(evidence.likeness) : null;
  const before = !likeness && evidence.way && alignKept(timeline.cues, speech ?? [], kept, evidence.way);
  return before || alignSound(timeline.cues, speech ?? [], likeness ?? kept);
}

/**
 * A take's alignment that can be put right by hand. Where sound decided it puts the cues about those that are set into
 * place; where words decided, they stay where they were heard.
 */
export interface Correctable {
  withSet(set: SetByHand): Alignment;
}

/** See `Correctable`. Worked out when it is first asked for, and then kept. */
export function correctable(timeline: Timeline, evidence: Evidence, hearing: Hearing = {}): Correctable {
  let made: { readonly found: Alignment; readonly byHand: ByHand | null } | null = null;
  const make = (): NonNullable<typeof made> => {
    const found = alignTake(timeline, evidence, hearing);
    return { found, byHand: ByHand.of(timeline.cues, stretchesOf(evidence.speech ?? []), found) };
  };
  return {
    withSet: (set) => {
      const { found, byHand } = (made ??= make());
      return byHand?.withSet(set) ?? found;
    },
  };
}

function stretchesOf(speech: NonNullable<Evidence['speech']>): SpeechStretch[] {
  return speech.map((stretch) => ({ likely: 1, ...stretch }));
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
