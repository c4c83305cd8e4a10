import type { Cue } from '@/core/timeline';
import { itemAt, wholeMilliseconds, type Seconds } from '@/core/units';
import type { Anchor } from '../anchors';
import { packWay, unpackWay } from '../codec';
import { plannedLength } from './matches';
import type { Posteriors } from './posteriors';
import { decode } from './viterbi';
import type { Alignment, CueEvidence, FoundCue, FoundWay, PackedWay, AdLib, SpeechStretch } from '../model';
import { type TextDistances } from '../text-distances';
import { PART, type SpeechMatch } from '../model';

const WITHIN_AD_LIB_GAP: Seconds = 0.6;
/** What is left over and hardly a voice, or shorter, is a noise and no ad-lib. */
const AD_LIB_LIKELY = 0.46;
const AD_LIB_SECONDS: Seconds = 0.29;

/**
 * Aligns cues with stretches of speech. Without `distances` they are told apart by length and time only; `anchors` are
 * cues of which it is known about when they were said.
 */
export function alignSound(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  distances: TextDistances | null = null,
  anchors: readonly Anchor[] = [],
  onPass?: () => void,
): Alignment {
  if (cues.length === 0 || speech.length === 0) return nothingFound(speech, distances);
  const { path, odds, distances: learned, slowness } = decode(cues, speech, distances, anchors, onPass);
  const confidences = confidencesOf(cues.length, path, odds);
  const way = { path, confidences, slowness };
  // The way as it is stored, so that correcting it is the same when it is read again.
  return { ...alignmentOf(cues, speech, way, learned), way: unpackWay(packWay(way), cues, speech) };
}

/** What was found before, without finding it anew; `null` where it does not fit. */
export function alignKept(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  distances: TextDistances | null,
  kept: PackedWay,
): Alignment | null {
  const way = unpackWay(kept, cues, speech);
  return way && alignmentOf(cues, speech, way, distances);
}

export function nothingFound(speech: readonly SpeechStretch[], distances: TextDistances | null): Alignment {
  return { found: [], unsaid: [], adLibs: adLibsOf(speech), distances, way: null };
}

/** How sure each cue is, by the odds: of where it was found, or of that it was not said. */
export function confidencesOf(cues: number, path: readonly SpeechMatch[], odds: Posteriors): number[] {
  const confidences = Array.from({ length: cues }, (_, cue) => odds.skipped(cue));
  for (const match of path)
    for (let cue = match.cueFrom; cue < match.cueTo; cue++) confidences[cue] = odds.said(cue, match);
  return confidences.map(confidenceOf);
}

/** What a way gives: each cue found or not, and what was left over as ad-libs. */
export function alignmentOf(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  way: FoundWay,
  distances: TextDistances | null,
): Alignment {
  const { path, confidences } = way;
  const used = new Uint8Array(speech.length);
  const said = new Set<number>();
  for (const match of path) {
    used.fill(1, match.from, match.to);
    for (let cue = match.cueFrom; cue < match.cueTo; cue++) said.add(cue);
  }
  return {
    found: path.flatMap((match) => foundIn(cues, speech, match, confidences, distances)),
    unsaid: cues.flatMap(({ id }, at) => (said.has(at) ? [] : [{ cueId: id, confidence: itemAt(confidences, at) }])),
    adLibs: adLibsOf(speech.filter((_, index) => !used[index])),
    distances,
    way,
  };
}

/** Between a guess and nearly sure: only a person is sure. */
function confidenceOf(share: number): number {
  return Math.round(100 * Math.min(0.98, Math.max(0.05, share))) / 100;
}

/** Left-over stretches close to each other are one ad-lib. */
function adLibsOf(stretches: readonly SpeechStretch[]): AdLib[] {
  const joined: SpeechStretch[] = [];
  for (const stretch of stretches) {
    const last = joined.at(-1);
    if (last && stretch.startSeconds - last.endSeconds < WITHIN_AD_LIB_GAP) {
      const likely = Math.max(last.likely, stretch.likely);
      joined[joined.length - 1] = { ...last, endSeconds: stretch.endSeconds, likely };
    } else joined.push(stretch);
  }
  return joined
    .filter(({ startSeconds, endSeconds, likely }) => {
      return likely >= AD_LIB_LIKELY && endSeconds - startSeconds >= AD_LIB_SECONDS;
    })
    .map(({ startSeconds, endSeconds }) => ({ startSeconds, endSeconds, text: null }));
}

function foundIn(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  match: SpeechMatch,
  confidences: readonly number[],
  distances: TextDistances | null,
): FoundCue[] {
  const start = match.onset;
  const planned = plannedLength(cues, match.cueFrom, match.cueTo);
  const end = match.to > match.from ? itemAt(speech, match.to - 1).endSeconds : start + planned;
  const scale = Math.max(0.05, end - start) / planned;
  const from = itemAt(cues, match.cueFrom).startSeconds;
  return cues.slice(match.cueFrom, match.cueTo).map((cue, at) => ({
    cueId: cue.id,
    startSeconds: wholeMilliseconds(start + (cue.startSeconds - from) * scale),
    endSeconds: wholeMilliseconds(start + (cue.endSeconds - from) * scale),
    confidence: itemAt(confidences, match.cueFrom + at),
    evidence: evidenceOf(cue, match, distances),
  }));
}

/** What a cue was found by; the words of captions are added by who knows them. */
function evidenceOf({ text }: Cue, match: SpeechMatch, distances: TextDistances | null): CueEvidence {
  const { cueFrom, cueTo, from, to, led } = match;
  const by = distances?.by ?? 'length';
  // What was set by hand may have no speech at all.
  if (!distances || by !== 'sound' || cueTo - cueFrom > 1 || to <= from) return { by, heard: null, nearer: null };
  const unlike = led === PART ? distances.distanceOfEnd(from, to, text) : distances.distance(from + led, to, text);
  // In hundredths first, as distances is kept, so that it is the same when it is read again.
  const nearer = Math.round(Math.round(-100 * (unlike ?? 0)) / 10) / 10;
  return { by, heard: null, nearer: Math.max(0, nearer) };
}
