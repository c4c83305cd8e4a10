import type { DuringLine, Form } from '@/core/movement';
import { toMilliseconds, type Milliseconds } from '@/core/units';
import type { PlacedLine, StepWriter, Turn } from '../contract';
import { apart, ROOM, spread } from '../during';
import { lineMilliseconds } from '../speech';
import { phaseCue, type PhaseCue } from './phase-cue';
import type { MovementStep } from './schema';

/*
 * Lines that are said while the rounds run. A line begins where the words of a phase have ended, where it has to drown
 * out least; words of phases that it still covers are said shorter, or not at all: the breath goes on without them.
 */

export interface TimedTurn {
  readonly turn: Turn;
  readonly from: Milliseconds;
  readonly to: Milliseconds;
}

/** The led rounds of one side, one after the other. */
export interface LedStretch {
  readonly step: MovementStep;
  readonly writer: StepWriter;
  readonly turns: readonly TimedTurn[];
  readonly rounds: number;
  readonly from: Milliseconds;
  readonly to: Milliseconds;
}

/** From the end of a phase's words to such a line. */
const AFTER_WORDS: Milliseconds = 400;
/** Between such a line and the words of a phase. */
const APART: Milliseconds = 200;
/** What covering an announcement costs, as if so many milliseconds of words were covered. */
const ANNOUNCED: Milliseconds = 20_000;
/** A line that may stand anywhere goes so far for a better place as it saves words. */
const NEARNESS = 0.5;

/** All lines of the stretch in order of start: those of `during`, and those of phases as far as there is room. */
export function woven(stretch: LedStretch, during: readonly DuringLine[], cues: readonly PhaseCue[]): PlacedLine[] {
  const wanted = during.flatMap((line) => placesOf(line, stretch));
  const found: Said[] = [];
  for (const one of inOrder(wanted, stretch)) {
    const last = found.at(-1);
    const earliest = last ? last.start + last.length + ROOM : Math.max(stretch.from, stretch.writer.spokenUntil);
    found.push({ ...one, start: startOf(one, earliest, stretch, cues) });
  }
  const said = apart(found, stretch.from, stretch.to);
  const kept = cues.flatMap((cue) => givingWay(cue, said, stretch) ?? []);
  const lines = said.map((one, at) => duringCue(one, stretch, following(one, said[at + 1], kept, stretch)));
  return [...kept, ...lines].sort((a, b) => a.start - b.start);
}

/** A line of `during` once: it is said at about `at`, and not outside `[from, to)` where that can be. */
interface Wanted {
  readonly line: DuringLine;
  readonly number: string;
  readonly length: Milliseconds;
  readonly from: Milliseconds;
  readonly to: Milliseconds;
  /** `null` where there is room. */
  readonly at: Milliseconds | null;
}

interface Said extends Wanted {
  readonly start: Milliseconds;
}

/** Where a line is wanted: once, or once on each of the rounds it names. */
function placesOf(line: DuringLine, { turns, rounds, from, to, writer }: LedStretch): Wanted[] {
  const length = lineMilliseconds(line.text, writer.tempo.voice);
  if (line.on === 'anywhere') return [{ line, number: '', length, from, to, at: null }];
  if (line.on === 'time') {
    const at = Math.min(from + toMilliseconds(line.number), Math.max(from, to - length));
    return [{ line, number: '', length, from: at, to, at }];
  }
  return roundsNamed(line, rounds).flatMap((round) => {
    const turn = turns.find((one) => one.turn.round === round);
    return turn ? [{ line, number: `.${round}`, length, from: turn.from, to: turn.to, at: turn.from }] : [];
  });
}

/** The rounds that a line names; a round that there is not is the last. */
export function roundsNamed({ on, number }: Pick<DuringLine, 'on' | 'number'>, rounds: number): number[] {
  const whole = Math.max(1, Math.round(number));
  if (on === 'round') return [Math.min(whole, rounds)];
  if (on === 'last') return [Math.max(1, rounds - whole + 1)];
  if (on !== 'every') return [];
  return Array.from({ length: Math.floor(rounds / whole) }, (_, at) => (at + 1) * whole);
}

