import { timestamp } from '../caption';
import { escapeWebvtt } from '../webvtt';
import type { Chapter } from './model';

/** Chapters as a WebVTT chapters track. Stretches of no length are left out, since WebVTT allows none. */
export function writeChapters(chapters: readonly Chapter[]): string {
  const blocks = chapters
    .filter((chapter) => timestamp(chapter.startSeconds, '.') < timestamp(chapter.endSeconds, '.'))
    .map(
      (chapter) =>
        `${timestamp(chapter.startSeconds, '.')} --> ${timestamp(chapter.endSeconds, '.')}\n${escapeWebvtt(chapter.title.replace(/\s+/g, ' '))}\n`,
    );
  return ['WEBVTT\n', ...blocks].join('\n');
}
