import { inShareAlong, paceMultiplier, roundMilliseconds } from '@/core/breath';
import { sideCount, type SpokenLine } from '@/core/movement';
import { speakingSeconds } from '@/core/speech';
import { usualText } from '@/core/words';
import { toMilliseconds, type Milliseconds, type Seconds } from '@/core/units';
import { linesAfter, linesBefore, type AroundLine } from './around';
import { LIMITS } from './limits';
import type { ClassPlan, MovementStep, PlanVoice, QuietStep, Section, Step, TalkStep, TransitionStep } from './model';
import { lineIn, type StepText } from './texts';

/*
 * How long the parts of a plan take, in whole milliseconds. The timeline and the fit both count with these, so that
 * they cannot disagree.
 */

/** A line's speaking time in whole milliseconds; a token in it takes as long as its usual words. */
export function lineMilliseconds(text: string, voice: PlanVoice): Milliseconds {
  return toMilliseconds(speakingSeconds(usualText(text), voice));
}

/** Lines said one after the other with their pauses. An empty line is silence of its pause. */
function spokenMilliseconds(lines: readonly SpokenLine[], voice: PlanVoice): Milliseconds {
  return lines.reduce(
    (total, line) => total + lineMilliseconds(line.text, voice) + toMilliseconds(line.pauseSeconds),
    0,
  );
}

/** A line before or after the rounds with its silence; words that are not there have none, an empty line of teaching has its own. */
export function aroundLineMilliseconds(line: AroundLine, voice: PlanVoice): Milliseconds {
  const said = lineMilliseconds(line.text, voice);
  if (line.pauseSeconds !== null) return said + toMilliseconds(line.pauseSeconds);
  return said === 0 ? 0 : said + toMilliseconds(voice.pauseSeconds);
}

/** What is said and shown of a movement before its first counted round. */
export function teachMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  return linesBefore(step).reduce((sum, line) => sum + aroundLineMilliseconds(line, voice), 0);
}

/** Everything of a movement that is not counted: what is said before and after it, and the change of side. */
export function aroundMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  let total = sideChangeMilliseconds(step, voice) + teachMilliseconds(step, voice);
  for (const line of linesAfter(step)) total += aroundLineMilliseconds(line, voice);
  return total;
}

/** The line at the change of side: the short wording where the full one is longer than the change takes. */
export function sideChangeText(step: MovementStep, voice: PlanVoice): StepText {
  const full = lineIn(step, 'sideChange', 'full');
  const fits = lineMilliseconds(full.text, voice) <= toMilliseconds(step.sideChangeSeconds);
  return fits ? full : lineIn(step, 'sideChange', 'short');
}

/** The change between the sides: its set length, or the line's if that is longer; 0 where sides do not change once. */
export function sideChangeMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  if (step.sides !== 'in-turn' && step.sides !== 'each-way') return 0;
  return Math.max(toMilliseconds(step.sideChangeSeconds), lineMilliseconds(sideChangeText(step, voice).text, voice));
}

/** A talk at the voice's own rate. */
export function plainTalkMilliseconds(step: TalkStep, voice: PlanVoice): Milliseconds {
  return spokenMilliseconds(step.lines, voice);
}

/** A talk at its tempo. */
export function talkMilliseconds(step: TalkStep, voice: PlanVoice): Milliseconds {
  return Math.round(plainTalkMilliseconds(step, voice) * step.tempo);
}

export function transitionMilliseconds(step: TransitionStep, voice: PlanVoice): Milliseconds {
  return Math.max(toMilliseconds(step.seconds), lineMilliseconds(step.line, voice));
}

/** The words of a quiet with a second of silence between them: it cannot be shorter. */
export function quietWordsMilliseconds(step: QuietStep, voice: PlanVoice): Milliseconds {
  const opening = lineMilliseconds(step.openingLine, voice);
  const callBack = lineMilliseconds(step.callBackLine, voice);
  const lead = callBack > 0 ? toMilliseconds(step.callBackLeadSeconds) : 0;
  return opening + callBack + lead + (opening > 0 && callBack > 0 ? 1000 : 0);
}

/** A quiet as long as it is set, or as its words take. */
export function quietMilliseconds(step: QuietStep, voice: PlanVoice): Milliseconds {
  return Math.max(toMilliseconds(step.seconds), quietWordsMilliseconds(step, voice));
}

/** How a movement breathes: its multiplier on the opening breath, and the share of a breath that goes in. */
export interface StepPace {
  readonly multiplier: number;
  readonly inShare: number;
}

