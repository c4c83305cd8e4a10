import { roundMilliseconds } from '@/core/breath';
import {
  asksRounds,
  isCounted,
  phasesOn,
  settledFrom,
  sideCount,
  stretchCount,
  type DuringLine,
} from '@/core/movement';
import { toMilliseconds, type Milliseconds, type Seconds } from '@/core/units';
import { LIMITS } from '../../limits';
import type { PlanVoice } from '../../voice';
import type { StepPace } from '../contract';
import { duringMilliseconds } from '../during';
import { lineMilliseconds } from '../speech';
import type { StepText } from '../text-place';
import { aroundLineMilliseconds, lineIn, linesAfter, linesBefore, sendingOf } from './lines';
import type { MovementStep } from './schema';

/*
 * How long the parts of a movement take, in whole milliseconds.
 */

/** What is said and shown of a movement before its first counted round. */
export function teachMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  return linesBefore(step).reduce((sum, line) => sum + aroundLineMilliseconds(line, voice), 0);
}

/**
 * The line at a change of side, or between two ways on one leg: the short wording where the full one is longer than the
 * change takes.
 */
export function sideChangeText(step: MovementStep, voice: PlanVoice, ofWay = false): StepText {
  if (ofWay) return { text: step.wayChangeLine, place: { part: 'wayChangeLine' } };
  const full = lineIn(step, 'sideChange', 'full');
  const fits = lineMilliseconds(full.text, voice) <= toMilliseconds(step.sideChangeSeconds);
  return fits ? full : lineIn(step, 'sideChange', 'short');
}

/**
 * One change between sides, or ways: its set length, or the line's and the time by which words come before their motion
 * if that is longer, or the next breath would be told too late; 0 where sides do not change once.
 */
export function sideChangeMilliseconds(step: MovementStep, voice: PlanVoice, ofWay = false): Milliseconds {
  if (stretchCount(step.sides) === 1) return 0;
  const said = lineMilliseconds(sideChangeText(step, voice, ofWay).text, voice);
  return Math.max(toMilliseconds(step.sideChangeSeconds), said > 0 ? said + toMilliseconds(voice.leadSeconds) : 0);
}

/** All changes of a movement. */
function changesMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  const ways = step.sides === 'both-directions-each-side' ? 2 * sideChangeMilliseconds(step, voice, true) : 0;
  return sideChangeMilliseconds(step, voice) + ways;
}

/** Everything of a movement that is not counted: what is said before and after it, and the change of side. */
export function aroundMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  let total = changesMilliseconds(step, voice) + teachMilliseconds(step, voice);
  if (step.pacedBy === 'breath-then-own-pace') {
    total += stretchCount(step.sides) * aroundLineMilliseconds(sendingOf(step), voice);
  }
  for (const line of linesAfter(step)) total += aroundLineMilliseconds(line, voice);
  return total;
}

/** The phases of a round: by the clock all of them, else those that are part of it. */
export function patternOn(step: MovementStep, round: number): MovementStep['pattern'] {
  return step.pacedBy === 'clock' ? step.pattern : phasesOn(step.pattern, round);
}

/** Length of one round of a movement, from 1, at an opening breath of `breathSeconds`. */
export function movementRoundMilliseconds(
  step: MovementStep,
  pace: StepPace,
  breathSeconds: Seconds,
  round: number = settledFrom(step.pattern),
): Milliseconds {
  return roundMilliseconds(patternOn(step, round), {
    breathSeconds: breathSeconds * pace.multiplier,
    inhaleShare: pace.inhaleShare,
  });
}

/** One count of a movement's rounds, a round on every side, once its pattern changes no more. */
export function countMilliseconds(step: MovementStep, pace: StepPace, breathSeconds: Seconds): Milliseconds {
  return sideCount(step.sides) * movementRoundMilliseconds(step, pace, breathSeconds);
}

/** So many counts of a movement's rounds, from the first. */
export function countsMilliseconds(
  step: MovementStep,
  pace: StepPace,
  breathSeconds: Seconds,
  rounds: number,
): Milliseconds {
  const settled = step.pacedBy === 'clock' ? 1 : settledFrom(step.pattern);
  let total = Math.max(0, rounds - settled + 1) * movementRoundMilliseconds(step, pace, breathSeconds, settled);
  for (let round = 1; round < settled && round <= rounds; round++)
    total += movementRoundMilliseconds(step, pace, breathSeconds, round);
  return sideCount(step.sides) * total;
}

/** The whole count in a multiple that comes nearest to `wanted` milliseconds. */
export function roundsFilling(multiple: number, count: Milliseconds, wanted: Milliseconds): number {
  const unit = Math.max(1, count * multiple);
  const max = Math.max(1, Math.floor(LIMITS.rounds / multiple));
  const times = Math.ceil(wanted / unit - 0.5);
  return Math.min(max, Math.max(1, times)) * multiple;
}

/**
 * Rounds on each side of a movement: its own count, or for a clock-led one the whole count in its multiple whose
 * length is nearest to its seconds (the fewer of two as near; at least one multiple).
 */
export function roundsOf(step: MovementStep, pace: StepPace, breathSeconds: Seconds): number {
  if (asksRounds(step.pacedBy)) return step.rounds;
  if (step.pacedBy !== 'clock') return 1;
  return roundsFilling(step.multiple, countMilliseconds(step, pace, breathSeconds), toMilliseconds(step.seconds));
}

/** The lines over the time without a lead: all of them where no round is led, else those that name no round. */
export function duringFree(step: MovementStep): readonly DuringLine[] {
  if (step.pacedBy !== 'breath-then-own-pace') return isCounted(step.pacedBy) ? [] : step.during;
  return step.during.filter(({ on }) => on === 'anywhere' || on === 'time');
}

/** The lines over the rounds. */
export function duringRounds(step: MovementStep): readonly DuringLine[] {
  const free = new Set(duringFree(step));
  return step.during.filter((line) => !free.has(line));
}

/** A time without a lead cannot be shorter than what is said over it and its call back, on each side. */
export function freeWordsMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  const said = (text: string): Milliseconds => lineMilliseconds(text, voice);
  const calls = stretchCount(step.sides) * Math.max(1000, said(step.lastRoundLine));
  return calls + duringMilliseconds(duringFree(step), stretchCount(step.sides), said);
}

/** The time without a lead of a movement, all sides together: as set, or as its words take. */
export function freeMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  return Math.max(toMilliseconds(step.seconds), freeWordsMilliseconds(step, voice));
}
