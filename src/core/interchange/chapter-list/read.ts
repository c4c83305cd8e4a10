import { itemAt, failed, ok, parseClock, type Issue, type Result, type Seconds } from '@/core/units';

/** A chapter as a plain list gives it: no end is written down. */
export interface ListedChapter {
  readonly startSeconds: Seconds;
  readonly title: string;
}

/** Reads lines `m:ss title` (or `h:mm:ss title`); other lines are reported. */
export function readChapterList(
  text: string,
): Result<{ readonly chapters: readonly ListedChapter[]; readonly oddities: readonly Issue[] }, Issue> {
  const chapters: ListedChapter[] = [];
  const oddities: Issue[] = [];
  text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .forEach((line, index) => {
      if (line.trim() === '') return;
      const match = /^\s*((?:\d{1,3}:)?\d{1,3}:\d{2})\s+(\S.*)$/.exec(line);
      const startSeconds = match ? parseClock(itemAt(match, 1)) : null;
      if (!match || startSeconds === null)
        oddities.push({ code: 'not-a-chapter-line', at: `line ${index + 1}`, facts: {} });
      else chapters.push({ startSeconds, title: itemAt(match, 2).trim() });
    });
  if (chapters.length === 0) return failed({ code: 'no-chapters', at: '', facts: {} });
  return ok({ chapters, oddities });
}
