import { ok, type Issue, type Result } from '@/core/units';
import { readWebvtt } from '../webvtt';
import type { Chapter } from './model';

/** Reads a WebVTT chapters track: each cue a chapter, its text the title. */
export function readChapters(
  text: string,
): Result<{ readonly chapters: readonly Chapter[]; readonly oddities: readonly Issue[] }, Issue> {
  const read = readWebvtt(text);
  if (!read.ok) return read;
  const chapters = read.value.captions.map(({ startSeconds, endSeconds, text: title }) => ({
    startSeconds,
    endSeconds,
    title: title.replace(/\n/g, ' '),
  }));
  return ok({ chapters, oddities: read.value.oddities });
}
