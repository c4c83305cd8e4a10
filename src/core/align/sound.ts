import type { Cue } from '@/core/timeline';
import { wholeMilliseconds, type Seconds } from '@/core/units';
import type { Likeness } from './likeness';
import { plannedLength, type SpeechMatch } from './match-costs';
import { matchSpeech } from './match-speech';
import type { Alignment, FoundCue, Remark, SpeechStretch } from './model';

const WITHIN_REMARK_GAP: Seconds = 0.6;
/** What is left over and hardly a voice, or shorter, is a noise and no remark. */
const REMARK_LIKELY = 0.4;
const REMARK_SECONDS: Seconds = 0.25;

/**
 * Aligns cues with stretches of speech alone. Without a `likeness` they are told apart by length and time only. `set`
 * holds what somebody set by hand: when a cue was said, or that it was not (`null`).
 */
export function alignSound(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  likeness: Likeness | null = null,
  set: ReadonlyMap<string, Seconds | null> = new Map(),
): Alignment {
  const left = cues.filter((cue) => set.get(cue.id) !== null);
  if (left.length === 0 || speech.length === 0) return { found: [], unsaid: [], remarks: remarksOf(speech), likeness };
  const fixed = new Map([...set].filter((one): one is [string, Seconds] => one[1] !== null));
  const { path, odds, likeness: learned } = matchSpeech(left, speech, likeness, fixed);
  const used = new Uint8Array(speech.length);
  const said = new Set<number>();
  for (const match of path) {
    used.fill(1, match.from, match.to);
    for (let cue = match.cueFrom; cue < match.cueTo; cue++) said.add(cue);
  }
  return {
    found: path.flatMap((match) => foundIn(left, speech, match, (cue) => confidenceOf(odds.said(cue, match)))),
    unsaid: left.flatMap(({ id }, at) =>
      said.has(at) ? [] : [{ cueId: id, confidence: confidenceOf(odds.skipped(at)) }],
    ),
    remarks: remarksOf(speech.filter((_, index) => !used[index])),
    likeness: learned,
  };
}

/** Between a guess and nearly sure: only a person is sure. */
function confidenceOf(share: number): number {
  return Math.round(100 * Math.min(0.98, Math.max(0.05, share))) / 100;
}

/** Left-over stretches close to each other are one remark. */
function remarksOf(stretches: readonly SpeechStretch[]): Remark[] {
  const joined: SpeechStretch[] = [];
  for (const stretch of stretches) {
    const last = joined.at(-1);
    if (last && stretch.startSeconds - last.endSeconds < WITHIN_REMARK_GAP) {
      const likely = Math.max(last.likely, stretch.likely);
      joined[joined.length - 1] = { ...last, endSeconds: stretch.endSeconds, likely };
    } else joined.push(stretch);
  }
  return joined
    .filter(({ startSeconds, endSeconds, likely }) => {
      return likely >= REMARK_LIKELY && endSeconds - startSeconds >= REMARK_SECONDS;
    })
    .map(({ startSeconds, endSeconds }) => ({ startSeconds, endSeconds, text: null }));
}

function foundIn(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  match: SpeechMatch,
  confidence: (cue: number) => number,
): FoundCue[] {
  const start = match.onset;
  const planned = plannedLength(cues, match.cueFrom, match.cueTo);
  const end = match.to > match.from ? speech[match.to - 1].endSeconds : start + planned;
  const scale = Math.max(0.05, end - start) / planned;
  const from = cues[match.cueFrom].startSeconds;
  return cues.slice(match.cueFrom, match.cueTo).map((cue, at) => ({
    cueId: cue.id,
    startSeconds: wholeMilliseconds(start + (cue.startSeconds - from) * scale),
    endSeconds: wholeMilliseconds(start + (cue.endSeconds - from) * scale),
    confidence: confidence(match.cueFrom + at),
  }));
}
