import { type Form, formOn, isCounted } from '@/core/movement';
import {
  announcementOf,
  isMovement,
  LIMITS,
  patternOn,
  setStep,
  stepsInOrder,
  turnsOf,
  type ClassPlan,
  type Edit,
  type MovementStep,
} from '@/core/plan';
import { speakingSeconds } from '@/core/speech';
import { Wording, type TimedStep, type Timeline } from '@/core/timeline';
import { phaseSeconds } from '@/core/breath';
import { itemAt, type Seconds } from '@/core/units';
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

/** What fitting does: the fullest words that fit everywhere, or shorter ones only where those that stand do not fit. */
export type FitManner = 'fullest' | 'shorten';

/**
 * Shortens only what does not fit: a round whose lines end in time keeps its form, one whose lines do not takes the
 * fullest form that does. The share of silence is not asked for here: it shortens what could be said in time.
 *
 * Or, as `fullest`, chooses round by round the fullest form whose every line ends before the next is due, and which leaves at least
 * the wanted share of the round without words. A round never has a fuller form than the one before it, so that words
 * thin out; held rounds stay as they are and do not thin out what follows. Where even silence is broken by the
 * announcement alone, the round is silent. Deterministic; a `stepId` does one movement alone.
 */
export function fitWords(
  plan: ClassPlan,
  timeline: Pick<Timeline, 'steps'>,
  { stepId = null, manner = 'shorten' }: { readonly stepId?: string | null; readonly manner?: FitManner } = {},
): FittedWords {
  const timed = new Map(timeline.steps.map((step) => [step.step, step]));
  const wording = new Wording(plan);
  const edits: Edit[] = [];
  const changes: FormChange[] = [];
  for (const { step } of stepsInOrder(plan)) {
    const place = timed.get(step.id);
    if (!isMovement(step) || step.skipped || !isCounted(step.pacedBy) || !place) continue;
    if (stepId !== null && step.id !== stepId) continue;
    const fade =
      manner === 'fullest' ? fullestFade(plan, step, place, wording) : shortenedFade(plan, step, place, wording);
    const rounds = Math.min(place.rounds, LIMITS.fade);
    let changed = false;
    for (let round = 1; round <= rounds; round++) {
      const from = formOn(step.fade, round);
      const to = formOn(fade, round);
      if (from === to) continue;
      changed = true;
      changes.push({ stepId: step.id, round, from, to });
    }
    if (changed) edits.push(setStep(step, 'fade', fade));
  }
  return { edit: edits.length === 0 ? null : { kind: 'together', edits }, changes };
}

/** Each round as it stands where its lines end in time, else in the fullest form that does. */
function shortenedFade(plan: ClassPlan, step: MovementStep, timed: TimedStep, wording: Wording): Form[] {
  const rounds = Math.min(timed.rounds, LIMITS.fade);
  const held = new Set(step.fadePins);
  const fade = Array.from({ length: rounds }, (_, index): Form => {
    const round = index + 1;
    let at = FULLEST.indexOf(formOn(step.fade, round));
    if (held.has(round)) return itemAt(FULLEST, at);
    while (at < FULLEST.length - 1 && !ends(plan, step, timed, round, itemAt(FULLEST, at), wording)) at++;
    return itemAt(FULLEST, at);
  });
  return shortest(fade.length === 0 ? step.fade : fade);
}

function fullestFade(plan: ClassPlan, step: MovementStep, timed: TimedStep, wording: Wording): Form[] {
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
    while (at < FULLEST.length - 1 && !ends(plan, step, timed, round, itemAt(FULLEST, at), wording, plan.silenceShare))
      at++;
    thinnest = at;
    fade.push(itemAt(FULLEST, at));
  }
  return shortest(fade.length === 0 ? step.fade : fade);
}

/** Whether a form's lines end in time on every side of a round, and leave a share of it without words. */
function ends(
  plan: ClassPlan,
  step: MovementStep,
  timed: TimedStep,
  round: number,
  form: Form,
  wording: Wording,
  silenceShare = 0,
): boolean {
  const pace = { breathSeconds: timed.breathSeconds, inhaleShare: timed.inhaleShare };
  const phases = patternOn(step, round);
  const length = phases.reduce((total, phase) => total + phaseSeconds(phase, pace), 0);
  return turnsOf(step, timed.rounds)
    .filter((turn) => turn.round === round)
    .every((turn) => {
      let spoken: Seconds = 0;
      return (
        phases.every((phase, index) => {
          const moment = { at: 0, turn, rounds: timed.rounds, form, kind: phase.kind };
          const announced = index === 0 ? announcementOf(step, plan.style, turn, timed.rounds, form) : '';
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
        (form === 'silent' || silenceShare === 0 || spoken <= (1 - silenceShare) * length + TOLERANCE)
      );
    });
}

/** Half a frame of video: less is not heard. */
const TOLERANCE: Seconds = 0.02;
