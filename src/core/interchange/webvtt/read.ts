import type { Issue, Result } from '@/core/units';
import { readCaptionBlocks, type CaptionsRead } from '../caption';

const ENTITIES: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  nbsp: '\u00A0',
  lrm: '\u200E',
  rlm: '\u200F',
};

/** WebVTT's escapes undone. Source: W3C, WebVTT, section on cue text. */
function unescapeWebvtt(text: string): string {
  return text.replace(/&(amp|lt|gt|nbsp|lrm|rlm);/g, (written, name: string) => ENTITIES[name] ?? written);
}

/** Reads WebVTT captions tolerantly; see `readCaptionBlocks`. */
export function readWebvtt(text: string): Result<CaptionsRead, Issue> {
  return readCaptionBlocks(text, {
    decimalMark: '.',
    hoursNeeded: false,
    numbered: false,
    header: /^WEBVTT(?:[ \t].*)?$/,
    otherBlocks: /^(?:NOTE|STYLE|REGION)(?:[ \t]|$)/,
    decode: unescapeWebvtt,
  });
}
