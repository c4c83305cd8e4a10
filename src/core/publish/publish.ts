import {
  layOutCaptions,
  writeChapterList,
  writeChapters,
  writeCueSheet,
  writeSrt,
  writeSsml,
  writeWebvtt,
  type ActualTimes,
  type Chapter,
  type SaidLine,
} from '@/core/interchange';
import { stepsInOrder, writePlanText, type ClassPlan } from '@/core/plan';
import { writeScript } from '@/core/plain-script';
import type { Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import type { Issue, Seconds } from '@/core/units';
import { NO_SPELLING, spelled, type Spelling } from '@/core/words';

export const PUBLISH_FORMATS = [
  'webvtt',
  'srt',
  'chapters',
  'chapter-list',
  'cue-sheet',
  'ssml',
  'script',
  'plan',
] as const;
export type PublishFormat = (typeof PUBLISH_FORMATS)[number];

export interface Published {
  readonly text: string;
  /** Ending of the file's name, with its dot. */
  readonly ending: string;
  readonly mediaType: string;
  /** What could not be made comfortable: captions too quick to read. */
  readonly notes: readonly Issue[];
}

/**
 * Writes a class in a format, with the planned times or, where there is a reading, the actual ones. Captions, chapters
 * and speech are in the studio's spelling; what is read back (cue sheet, script, plan) is as it was written.
 */
export function publish(
  plan: ClassPlan,
  timeline: Timeline,
  format: PublishFormat,
  reading: Reading | null,
  spelling: Spelling = NO_SPELLING,
): Published {
  switch (format) {
    case 'webvtt':
    case 'srt': {
      const { captions, notes } = layOutCaptions(inSpelling(saidLines(timeline, reading), spelling));
      if (format === 'srt')
        return { text: writeSrt(captions), ending: '.srt', mediaType: 'application/x-subrip', notes };
      return { text: writeWebvtt(captions), ending: '.vtt', mediaType: 'text/vtt', notes };
    }
    case 'chapters':
      return {
        text: writeChapters(titled(chaptersOf(plan, timeline, reading), spelling)),
        ending: '.chapters.vtt',
        mediaType: 'text/vtt',
        notes: [],
      };
    case 'chapter-list':
      return {
        text: writeChapterList(titled(chaptersOf(plan, timeline, reading), spelling)),
        ending: '.chapters.txt',
        mediaType: 'text/plain',
        notes: [],
      };
    case 'cue-sheet': {
      const text = writeCueSheet(plan, timeline, reading ? actualTimes(reading) : null);
      return { text, ending: '.cues.csv', mediaType: 'text/csv', notes: [] };
    }
    case 'ssml': {
      const lines = inSpelling(saidLines(timeline, reading), spelling);
      const lengthSeconds = Math.max(timeline.runtimeSeconds, lines.at(-1)?.endSeconds ?? 0);
      const text = writeSsml(lines, { lengthSeconds, syllablesPerMinute: plan.voice.syllablesPerMinute });
      return { text, ending: '.ssml', mediaType: 'application/ssml+xml', notes: [] };
    }
    case 'script':
      return { text: writeScript(plan), ending: '.script.txt', mediaType: 'text/plain', notes: [] };
    case 'plan':
      return { text: writePlanText(plan), ending: '.plan.json', mediaType: 'application/json', notes: [] };
  }
}

function inSpelling(lines: readonly SaidLine[], spelling: Spelling): SaidLine[] {
  return lines.map((line) => ({ ...line, text: spelled(line.text, spelling) }));
}

function titled(chapters: readonly Chapter[], spelling: Spelling): Chapter[] {
  return chapters.map((chapter) => ({ ...chapter, title: spelled(chapter.title, spelling) }));
}

function actualTimes(reading: Reading): ActualTimes {
  return new Map(
    reading.cues.map(({ id, saidAtSeconds, endSeconds }) => [
      id,
      saidAtSeconds === null || endSeconds === null ? null : { startSeconds: saidAtSeconds, endSeconds },
    ]),
  );
}

/** What is said when: planned cues, or with a reading those that were said, and the remarks whose words are known. */
export function saidLines(timeline: Timeline, reading: Reading | null): SaidLine[] {
  if (!reading) return timeline.cues.map(({ text, startSeconds, endSeconds }) => ({ text, startSeconds, endSeconds }));
  const cues = reading.cues.flatMap((cue): SaidLine[] =>
    cue.saidAtSeconds === null || cue.endSeconds === null
      ? []
      : [{ text: cue.text, startSeconds: cue.saidAtSeconds, endSeconds: cue.endSeconds }],
  );
  const remarks = reading.remarks.flatMap(({ text, startSeconds, endSeconds }) =>
    text ? [{ text, startSeconds, endSeconds }] : [],
  );
  return [...cues, ...remarks].sort((a, b) => a.startSeconds - b.startSeconds);
}

/**
 * A chapter for every movement and quiet, and for the talk and transitions that lead to it together with the title
 * of their section. With a reading, chapters begin where their first said cue was said.
 */
export function chaptersOf(plan: ClassPlan, timeline: Timeline, reading: Reading | null): Chapter[] {
  const toTake = takenTimes(timeline, reading);
  const starts: { title: string; startSeconds: Seconds }[] = [];
  let sectionBefore: string | null = null;
  stepsInOrder(plan).forEach(({ step, section }, index) => {
    const timed = timeline.steps[index];
    if (timed.endSeconds <= timed.startSeconds) return;
    const opens = section.id !== sectionBefore;
    sectionBefore = section.id;
    if (step.kind === 'movement' || step.kind === 'quiet')
      starts.push({ title: step.name, startSeconds: toTake(timed.startSeconds, index) });
    else if (opens) starts.push({ title: section.title, startSeconds: toTake(timed.startSeconds, index) });
  });
  const end = reading
    ? Math.max(reading.totals.runtimeSeconds, starts.at(-1)?.startSeconds ?? 0)
    : timeline.runtimeSeconds;
  if (starts.length > 0) starts[0].startSeconds = 0;
  for (let at = 1; at < starts.length; at++)
    starts[at].startSeconds = Math.max(starts[at].startSeconds, starts[at - 1].startSeconds);
  return starts.map((chapter, index) => ({ ...chapter, endSeconds: starts[index + 1]?.startSeconds ?? end }));
}

/** Gives the time in the take at which a step began: by its first said cue, else by the drift before it. */
function takenTimes(timeline: Timeline, reading: Reading | null): (seconds: Seconds, stepIndex: number) => Seconds {
  if (!reading) return (seconds) => seconds;
  const saidAt = new Map(reading.cues.map((cue) => [cue.id, cue.saidAtSeconds]));
  return (seconds, stepIndex) => {
    const [from, to] = timeline.steps[stepIndex].cueRange;
    for (let at = from; at < to; at++) {
      const said = saidAt.get(timeline.cues[at].id);
      if (said !== null && said !== undefined) return Math.max(0, said - (timeline.cues[at].startSeconds - seconds));
    }
    for (let at = from - 1; at >= 0; at--) {
      const said = saidAt.get(timeline.cues[at].id);
      if (said !== null && said !== undefined) return Math.max(0, seconds + said - timeline.cues[at].startSeconds);
    }
    return seconds;
  };
}

/** A file name made of a title: letters, digits and hyphens, at most 60; `class` when nothing is left. */
export function fileNameFor(title: string, ending: string): string {
  const stem = title
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/[^\x20-\x7e]/g, '')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
    .slice(0, 60);
  return `${stem || 'class'}${ending}`;
}
