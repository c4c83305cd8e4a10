import { itemAt, failed, ok, parseClock, type Issue, type Result, type Seconds } from '@/core/units';

/** A chapter as a plain list gives it: no end is written down. */
export interface ListedChapter {
  readonly startSeconds: Seconds;
  readonly title: string;
}

const CLOCK = /^\s*(?:[-*•]\s+)?[[(]?((?:\d{1,3}:)?\d{1,3}:\d{2})[\])]?/.source;
/** A time, in brackets or not, and behind a list mark or not; then a title, by itself or behind a sign. */
const LISTED = new RegExp(`${CLOCK}\\s+(\\S.*)$`);
const SIGNED = new RegExp(`${CLOCK}\\s*[-–—|:]\\s+(\\S.*)$`);
/** Where nearly all titles stand behind a sign, it is none of theirs. */
const SIGNS_FROM = 0.8;

/**
 * Reads lines `m:ss title` (or `h:mm:ss title`), the time in brackets or before a dash too; other lines are reported.
 */
export function readChapterList(
  text: string,
): Result<{ readonly chapters: readonly ListedChapter[]; readonly oddities: readonly Issue[] }, Issue> {
  const chapters: ListedChapter[] = [];
  const oddities: Issue[] = [];
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  const written = lines.filter((line) => line.trim() !== '').length;
  const signed = lines.filter((line) => SIGNED.test(line)).length;
  const form = signed > 1 && signed >= SIGNS_FROM * written ? SIGNED : LISTED;
  lines.forEach((line, index) => {
    if (line.trim() === '') return;
    const match = form.exec(line) ?? LISTED.exec(line);
    const startSeconds = match ? parseClock(itemAt(match, 1)) : null;
    if (!match || startSeconds === null)
      oddities.push({ code: 'not-a-chapter-line', at: `line ${index + 1}`, facts: {} });
    else chapters.push({ startSeconds, title: itemAt(match, 2).trim() });
  });
  if (chapters.length === 0) return failed({ code: 'no-chapters', at: '', facts: {} });
  return ok({ chapters, oddities });
}
