import { phaseSeconds } from '@/core/breath';
import { formOn, type Form, type Phase } from '@/core/movement';
import { itemAt, toMilliseconds, type Milliseconds } from '@/core/units';
import type { Counted, StepWriter, Turn } from '../contract';
import { lineMilliseconds } from '../speech';
import {
  movementRoundMilliseconds,
  ownMilliseconds,
  sideChangeMilliseconds,
  sideChangeText,
  sidesInTurn,
} from './durations';
import { aroundLineMilliseconds, linesAfter, linesBefore, type AroundLine } from './lines';
import type { MovementStep } from './schema';
import { announcementOf, sidesOf, turnsOf } from './turns';

/** From the last word of the call back to the end of a stretch at everybody's own pace; common practice, no published source. */
const OWN_PACE_CALL_BACK: Milliseconds = 8000;

/** Writes a movement onto the timeline; gives how long it is before its first counted round. */
export function writeMovement(step: MovementStep, writer: StepWriter, counted: Counted | null): Milliseconds {
  const begun = writer.now;
  for (const line of linesBefore(step)) aroundLine(writer, line);
  const teach = writer.now - begun;
  if (!counted) ownPace(step, writer);
  else {
    for (const turn of turnsOf(step, counted.rounds)) {
      if (turn.changes) sideChange(step, writer, turn, counted.rounds);
      round(step, writer, turn, counted.rounds);
    }
  }
  for (const line of linesAfter(step)) aroundLine(writer, line);
  return teach;
}

/** A line before or after the rounds, with its silence. */
function aroundLine(writer: StepWriter, line: AroundLine): void {
  const { voice } = writer.tempo;
  const length = aroundLineMilliseconds(line, voice);
  if (length === 0) return;
  const start = writer.now;
  writer.spoken(length, '');
  if (lineMilliseconds(line.text, voice) === 0) return;
  const text = writer.filled(line.text, { at: start, turn: null, rounds: 0, level: line.level });
  const due = start + length;
  writer.line({ name: line.name, text, source: line.place, start, motion: start, due, holdsNext: true });
}

/** A movement at everybody's own pace: free time, in two stretches where the sides are taken in turn. */
function ownPace(step: MovementStep, writer: StepWriter): void {
  const { voice } = writer.tempo;
  const sides = sidesOf(step);
  const stretches = sidesInTurn(step);
  const whole = ownMilliseconds(step, voice);
  const said = lineMilliseconds(step.lastRoundLine, voice);
  for (let at = 0; at < stretches; at++) {
    const side = stretches === 2 ? itemAt(sides, at) : null;
    const turn: Turn = {
      round: 1,
      side,
      other: sides[1 - at] ?? null,
      begins: at === 0,
      counted: true,
      last: true,
      changes: at === 1,
    };
    if (at === 1) sideChange(step, writer, turn, 1);
    const from = writer.now;
    const to = from + Math.floor((whole + at) / stretches);
    writer.phase('free', 1, side, step.pattern[0]?.action ?? '', from, to);
    writer.until(to);
    if (said === 0) continue;
    // Called back with time to come back: not in the last instant, nor before half of the stretch has passed.
    const lead = Math.min(OWN_PACE_CALL_BACK, Math.max(0, Math.floor((to - from - said) / 2)));
    const start = Math.max(from, to - said - lead);
    writer.line({
      name: `${side ?? 'both'}.call`,
      text: writer.filled(step.lastRoundLine, { at: start, turn, rounds: 1 }),
      source: { part: 'lastRoundLine' },
      start,
      motion: start,
      due: to,
      round: 1,
      side,
      holdsNext: true,
    });
  }
}

function round(step: MovementStep, writer: StepWriter, turn: Turn, rounds: number): void {
  const { breathSeconds, pace } = writer.tempo;
  const start = writer.now;
  const end = start + movementRoundMilliseconds(step, pace, breathSeconds);
  const breath = { breathSeconds: breathSeconds * pace.multiplier, inhaleShare: pace.inhaleShare };
  const form = formOn(step.fade, turn.round);
  let passed = 0;
  step.pattern.forEach((phase, index) => {
    const from = start + Math.round(passed * 1000);
    passed += phaseSeconds(phase, breath);
    const to = index === step.pattern.length - 1 ? end : start + Math.round(passed * 1000);
    writer.phase(phase.kind, turn.round, turn.side, phase.action, from, to);
    phaseLine(step, writer, { phase, index, turn, rounds, form, from, to });
  });
  writer.until(end);
}

interface PhaseInRound {
  readonly phase: Phase;
  readonly index: number;
  readonly turn: Turn;
  readonly rounds: number;
  readonly form: Form;
  readonly from: Milliseconds;
  readonly to: Milliseconds;
}

function phaseLine(step: MovementStep, writer: StepWriter, at: PhaseInRound): void {
  const { phase, index, turn, rounds, form, from, to } = at;
  const moment = { at: from, turn, rounds, form, kind: phase.kind };
  const words = writer.filled(form === 'silent' ? '' : phase[form], moment);
  const announced = index === 0 ? writer.filled(announcementOf(step, writer.style, turn, rounds, form), moment) : '';
  const text = announced === '' ? words : `${announced} ${words}`.trim();
  if (text.trim() === '') return;
  const lead = toMilliseconds(writer.tempo.voice.leadSeconds);
  const ownLead = phase.leadSeconds === null ? lead : toMilliseconds(phase.leadSeconds);
  writer.line({
    name: `${turn.side ?? 'both'}.${turn.round}.${index}`,
    text,
    source: { part: 'phase', phaseId: phase.id, form },
    start: Math.max(0, writer.spokenUntil, from - ownLead),
    motion: from,
    due: Math.max(from, to - lead),
    round: turn.round,
    side: turn.side,
    announced,
  });
}

function sideChange(step: MovementStep, writer: StepWriter, turn: Turn, rounds: number): void {
  const { voice } = writer.tempo;
  const length = sideChangeMilliseconds(step, voice);
  if (length === 0) return;
  const start = writer.now;
  writer.spoken(length, 'change sides');
  const { text: line, place: source } = sideChangeText(step, voice);
  const text = writer.filled(line, { at: start, turn, rounds });
  if (text.trim() === '') return;
  const due = start + length;
  writer.line({ name: 'change', text, source, start, motion: start, due, side: turn.side, holdsNext: true });
}
