import { formatClock } from '@/core/units';
import type { Chapter } from '../chapters';

/** Chapters as plain lines `m:ss title`, the first at 0:00. Chapters that begin in the same second share the later line. */
export function writeChapterList(chapters: readonly Chapter[]): string {
  const lines = new Map<string, string>();
  chapters.forEach((chapter, index) => {
    const at = index === 0 ? '0:00' : formatClock(Math.max(0, chapter.startSeconds));
    lines.set(at, `${at} ${chapter.title.replace(/\s+/g, ' ').trim()}`);
  });
  return [...lines.values()].map((line) => `${line}\n`).join('');
}
