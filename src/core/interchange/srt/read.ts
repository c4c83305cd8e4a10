import type { Issue, Result } from '@/core/units';
import { readCaptionBlocks, type CaptionsRead } from '../caption';

/** Reads SRT captions tolerantly; see `readCaptionBlocks`. */
export function readSrt(text: string): Result<CaptionsRead, Issue> {
  return readCaptionBlocks(text, {
    decimalMark: ',',
    hoursNeeded: true,
    numbered: true,
    header: null,
    otherBlocks: null,
    decode: (words) => words,
  });
}
