import { itemAt, failed, ok, wholeMilliseconds, type Issue, type Result, type Seconds } from '@/core/units';
import { CAPTION_LIMITS, type Caption, type CaptionsRead } from './model';

/** What one caption format expects, so that the shared reader can say what is odd for it. */
export interface Dialect {
  readonly decimalMark: '.' | ',';
  readonly hoursNeeded: boolean;
  readonly numbered: boolean;
  readonly header: RegExp | null;
  /** Blocks that hold no caption and are passed over as the format intends. */
  readonly otherBlocks: RegExp | null;
  readonly decode: (text: string) => string;
}

const TIME = /(?:(\d{1,4}):)?(\d{1,2}):(\d{1,2})(?:([.,])(\d{1,3}))?/.source;
const TIMING = new RegExp(`^\\s*${TIME}\\s*-{1,2}>\\s*${TIME}(.*)$`);
const TAG = /<\/?(?:b|i|u|s|font|span|c|v|lang|ruby|rt|\d{2}:[\d:.]+)(?:[.\s][^<>]*)?\/?>/gi;

interface Reading {
  readonly dialect: Dialect;
  readonly captions: Caption[];
  readonly oddities: Issue[];
  expectedNumber: number;
}

/**
 * Reads a caption file of either dialect tolerantly: marks, hours, numbering and order may be wrong. Everything odd
 * is reported with its line; a caption with a time that cannot be read is reported with its words.
 */
export function readCaptionBlocks(text: string, dialect: Dialect): Result<CaptionsRead, Issue> {
  if (text.length > CAPTION_LIMITS.fileCharacters) {
    return failed({
      code: 'caption-file-too-large',
      at: '',
      facts: { megabytes: CAPTION_LIMITS.fileCharacters / 1024 / 1024 },
    });
  }
  if (text.trim() === '') return failed({ code: 'empty-file', at: '', facts: {} });
  if (text.includes('\u0000')) return failed({ code: 'not-text-file', at: '', facts: {} });
  const reading: Reading = { dialect, captions: [], oddities: [], expectedNumber: 1 };
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  if (text.startsWith('\uFEFF')) note(reading, 'byte-order-mark', 1);
  let at = readHeader(lines, reading);
  while (at < lines.length) {
    if (itemAt(lines, at).trim() === '') at++;
    else at = readBlock(lines, at, reading);
    if (reading.captions.length > CAPTION_LIMITS.captions) {
      return failed({ code: 'too-many-captions', at: `line ${at}`, facts: { max: CAPTION_LIMITS.captions } });
    }
  }
  if (reading.captions.length === 0) return failed({ code: 'no-captions', at: '', facts: {} });
  return ok({ captions: inOrder(reading), oddities: reading.oddities });
}

function readHeader(lines: readonly string[], reading: Reading): number {
  const { header } = reading.dialect;
  if (!header) return 0;
  if (!header.test(itemAt(lines, 0))) {
    note(reading, 'no-header', 1);
    return 0;
  }
  let at = 1;
  while (at < lines.length && itemAt(lines, at).trim() !== '' && !itemAt(lines, at).includes('-->')) at++;
  return at;
}

/** Reads the block of non-blank lines at `at`; gives the line after it. */
function readBlock(lines: readonly string[], at: number, reading: Reading): number {
  let end = at;
  while (end < lines.length && itemAt(lines, end).trim() !== '') end++;
  if (reading.dialect.otherBlocks?.test(itemAt(lines, at))) return end;
  let timingAt = -1;
  for (let line = at; line < end; line++) {
    if (!itemAt(lines, line).includes('->')) continue;
    if (timingAt < 0) timingAt = line;
    else if (TIMING.test(itemAt(lines, line))) {
      // A new caption without a blank line before it; its number, if any, stands on the line above.
      note(reading, 'no-blank-line', line + 1);
      end = /^\s*\d+\s*$/.test(itemAt(lines, line - 1)) ? line - 1 : line;
      break;
    }
  }
  if (timingAt < 0) {
    note(reading, 'text-without-time', at + 1, { text: shortened(lines.slice(at, end).join(' ')) });
    return end;
  }
  readNumber(lines, at, timingAt, reading);
  readCaption(lines.slice(timingAt + 1, end), itemAt(lines, timingAt), timingAt + 1, reading);
  return end;
}

