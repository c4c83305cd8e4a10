import type { Interval } from '@/core/units';
import { frameAt, timecodeOf, type FrameRate } from './timecode';

export interface CutList {
  readonly title: string;
  /** Name of the recording's file, told in a comment; `null` where it is not known. */
  readonly clip: string | null;
  readonly kept: readonly Interval[];
  readonly rate: FrameRate;
  /** Whether there is a picture beside the sound. */
  readonly picture: boolean;
}

/** Events that the format can number. */
const EVENTS_AT_MOST = 999;
/** The cut version begins at one hour, as is common; the recording at nought. Common practice, no published source. */
const RECORD_HOURS = 1;

/**
 * A cut list as CMX 3600 has it: for each stretch that stays an event of its number, reel (`AX`, an auxiliary source),
 * channels (`B` picture and sound, `A` sound alone), a cut, and in and out of the source and of the cut version. Times
 * are whole frames, and an event is as long in one as in the other. What is beyond 999 events is left out, and a
 * comment says so.
 */
export function writeCutList({ title, clip, kept, rate, picture }: CutList): string {
  const lines = [`TITLE: ${plain(title, 70)}`, `FCM: ${rate.dropped > 0 ? 'DROP FRAME' : 'NON-DROP FRAME'}`, ''];
  let record = RECORD_HOURS * hourFrames(rate);
  kept.slice(0, EVENTS_AT_MOST).forEach(({ startSeconds, endSeconds }, index) => {
    const [from, to] = [frameAt(startSeconds, rate), frameAt(endSeconds, rate)];
    const times = [from, to, record, record + to - from].map((frame) => timecodeOf(frame, rate)).join(' ');
    const channels = (picture ? 'B' : 'A').padEnd(5);
    lines.push(`${String(index + 1).padStart(3, '0')}  ${'AX'.padEnd(8)} ${channels} C        ${times}`);
    if (clip !== null) lines.push(`* FROM CLIP NAME: ${plain(clip, 200)}`);
    record += to - from;
  });
  if (kept.length > EVENTS_AT_MOST) lines.push(`* ${kept.length - EVENTS_AT_MOST} MORE STRETCHES WERE LEFT OUT`);
  return `${lines.join('\r\n')}\r\n`;
}

/** Frames in an hour of timecode. */
function hourFrames({ counted, dropped }: FrameRate): number {
  return 3600 * counted - 54 * dropped;
}

/** Text on one line, of characters that every reader of the format takes. */
function plain(text: string, max: number): string {
  const ascii = text
    .normalize('NFKD')
    .replace(/[^\x20-\x7e]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return ascii.slice(0, max) || 'Untitled';
}
