import type { Timeline } from '@/core/timeline';
import { TERMS, type Term } from '@/core/words';
import type { Caption } from '@/core/interchange';
import { itemAt, lastStartedAt, type Interval, type Seconds } from '@/core/units';
import type { Anchor } from './anchors';
import { readByWords } from './captions/read-by-words';
import { unpackDistances } from './codec';
import type { Alignment, Evidence, FoundCue, SpeechStretch } from './model';
import { ByHand, type SetByHand } from './corrections/by-hand';
import { alignKept, alignSound } from './decoder/align-speech';
import { wordedPieces, wordedSpeech, type WordedSpeech } from './captions/word-distances';
import { distancesKept, type TextDistances } from './text-distances';

/** A caption's onset is moved to the start of speech when that lies this near. */
const SNAP_SECONDS: Seconds = 0.6;
/** Captions in which less than this share of the cues was found are not of this class, or hardly. */
const OF_THE_CLASS = 0.2;

/** What helps to hear a take rightly. */
export interface Hearing {
  /** The terms of the studio; the house list when left out. */
  readonly terms?: readonly Term[];
  /** How the speech of the evidence is like the texts of the class; as it was kept with the evidence when left out. */
  readonly distances?: TextDistances | null;
  /** Told after each pass over the take; how many there will be is not known before. */
  readonly onPass?: () => void;
}

/**
 * Finds the cues of a timeline in a take. Where there are captions and sound, the words of the captions are laid in the
 * stretches of speech, and tell what was said in each; without sound the captions are cut into pieces, and those are the
 * stretches. Sound alone is read by what it is like. What machines write for a term counts as the term.
 */
export function alignTake(timeline: Timeline, evidence: Evidence, hearing: Hearing = {}): Alignment {
  return foundIn(timeline, evidence, hearing).found;
}

/** What is found, and in what; `null` where captions were read by themselves. */
function foundIn(
  timeline: Timeline,
  evidence: Evidence,
  hearing: Hearing,
): { readonly found: Alignment; readonly heard: HeardSpeech | null } {
  const { cues } = timeline;
  const heard = heardSpeech(timeline, evidence, hearing);
  if ('found' in heard) return { found: heard, heard: null };
  const before = !hearing.distances && evidence.way && alignKept(cues, heard.speech, heard.distances, evidence.way);
  const found = before || alignSound(cues, heard.speech, heard.distances, heard.anchors, hearing.onPass);
  return { found: heard.worded(found), heard };
}

/** Stretches of speech, what they are like, what is known of the tempo, and how ad-libs come by the words of captions. */
interface HeardSpeech {
  readonly speech: readonly SpeechStretch[];
  readonly distances: TextDistances | null;
  readonly anchors: readonly Anchor[];
  readonly worded: (alignment: Alignment) => Alignment;
}

/** Captions that hardly speak of the class, or whose words lie in no speech, are read by themselves. */
function heardSpeech({ cues }: Timeline, evidence: Evidence, hearing: Hearing): HeardSpeech | Alignment {
  const captions = joinedWords(evidence.captions ?? []);
  const speech = stretchesOf(evidence.speech ?? []);
  if (captions.length === 0) {
    const kept = evidence.distances ? distancesKept(unpackDistances(evidence.distances)) : null;
    return { speech, distances: hearing.distances ?? kept, anchors: [], worded: (alignment) => alignment };
  }
  const terms = hearing.terms ?? TERMS;
  const { alignment, heard, pieces, anchors } = readByWords(cues, captions, terms);
  if (alignment.found.length < OF_THE_CLASS * cues.length) return snapped(alignment, speech);
  if (speech.length === 0 && tooManyPieces(pieces.length, cues.length, anchors.length)) return alignment;
  const worded =
    speech.length > 0
      ? wordedSpeech(cues, captions, heard, speech, terms)
      : wordedPieces(cues, captions, heard, pieces, terms);
  return worded ? { ...worded, anchors, worded: (alone) => withWords(alone, worded) } : snapped(alignment, speech);
}

/** Captions of so many pieces beside their cues, or of so many whose tempo is not known, are read by their words alone. */
function tooManyPieces(pieces: number, cues: number, anchors: number): boolean {
  return pieces > PIECES_A_CUE * cues + PIECES_ANYWAY || (anchors < ANCHORS_NEEDED && pieces > PIECES_WITHOUT_ANCHORS);
}

const PIECES_A_CUE = 4;
const PIECES_ANYWAY = 400;
const ANCHORS_NEEDED = 3;
const PIECES_WITHOUT_ANCHORS = 1_000;

/** Some machines write a caption a word. Joined while they follow each other closely, they are captions as others write them. */
function joinedWords(captions: readonly Caption[]): readonly Caption[] {
  if (captions.length < WORD_CAPTIONS.min) return captions;
  const total = captions.reduce((sum, { startSeconds, endSeconds }) => sum + endSeconds - startSeconds, 0);
  if (total / captions.length > WORD_CAPTIONS.meanSeconds) return captions;
  const joined: Caption[] = [];
  for (const caption of captions) {
    const last = joined.at(-1);
    const follows = last && caption.startSeconds - last.endSeconds <= WORD_CAPTIONS.gapSeconds;
    if (follows && caption.endSeconds - last.startSeconds <= WORD_CAPTIONS.joinedSeconds) {
      joined[joined.length - 1] = {
        startSeconds: last.startSeconds,
        endSeconds: Math.max(last.endSeconds, caption.endSeconds),
        text: `${last.text} ${caption.text}`,
      };
    } else joined.push(caption);
  }
  return joined;
}

const WORD_CAPTIONS = { min: 200, meanSeconds: 0.9, gapSeconds: 0.3, joinedSeconds: 3.5 } as const;

function withWords(alignment: Alignment, { wordsIn }: WordedSpeech): Alignment {
  return {
    ...alignment,
    found: alignment.found.map((cue) => ({ ...cue, evidence: { ...cue.evidence, heard: wordsIn(cue) } })),
    adLibs: alignment.adLibs.map((adLib) => ({ ...adLib, text: wordsIn(adLib) })),
  };
}

function snapped(alignment: Alignment, speech: readonly SpeechStretch[]): Alignment {
  return speech.length > 0 ? { ...alignment, found: snapOnsets(alignment.found, speech) } : alignment;
}

/**
 * A take's alignment that can be put right by hand: the cues about those that are set find their places anew.
 */
export interface Correctable {
  withSet(set: SetByHand): Alignment;
}

/** See `Correctable`. Worked out when it is first asked for, and then kept. */
export function correctable(timeline: Timeline, evidence: Evidence, hearing: Hearing = {}): Correctable {
  const make = (): ((set: SetByHand) => Alignment) => {
    const { found, heard } = foundIn(timeline, evidence, hearing);
    const byHand = heard && ByHand.of(timeline.cues, heard.speech, found);
    return byHand ? (set) => heard.worded(byHand.withSet(set)) : () => found;
  };
  let made: ReturnType<typeof make> | null = null;
  return { withSet: (set) => (made ??= make())(set) };
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
      .map((index) => ({ index, off: Math.abs(itemAt(speech, index).startSeconds - cue.startSeconds) }))
      .sort((a, b) => a.off - b.off)[0];
    if (!near || near.off > SNAP_SECONDS) return cue;
    taken.add(near.index);
    const { startSeconds } = itemAt(speech, near.index);
    return { ...cue, startSeconds, endSeconds: Math.max(cue.endSeconds, startSeconds + 0.05) };
  });
}
