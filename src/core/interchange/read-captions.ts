import type { Issue, Result } from '@/core/units';
import type { CaptionsRead } from './caption';
import { readSrt } from './srt';
import { readWebvtt } from './webvtt';

/** Reads a caption file of either format, told apart by the WebVTT header or else by the first decimal mark. */
export function readCaptions(text: string): Result<CaptionsRead, Issue> {
  const start = text.replace(/^\uFEFF/, '').slice(0, 4000);
  if (/^WEBVTT/.test(start)) return readWebvtt(text);
  const mark = /\d{1,2}:\d{2}([.,])\d{1,3}\s*-{1,2}>/.exec(start)?.[1];
  return mark === '.' && !/^\s*\d+\s*$/m.test(start.split('-->')[0]) ? readWebvtt(text) : readSrt(text);
}
