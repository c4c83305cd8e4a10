import {
  breathAsked,
  LIMITS,
  planMilliseconds,
  setPlan,
  setStep,
  teachMilliseconds,
  withLastPause,
  type ClassPlan,
  type Edit,
} from '@/core/plan';
import { toSeconds, type Seconds } from '@/core/units';
import { inOwnVoice, performedMovements, predictedSeconds, type Usual } from './usual';

/** A change to the class that takes propose; each stands alone. */
export interface Proposal {
  readonly kind: 'voice' | 'breath' | 'teach' | 'target';
  /** The step it is about, for `teach`. */
  readonly step: string | null;
  /** The silence after its last line of teaching, for `teach`. */
  readonly pauseSeconds: Seconds | null;
  /** As the plan has it and as it was taken: syllables a minute for `voice`, else seconds. */
  readonly from: number;
  readonly to: number;
  readonly edit: Edit;
}

/** Smaller differences are no habit. Common practice, no published source. */
const LEAST = { voiceShare: 0.03, breathSeconds: 0.2, teachSeconds: 2, teachShare: 0.1, targetShare: 0.01 };

/**
 * What would bring a plan nearer to how it is really given. `wantedSeconds` is how long the class was meant to be when
 * it was first taken: the target is proposed so that the class, with what usually comes on top, ends there.
 */
export function proposalsOf(plan: ClassPlan, usual: Usual, wantedSeconds: Seconds): Proposal[] {
  return [
    ...voice(plan, usual),
    ...breath(plan, usual),
    ...teaching(plan, usual),
    ...target(plan, usual, wantedSeconds),
  ];
}

function voice(plan: ClassPlan, { syllablesPerMinute }: Usual): Proposal[] {
  if (syllablesPerMinute === null) return [];
  const { min, max } = LIMITS.syllablesPerMinute;
  const to = Math.round(Math.min(max, Math.max(min, syllablesPerMinute)));
  const from = plan.voice.syllablesPerMinute;
  if (Math.abs(to / from - 1) < LEAST.voiceShare) return [];
  const edit = setPlan('voice', { ...plan.voice, syllablesPerMinute: to });
  return [{ kind: 'voice', step: null, pauseSeconds: null, from, to, edit }];
}

function breath(plan: ClassPlan, { breathSeconds }: Usual): Proposal[] {
  if (breathSeconds === null) return [];
  const { pace } = plan;
  const bounded = Math.min(pace.maxBreathSeconds, Math.max(pace.minBreathSeconds, breathSeconds));
  const to = Math.round(bounded * 10) / 10;
  if (Math.abs(to - pace.breathSeconds) < LEAST.breathSeconds - 1e-9) return [];
  const edit = setPlan('pace', breathAsked(pace, to));
  return [{ kind: 'breath', step: null, pauseSeconds: null, from: pace.breathSeconds, to, edit }];
}

/** Teaching that takes longer or shorter than its words: the silence after its last line becomes as long as it is. */
function teaching(plan: ClassPlan, usual: Usual): Proposal[] {
  const own = inOwnVoice(plan, usual).voice;
  const taught = performedMovements(plan).filter(({ intro }) => intro === 'full');
  return taught.flatMap((step): Proposal[] => {
    const from = toSeconds(teachMilliseconds(step, own));
    const taken = usual.teachSeconds.get(step.id);
    const last = step.teach.at(-1);
    if (taken === undefined || !last || from === 0) return [];
    const { min, max } = LIMITS.pauseSeconds;
    const pauseSeconds = Math.min(max, Math.max(min, Math.round((last.pauseSeconds + taken - from) * 10) / 10));
    const change = pauseSeconds - last.pauseSeconds;
    if (Math.abs(change) < Math.max(LEAST.teachSeconds, LEAST.teachShare * from)) return [];
    const edit = setStep(step, 'teach', withLastPause(step.teach, pauseSeconds));
    return [{ kind: 'teach', step: step.id, pauseSeconds, from, to: from + change, edit }];
  });
}

function target(plan: ClassPlan, usual: Usual, wantedSeconds: Seconds): Proposal[] {
  const { targetSeconds } = plan;
  const atTarget = (predictedSeconds(plan, usual) * targetSeconds) / toSeconds(planMilliseconds(plan));
  if (!Number.isFinite(atTarget) || Math.abs(atTarget / wantedSeconds - 1) < LEAST.targetShare) return [];
  // What is left once voice, breath and teaching are as they are: the target gives way by it.
  const { min, max } = LIMITS.targetSeconds;
  const to = Math.min(max, Math.max(min, Math.round(wantedSeconds / (1 + usual.beyond))));
  if (Math.abs(to / targetSeconds - 1) < LEAST.targetShare) return [];
  const edit = setPlan('targetSeconds', to);
  return [{ kind: 'target', step: null, pauseSeconds: null, from: targetSeconds, to, edit }];
}
