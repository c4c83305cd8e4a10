import { formOn, type Form } from '@/core/movement';
import { LIMITS, stepsInOrder, type ClassPlan, type Edit, type MovementStep } from '@/core/plan';
import { speakingSeconds } from '@/core/speech';
import { announcementOf, turnsOf, Wording, type TimedStep, type Timeline } from '@/core/timeline';
import { phaseSeconds } from '@/core/breath';
import type { Seconds } from '@/core/units';
import { shortest } from './fades';

/** A round whose form fitting the words would change. */
export interface FormChange {
  readonly stepId: string;
  /** From 1, on each side. */
  readonly round: number;
  readonly from: Form;
  readonly to: Form;
}

export interface FittedWords {
  /** `null` when every round has its form already. */
  readonly edit: Edit | null;
  readonly changes: readonly FormChange[];
}

/** From the fullest to none. */
const FULLEST: readonly Form[] = ['full', 'short', 'breath', 'silent'];

/**
 * Chooses round by round the fullest form whose every line ends before the next is due, and which leaves at least
 * the wanted share of the round without words. A round never has a fuller form than the one before it, so that words
 * thin out; held rounds stay as they are and do not thin out what follows. Where even silence is broken by the
 * announcement alone, the round is silent. Deterministic; a `stepId` does one movement alone.
 */
export function fitWords(
  plan: ClassPlan,
  timeline: Pick<Timeline, 'steps'>,
  stepId: string | null = null,
): FittedWords {
  const timed = new Map(timeline.steps.map((step) => [step.step, step]));
  const wording = new Wording(plan);
  const edits: Edit[] = [];
  const changes: FormChange[] = [];
  for (const { step } of stepsInOrder(plan)) {
    const place = timed.get(step.id);
    if (step.kind !== 'movement' || step.leftOut || step.lead === 'own' || !place) continue;
    if (stepId !== null && step.id !== stepId) continue;
    const fade = fittedFade(plan, step, place, wording);
    const rounds = Math.min(place.rounds, LIMITS.fade);
    let changed = false;
    for (let round = 1; round <= rounds; round++) {
      const from = formOn(step.fade, round);
      const to = formOn(fade, round);
      if (from === to) continue;
      changed = true;
      changes.push({ stepId: step.id, round, from, to });
    }
    if (changed) edits.push({ kind: 'set-step', stepId: step.id, field: 'fade', value: fade });
  }
  return { edit: edits.length === 0 ? null : { kind: 'together', edits }, changes };
}

function fittedFade(plan: ClassPlan, step: MovementStep, timed: TimedStep, wording: Wording): Form[] {
  const rounds = Math.min(timed.rounds, LIMITS.fade);
  const held = new Set(step.fadePins);
  const fade: Form[] = [];
  let thinnest = 0;
  for (let round = 1; round <= rounds; round++) {
    const now = formOn(step.fade, round);
    if (held.has(round)) {
      fade.push(now);
      continue;
    }
    let at = thinnest;
    while (at < FULLEST.length - 1 && !fits(plan, step, timed, round, FULLEST[at], wording)) at++;
    thinnest = at;
    fade.push(FULLEST[at]);
  }
  return shortest(fade.length === 0 ? step.fade : fade);
}

/** Whether a form's lines end in time on every side of a round, and leave the silence that is wanted. */
function fits(
  plan: ClassPlan,
  step: MovementStep,
  timed: TimedStep,
  round: number,
  form: Form,
  wording: Wording,
): boolean {
  const pace = { breathSeconds: timed.breathSeconds, inShare: timed.inShare };
  const length = step.pattern.reduce((total, phase) => total + phaseSeconds(phase, pace), 0);
  return turnsOf(step, timed.rounds)
    .filter((turn) => turn.round === round)
    .every((turn) => {
      let spoken: Seconds = 0;
      return (
        step.pattern.every((phase, index) => {
          const moment = { at: 0, turn, rounds: timed.rounds, form, kind: phase.kind };
          const announced = index === 0 ? announcementOf(step, plan.schools, turn, timed.rounds, form) : '';
          const words = form === 'silent' ? '' : phase[form];
          const text = [announced, words]
            .filter(Boolean)
            .map((part) => wording.filled(part, step, moment))
            .join(' ');
          const said = speakingSeconds(text, plan.voice);
          spoken += said;
          // A line starts its lead before the phase and has to end the class's lead before the next phase.
          const lead = phase.leadSeconds ?? plan.voice.leadSeconds;
          return said <= phaseSeconds(phase, pace) - plan.voice.leadSeconds + lead + TOLERANCE;
        }) &&
        (form === 'silent' || spoken <= (1 - plan.silenceShare) * length + TOLERANCE)
      );
    });
}

/** Half a frame of video: less is not heard. */
const TOLERANCE: Seconds = 0.02;
