import type { Step } from '@/core/plan';
import {
  groupRounds,
  type Cue,
  type RoundGroup,
  type TimedPhase,
  type TimedStep,
  type Timeline,
} from '@/core/timeline';
import { itemAt, overlapSeconds, type Seconds } from '@/core/units';
import { viewOf } from '../steps';
import { serifWidth } from './serif-width';

/*
 * Where things stand on the strip. Time falls down the page at a scale of its own for each kind of step; where words
 * stand denser than the scale the scale stretches there, and everything drawn beside them with it.
 */

const LINE_HEIGHT = 26;
const CUE_GAP = 6;
/** Inside a line, left and right of its words together. */
const CUE_PADDING = 8;
/** Under a line that is too long, where nothing stands beside it. */
const TOLD_HEIGHT = 16;
const FOLDED_HEIGHT = 34;
/** One thing done for longer than this runs by itself, at so many pixels a second. */
const LONG_PHASE: Seconds = 20;
const LONG_SCALE = 2.2;
/** Columns of an open step in pixels: the clock, the breath line, the rounds, the words, what is told of each line. */
export interface StepColumns {
  readonly clock: number;
  readonly breath: number;
  readonly round: number;
  readonly text: number;
  readonly after: number;
}

const ROOMY = { clock: 44, breath: 78, round: 52, after: 142 };
/** On a phone the clock stands with the step, and what is told of a line with the line. */
const NARROW = { clock: 0, breath: 50, round: 48, after: 0 };
const ROOMY_FROM = 560;
/** Between the columns, and between the step and its edge, together. */
const GAPS = 38;

/** The columns of a step in so many pixels. */
export function stepColumns(width: number): StepColumns {
  const columns = width < ROOMY_FROM ? NARROW : ROOMY;
  const { clock, breath, round, after } = columns;
  return { ...columns, text: Math.max(140, width - clock - breath - round - after - GAPS) };
}

/** One line of a step at its place. */
export interface PlacedCue {
  readonly cue: Cue;
  readonly y: number;
  /** Height of the bar: as tall as saying it takes. */
  readonly barHeight: number;
  /** Whether it is still being said when the next thing is due. */
  readonly late: boolean;
}

export interface PlacedGroup extends RoundGroup {
  readonly y: number;
  readonly height: number;
}

export interface StepLayout {
  readonly height: number;
  readonly cues: readonly PlacedCue[];
  readonly groups: readonly PlacedGroup[];
  readonly phases: readonly TimedPhase[];
  /** Pixels from the top of the step to a time on the timeline. */
  readonly yOf: (seconds: Seconds) => number;
}

interface Corner {
  readonly seconds: Seconds;
  readonly y: number;
}

/** Lays one step out in its columns. */
export function layOutStep(
  step: Step,
  timed: TimedStep,
  timeline: Timeline,
  columns: Pick<StepColumns, 'text' | 'after'>,
  unfolded: boolean,
): StepLayout {
  const cues = timeline.cues.slice(...timed.cueRange);
  const phases = timeline.phases.slice(...timed.phaseRange);
  const groups = timed.rounds > 0 ? groupRounds(cues, phases, unfolded) : [];
  const hidden = new Set(groups.filter((group) => group.folded).flatMap((group) => group.cues.map((cue) => cue.id)));
  const shown = cues.filter((cue) => !hidden.has(cue.id));
  const length = timed.endSeconds - timed.startSeconds;
  const { scale: wanted, tallest } = viewOf(step);
  const scale = tallest === undefined ? wanted : Math.min(wanted, tallest / Math.max(1, length));
  const long = phases.filter((phase) => phase.kind !== 'spoken' && phase.endSeconds - phase.startSeconds > LONG_PHASE);
  const corners = placeCorners(timed, shown, { groups, long }, scale, columns);
  const yOf = between(corners);
  return {
    height: itemAt(corners, corners.length - 1).y,
    cues: shown.map((cue) => ({
      cue,
      y: yOf(cue.startSeconds),
      barHeight: Math.max(4, yOf(cue.endSeconds) - yOf(cue.startSeconds)),
      late: isLate(cue),
    })),
    groups: groups.map((group) => ({
      ...group,
      y: yOf(group.startSeconds),
      height: yOf(group.endSeconds) - yOf(group.startSeconds),
    })),
    phases,
    yOf,
  };
}

