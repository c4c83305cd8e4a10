import { phaseSeconds } from '@/core/breath';
import { formOn, hasFreeTime, stretchCount } from '@/core/movement';
import { toMilliseconds, type Milliseconds } from '@/core/units';
import { ROUND_LINES } from '@/core/words';
import type { Counted, PlacedLine, StepWriter, Turn } from '../contract';
import { duringOn, spread, wantedOver } from '../during';
import { lineMilliseconds } from '../speech';
import {
  duringFree,
  duringRounds,
  freeMilliseconds,
  movementRoundMilliseconds,
  patternOn,
  sideChangeMilliseconds,
  sideChangeText,
} from './durations';
import { aroundLineMilliseconds, linesAfter, linesBefore, sendingOf, type AroundLine } from './lines';
import { phaseCue, type PhaseCue } from './phase-cue';
import type { MovementStep } from './schema';
import { stretchesOf, turnsOf } from './turns';
import { woven, type TimedTurn } from './weave';

/** Writes a movement onto the timeline; gives how long it is before its first counted round. */
export function writeMovement(step: MovementStep, writer: StepWriter, counted: Counted | null): Milliseconds {
  const begun = writer.now;
  for (const line of linesBefore(step)) aroundLine(writer, line);
  const teach = writer.now - begun;
  const turns = counted ? turnsOf(step, counted.rounds) : [];
  for (const stretch of stretchesOf(step)) {
    const rounds = counted?.rounds ?? 1;
    const turn: Turn = { ...stretch, round: 1, counted: true, last: true, changes: stretch.stretch > 0 };
    if (turn.changes) sideChange(step, writer, turn, rounds);
    if (counted)
      led(
        step,
        writer,
        turns.filter((one) => one.stretch === stretch.stretch),
        rounds,
      );
    if (step.pacedBy === 'breath-then-own-pace') aroundLine(writer, sendingOf(step), `.${stretch.stretch}`);
    if (hasFreeTime(step.pacedBy)) free(step, writer, { ...turn, round: counted ? 0 : 1 });
  }
  for (const line of linesAfter(step)) aroundLine(writer, line);
  return teach;
}

/** A line before or after the rounds, with its silence. */
function aroundLine(writer: StepWriter, line: AroundLine, number = ''): void {
  const { voice } = writer.tempo;
  const length = aroundLineMilliseconds(line, voice);
  if (length === 0) return;
  const start = writer.now;
  writer.spoken(length, '');
  if (lineMilliseconds(line.text, voice) === 0) return;
  const text = writer.filled(line.text, { at: start, turn: null, rounds: 0, level: line.level });
  const due = start + length;
  writer.line({ name: `${line.name}${number}`, text, source: line.place, start, motion: start, due, holdsNext: true });
}

/** One stretch of a time at everybody's own pace, or of a hold, with what is said over it and its call back. */
function free(step: MovementStep, writer: StepWriter, turn: Turn): void {
  const { voice } = writer.tempo;
  const { side, stretch, round } = turn;
  const stretches = stretchCount(step.sides);
  const whole = freeMilliseconds(step, voice);
  const from = writer.now;
  const to = from + Math.floor((whole + stretch) / stretches);
  writer.phase(step.pacedBy === 'held' ? 'hold' : 'free', round, side, step.pattern[0]?.action ?? '', from, to);
  writer.until(to);
  const moment = { turn, rounds: 1 };
  const usual = { round, side, holdsNext: true };
  const called = callBackOf(step, writer, from, to);
  for (const { line, start } of spread(
    duringOn(duringFree(step), stretch, stretches).map((line) => ({
      line,
      length: lineMilliseconds(line.text, voice),
      at: wantedOver(line, from),
    })),
    from,
    called,
  )) {
    const text = writer.filled(line.text, { ...moment, at: start });
    const source = { part: 'during', lineId: line.id } as const;
    writer.line({ name: `${line.id}.${stretch}`, text, source, start, motion: start, due: called, ...usual });
  }
  if (called === to) return;
  const text = writer.filled(step.lastRoundLine, { ...moment, at: called });
  const source = { part: 'lastRoundLine' } as const;
  const name = `${side ?? 'both'}.call`;
  writer.line({ name, text, source, start: called, motion: called, due: to, ...usual });
}