function readNumber(lines: readonly string[], at: number, timingAt: number, reading: Reading): void {
  if (!reading.dialect.numbered) return;
  const label = timingAt > at ? itemAt(lines, timingAt - 1).trim() : '';
  if (!/^\d+$/.test(label)) note(reading, 'no-number', timingAt + 1);
  else if (Number(label) !== reading.expectedNumber) {
    note(reading, 'wrong-number', timingAt, { found: Number(label), expected: reading.expectedNumber });
  }
  reading.expectedNumber++;
  for (let line = at; line < timingAt - 1; line++)
    note(reading, 'text-without-time', line + 1, { text: shortened(itemAt(lines, line)) });
}

function readCaption(textLines: readonly string[], timing: string, line: number, reading: Reading): void {
  const words = textLines.join('\n');
  const match = TIMING.exec(timing);
  if (!match) {
    note(reading, 'bad-time', line, { text: shortened(words), time: shortened(timing) });
    return;
  }
  const startSeconds = timeOf(match, 1, line, reading);
  let endSeconds = timeOf(match, 6, line, reading);
  if (Math.max(startSeconds, endSeconds) > CAPTION_LIMITS.seconds) {
    note(reading, 'beyond-four-hours', line, { time: shortened(timing), text: shortened(words) });
    return;
  }
  if (endSeconds <= startSeconds) {
    note(reading, 'end-before-start', line, { text: shortened(words) });
    endSeconds = wholeMilliseconds(startSeconds + 1);
  }
  const text = plainText(words, line, reading);
  if (text === '') note(reading, 'empty-caption', line);
  else reading.captions.push({ startSeconds, endSeconds, text });
}

function timeOf(match: RegExpExecArray, from: number, line: number, reading: Reading): Seconds {
  const [hours, minutes, seconds, mark, fraction] = match.slice(from, from + 5) as (string | undefined)[];
  const { dialect } = reading;
  if (hours === undefined && dialect.hoursNeeded) note(reading, 'no-hours', line);
  if (mark === undefined) note(reading, 'no-fraction', line);
  else if (mark !== dialect.decimalMark) note(reading, 'other-decimal-mark', line, { mark });
  if (Number(minutes) > 59 || Number(seconds) > 59) note(reading, 'minutes-over-59', line);
  const thousandths = Number((fraction ?? '0').padEnd(3, '0'));
  return wholeMilliseconds(Number(hours ?? 0) * 3600 + Number(minutes) * 60 + Number(seconds) + thousandths / 1000);
}

function plainText(raw: string, line: number, reading: Reading): string {
  const untagged = raw.replace(TAG, '').replace(/\{\\[a-z][^{}]*\}/gi, '');
  if (untagged !== raw) note(reading, 'tags-removed', line);
  return reading.dialect
    .decode(untagged)
    .split('\n')
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .join('\n');
}

/** Puts captions in order of start and reports overlaps; overlapping captions are kept as they are. */
function inOrder(reading: Reading): Caption[] {
  const { captions } = reading;
  for (let at = 1; at < captions.length; at++) {
    const place = `caption ${at + 1}`;
    if (itemAt(captions, at).startSeconds < itemAt(captions, at - 1).startSeconds) {
      push(reading, { code: 'out-of-order', at: place, facts: {} });
    } else if (itemAt(captions, at).startSeconds < itemAt(captions, at - 1).endSeconds) {
      push(reading, { code: 'overlap', at: place, facts: {} });
    }
  }
  return [...captions].sort((a, b) => a.startSeconds - b.startSeconds);
}

function note(reading: Reading, code: string, line: number, facts: Issue['facts'] = {}): void {
  push(reading, { code, at: `line ${line}`, facts });
}

/** The list of oddities is bounded; its last entry then says so. */
function push(reading: Reading, issue: Issue): void {
  if (reading.oddities.length < CAPTION_LIMITS.oddities) reading.oddities.push(issue);
  else if (reading.oddities.length === CAPTION_LIMITS.oddities) {
    reading.oddities.push({ code: 'more-oddities', at: issue.at, facts: { listed: CAPTION_LIMITS.oddities } });
  }
}

function shortened(text: string): string {
  const flat = text.replace(/\s+/g, ' ').trim();
  return [...flat].length > 80 ? `${[...flat].slice(0, 79).join('')}…` : flat;
}
