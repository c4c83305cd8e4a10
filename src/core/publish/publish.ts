import { performedName } from '@/core/timeline';
import { cutReading, cutTime, FRAME_RATES, keptSeconds, writeCutList, type CutList } from '@/core/cuts';
import {
  layOutCaptions,
  writeChapterList,
  writeChapters,
  writeCueSheet,
  writeSrt,
  writeSsml,
  writeWebvtt,
  type ActualTimes,
  type Caption,
  type Chapter,
  type SaidLine,
} from '@/core/interchange';
import { type ClassPlan, contractOf, performedSteps, writePlanText } from '@/core/plan';
import { writeScript } from '@/core/plain-script';
import { takeTimes, type Reading } from '@/core/reading';
import type { TimedPhase, Timeline } from '@/core/timeline';
import { reportOf } from '@/core/report';
import { itemAt, lastStartedAt, type Interval, type Issue, type Seconds } from '@/core/units';
import { NO_SPELLING, spelled, type Spelling } from '@/core/words';
import { writeDescription, writeLabels, writeMetadata } from './tracks';

export const PUBLISH_FORMATS = [
  'webvtt',
  'srt',
  'chapters',
  'chapter-list',
  'description',
  'cue-sheet',
  'labels',
  'cut-list',
  'metadata',
  'reading',
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
  cutting: Cutting | null = null,
): Published {
  const cut = reading && cutting;
  const asked: Asked = {
    plan,
    timeline,
    reading: cut ? cutReading(reading, timeline, cut.kept) : reading,
    spelling,
    cutting: cut,
    toTake: takenTime(timeline, reading, cut),
  };
  return { notes: [], ...MAKERS[format](asked) };
}

/** The cut version of a take that is asked for: what stays of the recording, on whole frames, and how it is counted. */
export type Cutting = Omit<CutList, 'title'>;

/** All of a take, as one event. */
function uncut(timeline: Timeline, reading: Reading | null): Cutting {
  const endSeconds = reading?.totals.runtimeSeconds ?? timeline.runtimeSeconds;
  return { kept: [{ startSeconds: 0, endSeconds }], rate: FRAME_RATES[2], clip: null, picture: true };
}

/** Planned seconds to seconds of the take or, where it is asked for, of its cut version. */
function takenTime(timeline: Timeline, reading: Reading | null, cutting: Cutting | null): (at: Seconds) => Seconds {
  const toTake = takeTimes(timeline, reading);
  return cutting ? (planned) => cutTime(cutting.kept, toTake(planned)) : toTake;
}

/** When each phase of the breath comes in the class as planned, in a take, or in its cut version; and how long that is. */
export function breathTimes(
  timeline: Timeline,
  reading: Reading | null,
  cutting: Cutting | null,
): { readonly phases: readonly (Interval & Pick<TimedPhase, 'kind'>)[]; readonly lengthSeconds: Seconds } {
  const at = takenTime(timeline, reading, reading && cutting);
  const whole = reading ? reading.totals.runtimeSeconds : timeline.runtimeSeconds;
  return {
    phases: timeline.phases.map(({ kind, startSeconds, endSeconds }) => ({
      kind,
      startSeconds: at(startSeconds),
      endSeconds: at(endSeconds),
    })),
    lengthSeconds: reading && cutting ? keptSeconds(cutting.kept) : whole,
  };
}

interface Asked {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly reading: Reading | null;
  readonly spelling: Spelling;
  readonly cutting: Cutting | null;
  readonly toTake: (planned: Seconds) => Seconds;
}

type Made = Omit<Published, 'notes'> & Partial<Pick<Published, 'notes'>>;

const lines = ({ timeline, reading, spelling }: Asked): SaidLine[] =>
  inSpelling(saidLines(timeline, reading), spelling);
const chapters = ({ plan, timeline, reading, spelling }: Asked): Chapter[] =>
  titled(chaptersOf(plan, timeline, reading), spelling);

const MAKERS: Readonly<Record<PublishFormat, (asked: Asked) => Made>> = {
  webvtt: (asked) => {
    const { captions, notes } = layOutCaptions(lines(asked));
    return { text: writeWebvtt(captions), ending: '.vtt', mediaType: 'text/vtt', notes };
  },
  srt: (asked) => {
    const { captions, notes } = layOutCaptions(lines(asked));
    return { text: writeSrt(captions), ending: '.srt', mediaType: 'application/x-subrip', notes };
  },
  chapters: (asked) => ({ text: writeChapters(chapters(asked)), ending: '.chapters.vtt', mediaType: 'text/vtt' }),
  'chapter-list': (asked) => ({
    text: writeChapterList(chapters(asked)),
    ending: '.chapters.txt',
    mediaType: 'text/plain',
  }),
  description: (asked) => ({
    text: spelled(writeDescription(asked.plan, asked.timeline, chapters(asked), asked.reading), asked.spelling),
    ending: '.description.txt',
    mediaType: 'text/plain',
  }),
  'cue-sheet': ({ plan, timeline, reading }) => ({
    text: writeCueSheet(plan, timeline, reading ? actualTimes(reading) : null),
    ending: '.cues.csv',
    mediaType: 'text/csv',
  }),
  labels: (asked) => ({
    text: writeLabels(lines(asked)),
    ending: '.labels.txt',
    mediaType: 'text/tab-separated-values',
  }),
  'cut-list': ({ plan, timeline, reading, cutting }) => ({
    text: writeCutList({ title: plan.title, ...(cutting ?? uncut(timeline, reading)) }),
    ending: '.edl',
    mediaType: 'text/plain',
  }),
  metadata: ({ plan, timeline, toTake }) => ({
    text: writeMetadata(plan, timeline, toTake),
    ending: '.breath.vtt',
    mediaType: 'text/vtt',
  }),
  reading: ({ timeline, reading }) => ({
    text: `${JSON.stringify(reading && { ...reading, report: reportOf(timeline, reading) }, null, 2)}\n`,
    ending: '.reading.json',
    mediaType: 'application/json',
  }),
  ssml: (asked) => {
    const { plan, timeline } = asked;
    const said = lines(asked);
    const lengthSeconds = Math.max(timeline.runtimeSeconds, said.at(-1)?.endSeconds ?? 0);
    const text = writeSsml(said, { lengthSeconds, syllablesPerMinute: plan.voice.syllablesPerMinute });
    return { text, ending: '.ssml', mediaType: 'application/ssml+xml' };
  },
  script: ({ plan }) => ({ text: writeScript(plan), ending: '.script.txt', mediaType: 'text/plain' }),
  plan: ({ plan }) => ({ text: writePlanText(plan), ending: '.plan.json', mediaType: 'application/json' }),
};

