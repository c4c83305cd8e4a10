import { roundMilliseconds } from '@/core/breath';
import { sideCount } from '@/core/movement';
import { toMilliseconds, type Milliseconds, type Seconds } from '@/core/units';
import { LIMITS } from '../../limits';
import type { PlanVoice } from '../../voice';
import type { StepPace } from '../contract';
import { lineMilliseconds } from '../speech';
import type { StepText } from '../text-place';
import { aroundLineMilliseconds, lineIn, linesAfter, linesBefore } from './lines';
import type { MovementStep } from './schema';

/*
 * How long the parts of a movement take, in whole milliseconds.
 */

/** What is said and shown of a movement before its first counted round. */
export function teachMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  return linesBefore(step).reduce((sum, line) => sum + aroundLineMilliseconds(line, voice), 0);
}

/** The line at the change of side: the short wording where the full one is longer than the change takes. */
export function sideChangeText(step: MovementStep, voice: PlanVoice): StepText {
  const full = lineIn(step, 'sideChange', 'full');
  const fits = lineMilliseconds(full.text, voice) <= toMilliseconds(step.sideChangeSeconds);
  return fits ? full : lineIn(step, 'sideChange', 'short');
}

/** The change between the sides: its set length, or the line's if that is longer; 0 where sides do not change once. */
export function sideChangeMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  if (step.sides !== 'one-then-other' && step.sides !== 'both-directions') return 0;
  return Math.max(toMilliseconds(step.sideChangeSeconds), lineMilliseconds(sideChangeText(step, voice).text, voice));
}

/** Everything of a movement that is not counted: what is said before and after it, and the change of side. */
export function aroundMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  let total = sideChangeMilliseconds(step, voice) + teachMilliseconds(step, voice);
  for (const line of linesAfter(step)) total += aroundLineMilliseconds(line, voice);
  return total;
}

/** Length of one round of a movement at an opening breath of `breathSeconds`. */
export function movementRoundMilliseconds(step: MovementStep, pace: StepPace, breathSeconds: Seconds): Milliseconds {
  return roundMilliseconds(step.pattern, {
    breathSeconds: breathSeconds * pace.multiplier,
    inhaleShare: pace.inhaleShare,
  });
}

/** One count of a movement's rounds: a round on every side. */
export function countMilliseconds(step: MovementStep, pace: StepPace, breathSeconds: Seconds): Milliseconds {
  return sideCount(step.sides) * movementRoundMilliseconds(step, pace, breathSeconds);
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
  if (step.pacedBy === 'breath') return step.rounds;
  if (step.pacedBy === 'own-pace') return 1;
  return roundsFilling(step.multiple, countMilliseconds(step, pace, breathSeconds), toMilliseconds(step.seconds));
}

/** Stretches that an own-pace movement is divided into: one after the other where its sides are taken in turn. */
export function sidesInTurn(step: MovementStep): 1 | 2 {
  return step.sides === 'one-then-other' || step.sides === 'both-directions' ? 2 : 1;
}

/** An own-pace movement cannot be shorter than its call-back on each side. */
export function ownWordsMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  return sidesInTurn(step) * Math.max(1000, lineMilliseconds(step.lastRoundLine, voice));
}

/** Counted time of an own-pace movement: as set, or as its call-back takes. */
export function ownMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  return Math.max(toMilliseconds(step.seconds), ownWordsMilliseconds(step, voice));
}
