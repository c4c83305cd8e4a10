import { FRAME_SECONDS, speechSegments } from '@/core/signal';
import { lineWeight } from '@/core/speech';
import { itemAt, failed, ok, type Issue, type Result, type Seconds } from '@/core/units';

/** What a microphone or a file gave. */
export interface HeardVoice {
  /** In dBFS, one every 20 ms. */
  readonly levels: Float32Array;
  /** Share of samples at full scale, 0 to 1. */
  readonly clippedShare: number;
}

export interface VoiceMeasure {
  /** While words are being said. */
  readonly syllablesPerMinute: number;
  /** The middle silence between two sentences. */
  readonly pauseSeconds: Seconds;
}

export const VOICE_LIMITS = {
  syllablesPerMinute: { min: 60, max: 400 },
  pauseSeconds: { min: 0, max: 30 },
} as const;

/** Common practice, no published source: what can be measured, and what cannot. */
const CLIPPED_AT_MOST = 0.002;
const SPEECH_ABOVE_NOISE = 12;
const LEAST_SPEECH: Seconds = 3;

/**
 * The rate of a voice from a paragraph read aloud: the sentences' weight over the time in which they were said, the
 * longest silences between them set apart as pauses, one fewer than there are sentences. Refuses sound that is silent,
 * clipped or noisy, and speech whose length the paragraph cannot have.
 */
export function measureVoice(sentences: readonly string[], heard: HeardVoice): Result<VoiceMeasure, Issue> {
  const speech = speechSegments(heard.levels);
  const spoken = speech.reduce((sum, { startSeconds, endSeconds }) => sum + endSeconds - startSeconds, 0);
  if (spoken < LEAST_SPEECH) return refused('voice-silent');
  if (heard.clippedShare > CLIPPED_AT_MOST) {
    return refused('voice-clipped', { percent: (100 * heard.clippedShare).toFixed(1) });
  }
  const above = speechAboveNoise(heard.levels, speech);
  if (above < SPEECH_ABOVE_NOISE) {
    return refused('voice-noisy', { decibels: Math.round(above), min: SPEECH_ABOVE_NOISE });
  }
  const gaps = speech.slice(1).map(({ startSeconds }, at) => startSeconds - itemAt(speech, at).endSeconds);
  const pauses = [...gaps].sort((a, b) => b - a).slice(0, sentences.length - 1);
  const whole = itemAt(speech, speech.length - 1).endSeconds - itemAt(speech, 0).startSeconds;
  const saying = whole - pauses.reduce((sum, gap) => sum + gap, 0);
  const weight = sentences.reduce((sum, sentence) => sum + lineWeight(sentence), 0);
  const rate = (weight * 60) / saying;
  const { min, max } = VOICE_LIMITS.syllablesPerMinute;
  if (!(rate >= min && rate <= max)) {
    return refused('voice-other-words', { seconds: saying.toFixed(0), rate: Math.round(rate) });
  }
  return ok({
    syllablesPerMinute: Math.round(rate),
    pauseSeconds: Math.round(10 * (pauses[Math.floor(pauses.length / 2)] ?? 0)) / 10,
  });
}

/** A voice as it is used: the pause is `null` where none was ever heard. */
export interface UsedVoice {
  readonly syllablesPerMinute: number;
  readonly pauseSeconds: Seconds | null;
}

/** The middle of several measures, rate and pause each by itself; `null` of none. */
export function middleVoice(
  measures: readonly { readonly syllablesPerMinute: number; readonly pauseSeconds: Seconds | null }[],
): UsedVoice | null {
  const syllablesPerMinute = middleOf(measures.map((one) => one.syllablesPerMinute));
  if (syllablesPerMinute === null) return null;
  const pauses = measures.flatMap(({ pauseSeconds }) => (pauseSeconds === null ? [] : [pauseSeconds]));
  return { syllablesPerMinute, pauseSeconds: middleOf(pauses) };
}

/** Of an even number the lower of the two in the middle; `null` of none. */
function middleOf(rates: readonly number[]): number | null {
  const sorted = [...rates].sort((a, b) => a - b);
  return sorted[Math.floor((sorted.length - 1) / 2)] ?? null;
}

/** Decibels between the middle level of speech and the middle level of what lies between. */
function speechAboveNoise(
  levels: Float32Array,
  speech: readonly { readonly startSeconds: Seconds; readonly endSeconds: Seconds }[],
): number {
  const inside: number[] = [];
  const outside: number[] = [];
  let at = 0;
  levels.forEach((level, frame) => {
    const seconds = frame * FRAME_SECONDS;
    while (at < speech.length && itemAt(speech, at).endSeconds <= seconds) at++;
    (at < speech.length && seconds >= itemAt(speech, at).startSeconds ? inside : outside).push(level);
  });
  if (outside.length === 0) return Infinity;
  return middle(inside) - middle(outside);
}

function middle(values: number[]): number {
  return values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
}

function refused(code: string, facts: Issue['facts'] = {}): Result<VoiceMeasure, Issue> {
  return failed({ code, at: '', facts });
}
