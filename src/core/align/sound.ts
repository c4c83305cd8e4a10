import type { Cue } from '@/core/timeline';
import { wholeMilliseconds, type Seconds } from '@/core/units';
import type { Likeness } from './likeness';
import { matchSpeech, plannedLength, type SpeechMatch } from './match-speech';
import type { Alignment, FoundCue, Remark, SpeechStretch } from './model';

const WITHIN_REMARK_GAP: Seconds = 0.6;
/** What is left over and hardly a voice, or shorter, is a noise and no remark. */
const REMARK_LIKELY = 0.4;
const REMARK_SECONDS: Seconds = 0.25;

/** Aligns cues with stretches of speech alone. Without a `likeness` they are told apart by length and time only. */
export function alignSound(
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
  likeness: Likeness | null = null,
): Alignment {
  if (cues.length === 0 || speech.length === 0) return { found: [], remarks: remarksOf(speech) };
  const path = matchSpeech(cues, speech, likeness);
  const used = new Uint8Array(speech.length);
  for (const match of path) used.fill(1, match.from, match.to);
  return {
    found: path.flatMap((match) => foundIn(cues, speech, match)),
    remarks: remarksOf(speech.filter((_, index) => !used[index])),
  };
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

function foundIn(cues: readonly Cue[], speech: readonly SpeechStretch[], match: SpeechMatch): FoundCue[] {
  const start = speech[match.from].startSeconds;
  const end = speech[match.to - 1].endSeconds;
  const scale = (end - start) / plannedLength(cues, match.cueFrom, match.cueTo);
  const from = cues[match.cueFrom].startSeconds;
  const confidence = confidenceOf(match);
  return cues.slice(match.cueFrom, match.cueTo).map((cue) => ({
    cueId: cue.id,
    startSeconds: wholeMilliseconds(start + (cue.startSeconds - from) * scale),
    endSeconds: wholeMilliseconds(start + (cue.endSeconds - from) * scale),
    confidence,
  }));
}

/** From what the match costs by itself and by its place after the one before. */
function confidenceOf(match: SpeechMatch): number {
  const step = match.cost - (match.before?.cost ?? 0);
  return Math.round(100 * Math.min(0.98, Math.max(0.1, 0.7 - 0.1 * step))) / 100;
}