/** The captions of a class as they are published. */
export function captionsOf(timeline: Timeline, reading: Reading | null, spelling: Spelling): readonly Caption[] {
  return layOutCaptions(inSpelling(saidLines(timeline, reading), spelling)).captions;
}

/** The caption that is shown at a time; `null` where none is. */
export function captionAt(captions: readonly Caption[], seconds: Seconds): Caption | null {
  const caption = captions[lastStartedAt(captions, seconds)];
  return caption && caption.endSeconds > seconds ? caption : null;
}

function inSpelling(lines: readonly SaidLine[], spelling: Spelling): SaidLine[] {
  return lines.map((line) => ({ ...line, text: spelled(line.text, spelling) }));
}

function titled(chapters: readonly Chapter[], spelling: Spelling): Chapter[] {
  return chapters.map((chapter) => ({ ...chapter, title: spelled(chapter.title, spelling) }));
}

function actualTimes(reading: Reading): ActualTimes {
  return new Map(
    reading.cues.map(({ id, actualStart, actualEnd }) => [
      id,
      actualStart === null || actualEnd === null ? null : { startSeconds: actualStart, endSeconds: actualEnd },
    ]),
  );
}

/** What is said when: planned cues, or with a reading those that were said, and the ad-libs whose words are known. */
export function saidLines(timeline: Timeline, reading: Reading | null): SaidLine[] {
  if (!reading) return timeline.cues.map(({ text, startSeconds, endSeconds }) => ({ text, startSeconds, endSeconds }));
  const cues = reading.cues.flatMap((cue): SaidLine[] =>
    cue.actualStart === null || cue.actualEnd === null
      ? []
      : [{ text: cue.text, startSeconds: cue.actualStart, endSeconds: cue.actualEnd }],
  );
  const adLibs = reading.adLibs.flatMap(({ text, startSeconds, endSeconds }) =>
    text ? [{ text, startSeconds, endSeconds }] : [],
  );
  return [...cues, ...adLibs].sort((a, b) => a.startSeconds - b.startSeconds);
}

/**
 * A chapter for every movement and quiet, and for the talk and transitions that lead to it together with the title
 * of their section. With a reading, chapters begin where their first said cue was said.
 */
export function chaptersOf(plan: ClassPlan, timeline: Timeline, reading: Reading | null): Chapter[] {
  const toTake = takenTimes(timeline, reading);
  const starts: { title: string; startSeconds: Seconds }[] = [];
  let sectionBefore: string | null = null;
  performedSteps(plan).forEach((one, index) => {
    const { step, section } = one;
    const timed = itemAt(timeline.steps, index);
    if (timed.endSeconds <= timed.startSeconds) return;
    const opens = section.id !== sectionBefore;
    sectionBefore = section.id;
    if (contractOf(step).isChapter)
      starts.push({ title: performedName(one, plan.style), startSeconds: toTake(timed.startSeconds, index) });
    else if (opens) starts.push({ title: section.title, startSeconds: toTake(timed.startSeconds, index) });
  });
  const end = reading
    ? Math.max(reading.totals.runtimeSeconds, starts.at(-1)?.startSeconds ?? 0)
    : timeline.runtimeSeconds;
  if (starts.length > 0) itemAt(starts, 0).startSeconds = 0;
  for (let at = 1; at < starts.length; at++)
    itemAt(starts, at).startSeconds = Math.max(itemAt(starts, at).startSeconds, itemAt(starts, at - 1).startSeconds);
  return starts.map((chapter, index) => ({ ...chapter, endSeconds: starts[index + 1]?.startSeconds ?? end }));
}

/** Gives the time in the take at which a step began: by its first said cue, else by the drift before it. */
function takenTimes(timeline: Timeline, reading: Reading | null): (seconds: Seconds, stepIndex: number) => Seconds {
  if (!reading) return (seconds) => seconds;
  const saidAt = new Map(reading.cues.map((cue) => [cue.id, cue.actualStart]));
  return (seconds, stepIndex) => {
    const [from, to] = itemAt(timeline.steps, stepIndex).cueRange;
    for (let at = from; at < to; at++) {
      const said = saidAt.get(itemAt(timeline.cues, at).id);
      if (said !== null && said !== undefined)
        return Math.max(0, said - (itemAt(timeline.cues, at).startSeconds - seconds));
    }
    for (let at = from - 1; at >= 0; at--) {
      const said = saidAt.get(itemAt(timeline.cues, at).id);
      if (said !== null && said !== undefined)
        return Math.max(0, seconds + said - itemAt(timeline.cues, at).startSeconds);
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