/**
 * The pace of each movement step, by step id. The profile is laid over all movements of the plan, also those left
 * out, so that leaving one out does not change the breath of the others; a section or a step may set its own.
 */
export function stepPaces(plan: ClassPlan): ReadonlyMap<string, StepPace> {
  const movements: { readonly step: MovementStep; readonly section: Section }[] = [];
  for (const section of plan.sections) {
    for (const step of section.steps) if (step.kind === 'movement') movements.push({ step, section });
  }
  const count = movements.length;
  return new Map(
    movements.map(({ step, section }, index) => {
      const along = section.paceMultiplier;
      const multiplier =
        along === null
          ? paceMultiplier(plan.pace, index, count, step.paceMultiplier)
          : Math.round(along * step.paceMultiplier * 100) / 100;
      return [
        step.id,
        { multiplier, inShare: step.inShare ?? section.inShare ?? inShareAlong(plan.pace, index, count) },
      ];
    }),
  );
}

/** Length of one round of a movement at an opening breath of `breathSeconds`. */
export function movementRoundMilliseconds(step: MovementStep, pace: StepPace, breathSeconds: Seconds): Milliseconds {
  return roundMilliseconds(step.pattern, {
    breathSeconds: breathSeconds * pace.multiplier,
    inShare: pace.inShare,
  });
}

/** One count of a movement's rounds: a round on every side. */
export function countMilliseconds(step: MovementStep, pace: StepPace, breathSeconds: Seconds): Milliseconds {
  return sideCount(step.sides) * movementRoundMilliseconds(step, pace, breathSeconds);
}

/**
 * Rounds on each side of a movement: its own count, or for a clock-led one the whole count in its multiple whose
 * length is nearest to its seconds (the fewer of two as near; at least one multiple).
 */
export function roundsOf(step: MovementStep, pace: StepPace, breathSeconds: Seconds): number {
  if (step.lead === 'breath') return step.rounds;
  if (step.lead === 'own') return 1;
  return roundsFilling(step.multiple, countMilliseconds(step, pace, breathSeconds), toMilliseconds(step.seconds));
}

/** The whole count in a multiple that comes nearest to `wanted` milliseconds. */
export function roundsFilling(multiple: number, count: Milliseconds, wanted: Milliseconds): number {
  const unit = Math.max(1, count * multiple);
  const most = Math.max(1, Math.floor(LIMITS.rounds / multiple));
  const times = Math.ceil(wanted / unit - 0.5);
  return Math.min(most, Math.max(1, times)) * multiple;
}

/** Counted time of an own-pace movement: as set, or as its call-back takes. */
export function ownMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  return Math.max(toMilliseconds(step.seconds), ownWordsMilliseconds(step, voice));
}

/** An own-pace movement cannot be shorter than its call-back on each side. */
export function ownWordsMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  return sidesInTurn(step) * Math.max(1000, lineMilliseconds(step.lastRoundLine, voice));
}

/** Stretches that an own-pace movement is divided into: one after the other where its sides are taken in turn. */
export function sidesInTurn(step: MovementStep): 1 | 2 {
  return step.sides === 'in-turn' || step.sides === 'each-way' ? 2 : 1;
}

const NO_PACE: StepPace = { multiplier: 1, inShare: 0.5 };

/** The whole length of a step as it stands, 0 when it is left out. */
export function stepMilliseconds(
  step: Step,
  pace: StepPace = NO_PACE,
  breathSeconds: Seconds,
  voice: PlanVoice,
): Milliseconds {
  if (step.leftOut) return 0;
  if (step.kind === 'talk') return talkMilliseconds(step, voice);
  if (step.kind === 'quiet') return quietMilliseconds(step, voice);
  if (step.kind === 'transition') return transitionMilliseconds(step, voice);
  const around = aroundMilliseconds(step, voice);
  if (step.lead === 'own') return around + ownMilliseconds(step, voice);
  return around + roundsOf(step, pace, breathSeconds) * countMilliseconds(step, pace, breathSeconds);
}

/** The runtime of a plan, without its cues: what the timeline ends on. */
export function planMilliseconds(plan: ClassPlan): Milliseconds {
  const paces = stepPaces(plan);
  let total = 0;
  for (const section of plan.sections) {
    for (const step of section.steps) {
      total += stepMilliseconds(step, paces.get(step.id), plan.pace.breathSeconds, plan.voice);
    }
  }
  return total;
}