/** The lines in order of time, those that may stand anywhere spread between the others of the list. */
function inOrder(wanted: readonly Wanted[], { turns, from, to }: LedStretch): Wanted[] {
  // Not into the first round, which is led in full, nor into the last, where there are more.
  const first = turns.length > 2 ? (turns[0]?.to ?? from) : from;
  const end = turns.length > 2 ? (turns.at(-1)?.from ?? to) : to;
  const listed = new Map(wanted.map((one) => [one.line, one]));
  const once = [...listed.values()].filter(({ line }) => line.on !== 'every');
  const placed = new Map(spread(once, first, end).map(({ line, start }) => [line, start]));
  return wanted
    .map((one) => (one.at === null ? { ...one, at: placed.get(one.line) ?? from } : one))
    .sort((a, b) => (a.at ?? from) - (b.at ?? from));
}

/** The best start for a line, not before `earliest`: where it covers least, and near to where it is wanted. */
function startOf(
  one: Wanted,
  earliest: Milliseconds,
  { from, to }: LedStretch,
  cues: readonly PhaseCue[],
): Milliseconds {
  const free = one.line.on === 'anywhere' || one.line.on === 'time';
  const at = Math.max(one.at ?? from, earliest);
  let best = Math.max(earliest, Math.min(at, to - one.length));
  let least = Infinity;
  for (const { line, length, at: phase } of cues) {
    const start = Math.max(earliest, line ? line.start + length + AFTER_WORDS : phase.from);
    const within = free ? Math.abs(start - at) <= 30_000 : start >= one.from && start < one.to;
    if (!within || start > Math.max(earliest, to - one.length)) continue;
    const cost = coveredBy(start, start + one.length, cues) + (free ? NEARNESS : 0.01) * Math.abs(start - at);
    if (cost < least) [best, least] = [start, cost];
  }
  return best;
}

/** How much of the phases' words a line would cover, an announcement above all. */
function coveredBy(from: Milliseconds, to: Milliseconds, cues: readonly PhaseCue[]): Milliseconds {
  let covered = 0;
  for (const { line, length } of cues) {
    if (!line || line.start >= to || line.start + length <= from) continue;
    covered += length + (line.announced ? ANNOUNCED : 0);
  }
  return covered;
}

const SHORTER: readonly Form[] = ['short', 'breath', 'silent'];

/** What a phase still says beside the lines over it: its words, shorter ones, its announcement alone; `null` for nothing. */
function givingWay(cue: PhaseCue, said: readonly Said[], stretch: LedStretch): PlacedLine | null {
  const { step, writer } = stretch;
  const fits = ({ line, length }: PhaseCue): boolean =>
    line !== null &&
    said.every(
      ({ start, length: takes }) => line.start >= start + takes + APART || line.start + length + APART <= start,
    );
  if (cue.line === null || fits(cue)) return cue.line;
  const from = SHORTER.indexOf(cue.at.form) + 1;
  for (const form of SHORTER.slice(from)) {
    const shorter = phaseCue(step, writer, { ...cue.at, form });
    if (fits(shorter)) return shorter.line;
  }
  return cue.line.announced === '' ? null : announcedAfter(cue, cue.line, said, stretch);
}

/** The announcement alone, once the lines over it have ended; `null` where its round has no more room for it. */
function announcedAfter(
  { at }: PhaseCue,
  line: PlacedLine,
  said: readonly Said[],
  { writer, turns }: LedStretch,
): PlacedLine | null {
  const length = lineMilliseconds(line.announced ?? '', writer.tempo.voice);
  const end = turns.find(({ turn }) => turn === at.turn)?.to ?? at.to;
  let { start } = line;
  for (const over of said) {
    if (over.start < start + length && start < over.start + over.length) start = over.start + over.length + AFTER_WORDS;
  }
  return start + length > end ? null : { ...line, text: line.announced ?? '', start };
}

/** When the next thing is said after a line. */
function following(one: Said, next: Said | undefined, kept: readonly PlacedLine[], { to }: LedStretch): Milliseconds {
  const cue = kept.find(({ start }) => start >= one.start);
  return Math.min(next?.start ?? to, cue?.start ?? to, to);
}

function duringCue({ line, number, start }: Said, stretch: LedStretch, due: Milliseconds): PlacedLine {
  const { writer, turns, rounds } = stretch;
  const turn = (turns.findLast(({ from }) => from <= start) ?? turns[0])?.turn ?? null;
  const text = writer.filled(line.text, { at: start, turn, rounds });
  return {
    name: `${line.id}.${turn?.stretch ?? 0}${number}`,
    text,
    source: { part: 'during', lineId: line.id },
    start,
    motion: start,
    due: Math.max(start + 1, due),
    round: turn?.round ?? 0,
    side: turn?.side ?? null,
    holdsNext: true,
  };
}