/**
 * When people are called back: so long before the end as is set, but not before half of the stretch has passed; `to`
 * where nothing is said. Where nothing is counted aloud there is no last round to tell of.
 */
function callBackOf(step: MovementStep, writer: StepWriter, from: Milliseconds, to: Milliseconds): Milliseconds {
  const { lastRoundLine } = step;
  const counting = step.counting ?? writer.style.counting;
  // The line that every movement begins with is of rounds.
  const isUsual = lastRoundLine === ROUND_LINES.last;
  if (isUsual && (counting === 'none' || step.pacedBy === 'held')) return to;
  const said = lineMilliseconds(lastRoundLine, writer.tempo.voice);
  if (said === 0) return to;
  const wanted = toMilliseconds(step.callBackLeadSeconds);
  const lead = Math.min(wanted, Math.max(0, Math.floor((to - from - said) / 2)));
  return Math.max(from, to - said - lead);
}

/** The led rounds of one stretch: their phases and words, and what is said while they run. */
function led(step: MovementStep, writer: StepWriter, turns: readonly Turn[], rounds: number): void {
  const from = writer.now;
  const cues: PhaseCue[] = [];
  const timed: TimedTurn[] = [];
  for (const turn of turns) {
    const start = writer.now;
    cues.push(...round(step, writer, turn, rounds));
    timed.push({ turn, from: start, to: writer.now });
  }
  const during = duringOn(duringRounds(step), turns[0]?.stretch ?? 0, stretchCount(step.sides));
  const stretch = { step, writer, turns: timed, rounds, from, to: writer.now };
  const lines = during.length === 0 ? cues.flatMap(({ line }) => line ?? []) : woven(stretch, during, cues);
  for (const line of lines) writer.line(line);
}

function round(step: MovementStep, writer: StepWriter, turn: Turn, rounds: number): PhaseCue[] {
  const { breathSeconds, pace } = writer.tempo;
  const start = writer.now;
  const end = start + movementRoundMilliseconds(step, pace, breathSeconds, turn.round);
  const breath = { breathSeconds: breathSeconds * pace.multiplier, inhaleShare: pace.inhaleShare };
  const form = formOn(step.fade, turn.round);
  const phases = patternOn(step, turn.round);
  let passed = 0;
  const cues = phases.map((phase, index) => {
    const from = start + Math.round(passed * 1000);
    passed += phaseSeconds(phase, breath);
    const to = index === phases.length - 1 ? end : start + Math.round(passed * 1000);
    writer.phase(phase.kind, turn.round, turn.side, phase.action, from, to);
    return phaseCue(step, writer, { phase, index, turn, rounds, form, from, to });
  });
  writer.until(end);
  return cues;
}

function sideChange(step: MovementStep, writer: StepWriter, turn: Turn, rounds: number): void {
  const { voice } = writer.tempo;
  const ofWay = step.sides === 'both-directions-each-side' && turn.stretch % 2 === 1;
  const length = sideChangeMilliseconds(step, voice, ofWay);
  if (length === 0) return;
  const start = writer.now;
  writer.spoken(length, ofWay ? 'change direction' : 'change sides');
  const { text: line, place: source } = sideChangeText(step, voice, ofWay);
  const text = writer.filled(line, { at: start, turn, rounds });
  if (text.trim() === '') return;
  const due = start + length;
  const name = turn.stretch === 1 ? 'change' : `change.${turn.stretch}`;
  const placed: PlacedLine = { name, text, source, start, motion: start, due, side: turn.side, holdsNext: true };
  writer.line(placed);
}
