import { takeTimes, type Reading } from '@/core/reading';
import { lineWeight } from '@/core/speech';
import type { Timeline } from '@/core/timeline';
import { itemAt, overlapSeconds, wholeMilliseconds, type Interval, type Seconds } from '@/core/units';
import type { SectionTalk, Silence } from './model';
import { saidCues, type SaidCue } from './said';

/** Silence shorter than this is not told, nor silence that the plan has but for so much: seconds, or a share of it. */
const LEAST_SILENCE: Seconds = 12;
const BEYOND_PLAN = { seconds: 6, share: 0.2 };
/** A line shorter than this says little of a rate; so do fewer seconds of speech than that. */
const LEAST_LINE: Seconds = 0.8;
const LEAST_SPEECH: Seconds = 30;

/** Share of each section in which somebody speaks, as planned and as taken. */
export function talkBySection(timeline: Timeline, said: readonly SaidCue[], reading: Reading): SectionTalk[] {
  const toTake = takeTimes(timeline, reading);
  const spoken: Interval[] = [
    ...said.map(({ saidSeconds, endSeconds }) => ({ startSeconds: saidSeconds, endSeconds })),
    ...reading.adLibs,
  ];
  return timeline.sections.map((section, index) => {
    const last = index === timeline.sections.length - 1;
    const taken = {
      startSeconds: index === 0 ? 0 : toTake(section.startSeconds),
      endSeconds: last ? reading.totals.runtimeSeconds : toTake(section.endSeconds),
    };
    return {
      section: section.section,
      planned: share(timeline.cues, section),
      taken: said.length > 0 && taken.endSeconds > taken.startSeconds ? share(spoken, taken) : null,
    };
  });
}

function share(spoken: readonly Interval[], within: Interval): number {
  const length = within.endSeconds - within.startSeconds;
  if (length <= 0) return 0;
  const talk = spoken.reduce((sum, one) => sum + overlapSeconds(one, within), 0);
  return Math.round(1000 * Math.min(1, talk / length)) / 1000;
}

/** Stretches in which nobody speaks for so much longer than the plan has it there, the longest first. */
export function longSilences(
  timeline: Timeline,
  reading: Reading,
  beyondSeconds: Seconds = BEYOND_PLAN.seconds,
): Silence[] {
  const said = saidCues(timeline, reading);
  const isLong = (length: Seconds, planned: Seconds): boolean =>
    length >= Math.min(LEAST_SILENCE, 2 * beyondSeconds) &&
    length > planned + Math.max(beyondSeconds, BEYOND_PLAN.share * planned);
  const spoken = [
    ...said.map(({ at, saidSeconds, endSeconds }) => ({ at, startSeconds: saidSeconds, endSeconds })),
    ...reading.adLibs.map(({ startSeconds, endSeconds }) => ({ at: -1, startSeconds, endSeconds })),
  ].sort((a, b) => a.startSeconds - b.startSeconds);
  const silences: Silence[] = [];
  let until = 0;
  let before = -1;
  for (const { at, startSeconds, endSeconds } of spoken) {
    const planned = plannedSilence(timeline, before, at);
    if (isLong(startSeconds - until, planned))
      silences.push({ startSeconds: until, endSeconds: startSeconds, plannedSeconds: planned });
    until = Math.max(until, endSeconds);
    if (at >= 0) before = at;
  }
  const end = reading.totals.runtimeSeconds;
  const tail = wholeMilliseconds(Math.max(0, timeline.runtimeSeconds - (timeline.cues.at(-1)?.endSeconds ?? 0)));
  if (isLong(end - until, tail)) silences.push({ startSeconds: until, endSeconds: end, plannedSeconds: tail });
  return silences.sort((a, b) => b.endSeconds - b.startSeconds - (a.endSeconds - a.startSeconds));
}

/** The silence that the plan has between one said cue and another; beside an ad-lib, what it has about it. */
function plannedSilence(timeline: Timeline, before: number, after: number): Seconds {
  const from = before < 0 ? 0 : itemAt(timeline.cues, before).endSeconds;
  const next = after < 0 ? before + 1 : after;
  const to = next < timeline.cues.length ? itemAt(timeline.cues, next).startSeconds : timeline.runtimeSeconds;
  return wholeMilliseconds(Math.max(0, to - from));
}

/**
 * The rate at which lines were said, in average syllables a minute; the quickest and the slowest tenth are left out,
 * since a line that was found with a wrong end is among them.
 */
export function speakingRate(said: readonly SaidCue[]): number | null {
  const lines = said
    .map(({ cue, saidSeconds, endSeconds }) => ({ weight: lineWeight(cue.text), seconds: endSeconds - saidSeconds }))
    .filter(({ weight, seconds }) => weight > 0 && seconds >= LEAST_LINE)
    .sort((a, b) => a.weight / a.seconds - b.weight / b.seconds);
  const out = Math.floor(lines.length / 10);
  const kept = lines.slice(out, lines.length - out);
  const seconds = kept.reduce((sum, line) => sum + line.seconds, 0);
  if (seconds < LEAST_SPEECH) return null;
  return Math.round((60 * kept.reduce((sum, line) => sum + line.weight, 0)) / seconds);
}