function placeCorners(
  timed: TimedStep,
  shown: readonly Cue[],
  { groups, long }: { readonly groups: readonly RoundGroup[]; readonly long: readonly TimedPhase[] },
  scale: number,
  columns: Pick<StepColumns, 'text' | 'after'>,
): Corner[] {
  const folds = groups.filter((group) => group.folded);
  const events = [
    ...shown.map((cue) => ({
      seconds: Math.max(cue.startSeconds, timed.startSeconds),
      room: cueHeight(cue, columns),
    })),
    ...folds.map((group) => ({ seconds: group.startSeconds, room: 0 })),
    ...folds.map((group) => ({ seconds: group.endSeconds, room: 0 })),
  ].sort((a, b) => a.seconds - b.seconds);
  const corners: Corner[] = [{ seconds: timed.startSeconds, y: 0 }];
  let textBottom = 0;
  for (const { seconds, room } of [...events, { seconds: timed.endSeconds, room: 0 }]) {
    const last = itemAt(corners, corners.length - 1);
    const natural = last.y + naturalHeight(last.seconds, seconds, scale, { folds, long });
    const isEnd = seconds === timed.endSeconds;
    const y =
      room > 0 || isEnd || folds.some((group) => group.startSeconds === seconds)
        ? Math.max(natural, textBottom)
        : natural;
    if (room > 0) textBottom = y + room;
    if (seconds > last.seconds) corners.push({ seconds, y });
    else corners[corners.length - 1] = { seconds: last.seconds, y: Math.max(last.y, y) };
  }
  const last = itemAt(corners, corners.length - 1);
  if (last.y < textBottom) corners[corners.length - 1] = { ...last, y: textBottom };
  return corners;
}

/**
 * Pixels from one time to another at the step's scale, where folded rounds take one line whatever their length, and a
 * time that runs by itself takes less.
 */
function naturalHeight(
  from: Seconds,
  to: Seconds,
  scale: number,
  { folds, long }: { readonly folds: readonly RoundGroup[]; readonly long: readonly TimedPhase[] },
): number {
  let height = (to - from) * scale;
  for (const fold of folds) {
    const inside = overlapSeconds({ startSeconds: from, endSeconds: to }, fold);
    height += inside * (FOLDED_HEIGHT / (fold.endSeconds - fold.startSeconds) - scale);
  }
  for (const phase of long) {
    height -= overlapSeconds({ startSeconds: from, endSeconds: to }, phase) * Math.max(0, scale - LONG_SCALE);
  }
  return height;
}

function cueHeight(cue: Cue, { text, after }: Pick<StepColumns, 'text' | 'after'>): number {
  const told = after === 0 && isLate(cue) ? TOLD_HEIGHT : 0;
  return linesOf(cue.text, text - CUE_PADDING) * LINE_HEIGHT + told + CUE_GAP;
}

/** Whether a line is still being said when the next thing is due. */
function isLate(cue: Cue): boolean {
  return cue.endSeconds > cue.dueSeconds + 0.05;
}

/** Lines that a text takes, broken between words as the browser breaks it. */
export function linesOf(text: string, textWidth: number, widthOf = serifWidth): number {
  const room = Math.max(1, textWidth);
  const space = widthOf(' ');
  let lines = 1;
  let filled = 0;
  for (const word of text.split(' ')) {
    const width = widthOf(word);
    if (filled > 0 && filled + space + width > room) {
      lines++;
      filled = 0;
    }
    filled += (filled > 0 ? space : 0) + width;
    // A word longer than a line is broken.
    while (filled > room) {
      lines++;
      filled -= room;
    }
  }
  return lines;
}

function between(corners: readonly Corner[]): (seconds: Seconds) => number {
  return (seconds) => {
    const first = itemAt(corners, 0);
    if (seconds <= first.seconds) return first.y;
    for (let at = 1; at < corners.length; at++) {
      const from = itemAt(corners, at - 1);
      const to = itemAt(corners, at);
      if (seconds <= to.seconds) {
        const span = to.seconds - from.seconds;
        return span > 0 ? from.y + ((to.y - from.y) * (seconds - from.seconds)) / span : to.y;
      }
    }
    return itemAt(corners, corners.length - 1).y;
  };
}
