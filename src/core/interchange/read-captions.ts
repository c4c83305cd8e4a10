import { itemAt, failed, ok, type Issue, type Result } from '@/core/units';
import { asSaid, CAPTION_LIMITS, type CaptionsRead } from './caption';
import { readSrt } from './srt';
import { isTimedText, readTimedText } from './timed-text';
import { readWebvtt } from './webvtt';

/**
 * Reads a caption file: WebVTT or SRT, told apart by the header or else by the first decimal mark, or plain text with
 * times where no line has an arrow. Lines that stay on from one caption to the next, sounds in brackets and names of
 * who speaks are taken out, and told.
 */
export function readCaptions(text: string): Result<CaptionsRead, Issue> {
  const read = readAnyCaptions(text);
  const long = read.ok ? read.value.captions.findIndex((one) => one.text.length > CAPTION_LIMITS.characters) : -1;
  if (long < 0) return read.ok ? ok(asSaid(read.value)) : read;
  return failed({ code: 'caption-too-long', at: `caption ${long + 1}`, facts: { max: CAPTION_LIMITS.characters } });
}

function readAnyCaptions(text: string): Result<CaptionsRead, Issue> {
  const start = text.replace(/^\uFEFF/, '').slice(0, 4000);
  if (/^WEBVTT/.test(start)) return readWebvtt(text);
  if (!/-{1,2}>/.test(text.slice(0, 100_000)) && isTimedText(text)) return readTimedText(text);
  const mark = /\d{1,2}:\d{2}([.,])\d{1,3}\s*-{1,2}>/.exec(start)?.[1];
  return mark === '.' && !/^\s*\d+\s*$/m.test(itemAt(start.split('-->'), 0)) ? readWebvtt(text) : readSrt(text);
}
