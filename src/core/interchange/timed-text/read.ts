import { itemAt, failed, ok, wholeMilliseconds, type Issue, type Result, type Seconds } from '@/core/units';
import { CAPTION_LIMITS, type Caption, type CaptionsRead } from '../caption';

const TIME = /(?:(\d{1,2}):)?(\d{1,3}):([0-5]\d)(?:[.,](\d{1,3}))?/.source;
/** A line that begins with a time, in brackets or not, and may have the time it ends at. */
const TIMED = new RegExp(`^\\s*[[(]?${TIME}[\\])]?(?:\\s*(?:-|–|—|to|-->)\\s*[[(]?${TIME}[\\])]?)?[\\s:.–—-]*(.*)$`);

/** How long words take that have no end of their own: slow enough for a class. Common practice, no published source. */
const A_WORD: Seconds = 0.45;
const AT_LEAST: Seconds = 0.5;

/** Whether a text has lines that begin with a time. */
export function isTimedText(text: string): boolean {
  return text.split(/\r\n|\r|\n/, 400).some((line) => TIMED.test(line));
}

/**
 * Reads plain text with times, as machines write transcripts: `m:ss`, `h:mm:ss` or either in brackets before the words,
 * on their line or above it. Words end at the time given, or after as long as they take, before the next begins.
 */
export function readTimedText(text: string): Result<CaptionsRead, Issue> {
  if (text.length > CAPTION_LIMITS.fileCharacters) {
    const facts = { megabytes: CAPTION_LIMITS.fileCharacters / 1024 / 1024 };
    return failed({ code: 'caption-file-too-large', at: '', facts });
  }
  const oddities: Issue[] = [];
  const found: { start: Seconds; end: Seconds | null; words: string[] }[] = [];
  for (const [index, line] of text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .entries()) {
    const match = TIMED.exec(line);
    const last = found.at(-1);
    if (!match) {
      if (line.trim() !== '' && last) last.words.push(line.trim());
      continue;
    }
    const [start, end] = [timeOf(match, 1), match[6] === undefined ? null : timeOf(match, 5)];
    if (start > CAPTION_LIMITS.seconds) {
      oddities.push({
        code: 'beyond-four-hours',
        at: `line ${index + 1}`,
        facts: { time: line.slice(0, 20), text: '' },
      });
      continue;
    }
    found.push({ start, end, words: itemAt(match, 9).trim() === '' ? [] : [itemAt(match, 9).trim()] });
    if (found.length > CAPTION_LIMITS.captions)
      return failed({ code: 'too-many-captions', at: '', facts: { max: CAPTION_LIMITS.captions } });
  }
  const ordered = found.filter(({ words }) => words.length > 0).sort((a, b) => a.start - b.start);
  if (ordered.length === 0) return failed({ code: 'no-captions', at: '', facts: {} });
  const captions = ordered.map(({ start, end, words }, index): Caption => {
    const said = words.join(' ');
    const takes = AT_LEAST + A_WORD * said.split(/\s+/).length;
    const until = end !== null && end > start ? end : Math.min(start + takes, ordered.at(index + 1)?.start ?? Infinity);
    return { startSeconds: start, endSeconds: wholeMilliseconds(Math.max(until, start + 0.2)), text: said };
  });
  return ok({ captions, oddities: oddities.slice(0, CAPTION_LIMITS.oddities) });
}

function timeOf(match: RegExpExecArray, from: number): Seconds {
  const [hours, minutes, seconds, fraction] = match.slice(from, from + 4) as (string | undefined)[];
  const thousandths = Number((fraction ?? '0').padEnd(3, '0'));
  return wholeMilliseconds(Number(hours ?? 0) * 3600 + Number(minutes) * 60 + Number(seconds) + thousandths / 1000);
}
