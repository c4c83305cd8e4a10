import type { Form, Phase } from '@/core/movement';
import { toMilliseconds, type Milliseconds } from '@/core/units';
import type { PlacedLine, StepWriter, Turn } from '../contract';
import { lineMilliseconds } from '../speech';
import type { MovementStep } from './schema';
import { announcementOf } from './turns';

/** One phase of one round, from when to when, and in which form it is said. */
export interface PhaseInRound {
  readonly phase: Phase;
  readonly index: number;
  readonly turn: Turn;
  readonly rounds: number;
  readonly form: Form;
  readonly from: Milliseconds;
  readonly to: Milliseconds;
}

/** What a phase says, before it is written: it may have to give way. */
export interface PhaseCue {
  readonly at: PhaseInRound;
  /** `null` where nothing is said. */
  readonly line: PlacedLine | null;
  readonly length: Milliseconds;
}

/** What a phase says in a form, and what is announced with it. */
export function phaseCue(step: MovementStep, writer: StepWriter, at: PhaseInRound): PhaseCue {
  const { phase, index, turn, rounds, form, from, to } = at;
  const moment = { at: from, turn, rounds, form, kind: phase.kind };
  const words = writer.filled(form === 'silent' ? '' : phase[form], moment);
  const announced = index === 0 ? writer.filled(announcementOf(step, writer.style, turn, rounds, form), moment) : '';
  const text = announced === '' ? words : `${announced} ${words}`.trim();
  if (text.trim() === '') return { at, line: null, length: 0 };
  const { voice } = writer.tempo;
  const lead = toMilliseconds(voice.leadSeconds);
  const ownLead = phase.leadSeconds === null ? lead : toMilliseconds(phase.leadSeconds);
  const line: PlacedLine = {
    name: `${turn.side ?? 'both'}.${turn.round}.${index}`,
    text,
    source: { part: 'phase', phaseId: phase.id, form },
    start: Math.max(0, writer.spokenUntil, from - ownLead),
    motion: from,
    due: Math.max(from, to - lead),
    round: turn.round,
    side: turn.side,
    announced,
  };
  return { at, line, length: lineMilliseconds(text, voice) };
}
