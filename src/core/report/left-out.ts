import type { Reading } from '@/core/reading';
import { countSyllables, spokenText, wordsOf } from '@/core/speech';
import type { Cue, TimedStep, Timeline } from '@/core/timeline';
import { itemAt, median, type Seconds } from '@/core/units';
import type { Difference } from './model';
import type { SaidCue } from './said';

/** A step shorter than this leaves no hole that could be told from drift. */
const LEAST_STEP: Seconds = 8;
/** The take has to lack this share of the steps of which nothing was said, for them to be called left out. */
const LACKED = 0.6;
/** Share of a step's lines that have to be heard elsewhere for it to be called moved. */
const HEARD_ELSEWHERE = 0.6;
const LEAST_LINES = 3;

/** Steps of which nothing was said: left out where their time is missing too, moved where their lines came elsewhere. */
export function missingSteps(timeline: Timeline, said: readonly SaidCue[], reading: Reading): Difference[] {
  const saidSteps = new Set(said.map(({ cue }) => cue.step));
  const differences: Difference[] = [];
  let run: TimedStep[] = [];
  const close = (): void => {
    if (run.length > 0 && said.length > 0) differences.push(...judgeRun(timeline, run, said, reading));
    run = [];
  };
  for (const step of timeline.steps) {
    const speaks = step.cueRange[1] > step.cueRange[0];
    if (speaks && !saidSteps.has(step.step)) run.push(step);
    else if (speaks) close();
  }
  close();
  return differences;
}

function judgeRun(
  timeline: Timeline,
  run: readonly TimedStep[],
  said: readonly SaidCue[],
  reading: Reading,
): Difference[] {
  const first = itemAt(run, 0).cueRange[0];
  const last = itemAt(run, run.length - 1).cueRange[1];
  const before = said.findLast(({ at }) => at < first);
  const after = said.find(({ at }) => at >= last);
  const planned = (after?.cue.startSeconds ?? timeline.runtimeSeconds) - (before?.cue.startSeconds ?? 0);
  const taken = (after?.saidSeconds ?? reading.totals.runtimeSeconds) - (before?.saidSeconds ?? 0);
  const length = run.reduce((sum, step) => sum + step.endSeconds - step.startSeconds, 0);
  return run.flatMap((step): Difference[] => {
    if (step.endSeconds - step.startSeconds < LEAST_STEP) return [];
    const elsewhere = heardElsewhere(timeline, step, reading);
    if (elsewhere !== null) return [{ kind: 'moved', step: step.step, atSeconds: elsewhere }];
    if (planned - taken < LACKED * length) return [];
    return [{ kind: 'left-out', step: step.step, atSeconds: before?.endSeconds ?? 0 }];
  });
}

/**
 * When the lines of a step were heard among the ad-libs, in their order: by their words where ad-libs have words, else
 * by how long they are and how they follow each other. `null` where they were not.
 */
function heardElsewhere(timeline: Timeline, step: TimedStep, reading: Reading): Seconds | null {
  const cues = timeline.cues.slice(...step.cueRange);
  const { adLibs } = reading;
  const worded = adLibs.filter(({ text }) => text !== null);
  if (worded.length > 0) {
    const all = worded.map(({ text }) => wordsIn(text ?? ''));
    const hits = cues.map((cue) => all.findIndex((words) => alike(wordsIn(cue.text), words)));
    const found = hits.filter((hit) => hit >= 0);
    if (found.length >= Math.min(cues.length, 2) && found.length >= HEARD_ELSEWHERE * cues.length)
      return itemAt(worded, Math.min(...found)).startSeconds;
    return null;
  }
  if (cues.length < LEAST_LINES) return null;
  const tempo = tempoOf(reading);
  for (const { startSeconds } of adLibs) {
    const hits = cues.filter((cue) => adLibs.some((adLib) => fits(cue, itemAt(cues, 0), adLib, startSeconds, tempo)));
    if (hits.length >= LEAST_LINES && hits.length >= HEARD_ELSEWHERE * cues.length) return startSeconds;
  }
  return null;
}

function fits(
  cue: Cue,
  first: Cue,
  adLib: { readonly startSeconds: Seconds; readonly endSeconds: Seconds },
  from: Seconds,
  tempo: number,
): boolean {
  const offset = tempo * (cue.startSeconds - first.startSeconds);
  const length = (adLib.endSeconds - adLib.startSeconds) / Math.max(0.2, cue.endSeconds - cue.startSeconds);
  return Math.abs(adLib.startSeconds - from - offset) <= Math.max(0.8, 0.06 * offset) && length > 0.6 && length < 1.6;
}

function tempoOf({ cues }: Reading): number {
  const said = cues.filter(({ actualStart }) => actualStart !== null);
  const ratios = said.slice(1).flatMap(({ plannedStart, actualStart }, index) => {
    const planned = plannedStart - itemAt(said, index).plannedStart;
    return planned > 2 ? [((actualStart ?? 0) - (itemAt(said, index).actualStart ?? 0)) / planned] : [];
  });
  return ratios.length > 0 ? median(ratios) : 1;
}

/** The words of a text that say something: not the shortest. */
function wordsIn(text: string): ReadonlySet<string> {
  const words = wordsOf(spokenText(text)).map((word) => word.toLowerCase());
  return new Set(words.filter((word) => word.length > 3 || countSyllables(word) > 1));
}

function alike(cue: ReadonlySet<string>, adLib: ReadonlySet<string>): boolean {
  if (cue.size === 0) return false;
  const shared = [...cue].filter((word) => adLib.has(word)).length;
  return shared >= Math.max(1, 0.7 * cue.size) && shared >= 0.4 * adLib.size;
}
