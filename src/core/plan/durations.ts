import { paceMultiplier, roundMilliseconds, type Pace } from '@/core/breath';
import { speakingSeconds } from '@/core/speech';
import { toMilliseconds, type Milliseconds, type Seconds } from '@/core/units';
import {
  stepsInOrder,
  type ClassPlan,
  type MovementStep,
  type PlanVoice,
  type QuietStep,
  type SpokenLine,
  type TalkStep,
  type TransitionStep,
} from './model';

/*
 * How long the parts of a plan take, in whole milliseconds. The timeline and the fit both count with these, so that
 * they cannot disagree.
 */

/** A line's speaking time in whole milliseconds. */
export function lineMilliseconds(text: string, voice: PlanVoice): Milliseconds {
  return toMilliseconds(speakingSeconds(text, voice));
}

/** Lines said one after the other with their pauses. An empty line is silence of its pause. */
function spokenMilliseconds(lines: readonly SpokenLine[], voice: PlanVoice): Milliseconds {
  return lines.reduce(
    (total, line) => total + lineMilliseconds(line.text, voice) + toMilliseconds(line.pauseSeconds),
    0,
  );
}

/** The explained beginning of a movement: as long as its words take. */
export function teachMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  return spokenMilliseconds(step.teach, voice);
}

/** The change between the sides: its set length, or the line's if that is longer; 0 where sides do not change once. */
export function sideChangeMilliseconds(step: MovementStep, voice: PlanVoice): Milliseconds {
  if (step.sides !== 'in-turn' && step.sides !== 'each-way') return 0;
  return Math.max(toMilliseconds(step.sideChangeSeconds), lineMilliseconds(step.sideChangeLine, voice));
}

export function talkMilliseconds(step: TalkStep, voice: PlanVoice): Milliseconds {
  return spokenMilliseconds(step.lines, voice);
}

export function transitionMilliseconds(step: TransitionStep, voice: PlanVoice): Milliseconds {
  return Math.max(toMilliseconds(step.seconds), lineMilliseconds(step.line, voice));
}

/** The words of a quiet with a second of silence between them: it cannot be shorter. */
export function quietWordsMilliseconds(step: QuietStep, voice: PlanVoice): Milliseconds {
  const opening = lineMilliseconds(step.openingLine, voice);
  const callBack = lineMilliseconds(step.callBackLine, voice);
  return opening + callBack + (opening > 0 && callBack > 0 ? 1000 : 0);
}

/** A quiet as long as it is set, or as its words take. */
export function quietMilliseconds(step: QuietStep, voice: PlanVoice): Milliseconds {
  return Math.max(toMilliseconds(step.seconds), quietWordsMilliseconds(step, voice));
}

/** Length of one round of a movement at an opening breath of `breathSeconds`. */
export function movementRoundMilliseconds(
  step: MovementStep,
  multiplier: number,
  breathSeconds: Seconds,
  inShare: number,
): Milliseconds {
  const pace: Pace = { breathSeconds: breathSeconds * multiplier, inShare };
  return roundMilliseconds(step.pattern, pace);
}

/** The multiplier on the opening breath for each movement step, by step id: the profile times the step's own. */
export function paceMultipliers(plan: ClassPlan): ReadonlyMap<string, number> {
  const movements = stepsInOrder(plan)
    .map(({ step }) => step)
    .filter((step) => step.kind === 'movement');
  return new Map(
    movements.map((step, index) => [
      step.id,
      paceMultiplier(plan.pace.closingRatio, index, movements.length, step.paceMultiplier),
    ]),
  );
}
