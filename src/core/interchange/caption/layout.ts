import { wordsOf } from '@/core/speech';
import { wholeMilliseconds, type Interval, type Issue, type Seconds } from '@/core/units';
import type { Caption, CaptionsLaidOut } from './model';

/** What is said when: the cues of a timeline or of a reading. */
export interface SaidLine extends Interval {
  readonly text: string;
}

/** BBC Subtitle Guidelines (from memory): about 37 characters a line, two lines, up to 180 words a minute. */
const CHARACTERS_A_LINE = 37;
const LINES = 2;
const WORDS_A_MINUTE = 180;
/** DCMP Captioning Key (from memory): at least 40 frames of 1/30 s on screen. */
const LEAST_SECONDS: Seconds = 40 / 30;
/** Between two captions, so that the eye sees the change: two frames at 25 a second. */
const GAP_SECONDS: Seconds = 0.08;
/** Two captions never begin closer than this; lines said at once are shown one after the other. */
const CLOSEST_STARTS: Seconds = 0.3;

/**
 * Lays lines out as captions: wrapped at sense, at most two lines, in order, never overlapping, never without
 * length; each stays as long as is comfortable to read where the next one allows it, and is noted where it does not.
 */
export function layOutCaptions(lines: readonly SaidLine[]): CaptionsLaidOut {
  const pieces = [...lines].sort((a, b) => a.startSeconds - b.startSeconds).flatMap(splitLine);
  const captions: Caption[] = [];
  const notes: Issue[] = [];
  let earliest = 0;
  pieces.forEach((piece, index) => {
    const startSeconds = wholeMilliseconds(Math.max(piece.startSeconds, earliest));
    const next = pieces[index + 1]?.startSeconds ?? Infinity;
    const latest = Math.max(next - GAP_SECONDS, startSeconds + CLOSEST_STARTS);
    const words = wordsOf(piece.text).length;
    const comfortable = Math.max(LEAST_SECONDS, (words * 60) / WORDS_A_MINUTE);
    const endSeconds = wholeMilliseconds(Math.min(latest, Math.max(piece.endSeconds, startSeconds + comfortable)));
    captions.push({ startSeconds, endSeconds, text: wrap(piece.text).join('\n') });
    earliest = endSeconds;
    const wordsPerMinute = Math.round((words * 60) / (endSeconds - startSeconds));
    if (wordsPerMinute > WORDS_A_MINUTE + 0.5 && words > 1) {
      notes.push({
        code: 'caption-too-fast',
        at: `caption ${captions.length}`,
        facts: { startSeconds, wordsPerMinute, max: WORDS_A_MINUTE },
      });
    }
  });
  return { captions, notes };
}

/** A line too long for one caption is parted at sense, its time shared by length. */
function splitLine(line: SaidLine): SaidLine[] {
  const text = line.text.replace(/\s+/g, ' ').trim();
  if (text === '') return [];
  const parts = partition(wrap(text)).map((part) => part.join(' '));
  const total = parts.reduce((sum, part) => sum + part.length, 0);
  let at = line.startSeconds;
  return parts.map((part) => {
    const startSeconds = at;
    at += ((line.endSeconds - line.startSeconds) * part.length) / total;
    return { text: part, startSeconds, endSeconds: Math.max(at, startSeconds + 0.001) };
  });
}

function partition(lines: readonly string[]): string[][] {
  const parts: string[][] = [];
  for (let at = 0; at < lines.length; at += LINES) parts.push(lines.slice(at, at + LINES));
  return parts;
}

/** Breaks a text into lines of at most 37 characters, preferably after punctuation, never inside a word that fits. */
export function wrap(text: string): string[] {
  const lines: string[] = [];
  let rest = text.replace(/\s+/g, ' ').trim();
  while ([...rest].length > CHARACTERS_A_LINE) {
    const head = [...rest].slice(0, CHARACTERS_A_LINE + 1).join('');
    const sense = Math.max(...['. ', '? ', ', ', '; ', ': '].map((mark) => head.lastIndexOf(mark) + 1));
    const space = head.lastIndexOf(' ');
    const cut = sense > CHARACTERS_A_LINE / 3 ? sense : space > 0 ? space : head.length - lastWidth(head);
    lines.push(rest.slice(0, cut).trim());
    rest = rest.slice(cut).trim();
  }
  if (rest !== '') lines.push(rest);
  return lines;
}

/** UTF-16 length of the last character, so that a cut never falls inside it. */
function lastWidth(text: string): number {
  return [...text].at(-1)?.length ?? 1;
}
