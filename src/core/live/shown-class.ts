import { PHASE_KINDS } from '@/core/breath';
import { boolean, judge, list, ONE_LINE, oneOf, shape, text, whole, within, type Stored } from '@/core/document';
import { findPerformed, LIMITS, type ClassPlan } from '@/core/plan';
import { cueAt, performedName, phaseAt, sideTold, stepAt, type TimedPhase, type Timeline } from '@/core/timeline';
import { takenAs, wholeMilliseconds, type Interval, type Issue, type Result, type Seconds } from '@/core/units';

/*
 * What an audience sees of a class: names of movements, rounds, sides, the breath, the lines that are said, each at its
 * time. Nothing else of the plan goes out: no notes, cautions, tags or lengths to choose from.
 */

/** Phases of a breath of four seconds in four hours, ten times over. */
const PHASES_AT_MOST = 40_000;
/** A side as it is said: "left", "your right leg". */
const SIDE_CHARACTERS = 80;
/** A line, with what it announces before it. */
const SAID_CHARACTERS = 2 * LIMITS.lineCharacters;
const KINDS = [...PHASE_KINDS, 'spoken'] as const;
const LAST_SECOND = { min: 0, max: 8 * 3600 };

const stretch = { startSeconds: within(LAST_SECOND), endSeconds: within(LAST_SECOND) };

/** A shown class as it is sent and stored. */
export const shownClassSchema = shape({
  title: text(LIMITS.titleCharacters, ONE_LINE),
  runtimeSeconds: within(LAST_SECOND),
  steps: list(
    shape({
      ...stretch,
      name: text(LIMITS.titleCharacters * 2, ONE_LINE),
      /** Rounds on each side; 0 where nothing is counted. */
      rounds: whole(0, 100_000),
      /** Whether it is told as what comes next: movements and silences are, talk is not. */
      announced: boolean(),
    }),
    LIMITS.stepsInPlan,
  ),
  phases: list(
    shape({
      ...stretch,
      kind: oneOf(KINDS),
      round: whole(0, 100_000),
      side: text(SIDE_CHARACTERS, ONE_LINE),
      action: text(SAID_CHARACTERS),
    }),
    PHASES_AT_MOST,
  ),
  cues: list(shape({ ...stretch, text: text(SAID_CHARACTERS) }), LIMITS.cues),
});

export type ShownClass = Stored<typeof shownClassSchema>;

/** What an audience sees of a class as it is performed. The timeline is in the studio's spelling already. */
export function shownClass(plan: ClassPlan, timeline: Timeline): ShownClass {
  const whole = ({ startSeconds, endSeconds }: Interval): Interval => ({
    startSeconds: wholeMilliseconds(startSeconds),
    endSeconds: wholeMilliseconds(endSeconds),
  });
  return {
    title: plan.title,
    runtimeSeconds: wholeMilliseconds(timeline.runtimeSeconds),
    steps: timeline.steps.map((timed) => {
      const performed = findPerformed(plan, timed.step);
      const kind = performed?.step.kind;
      return {
        ...whole(timed),
        name: performed ? performedName(performed, plan.style) : '',
        rounds: timed.rounds,
        announced: kind === 'movement' || kind === 'silence',
      };
    }),
    phases: timeline.phases.map((phase) => {
      const side = sideSaid(phase, plan);
      return {
        ...whole(phase),
        kind: phase.kind,
        round: phase.round,
        side,
        action: phase.action.replaceAll('{side}', side),
      };
    }),
    cues: timeline.cues.map((cue) => ({ ...whole(cue), text: cue.text })),
  };
}

/** The side as it is said to those who follow, with its direction; empty where there is none. */
function sideSaid({ side, step: id }: TimedPhase, plan: ClassPlan): string {
  const step = findPerformed(plan, id)?.step;
  if (!side || step?.kind !== 'movement') return '';
  const { word, way } = sideTold(side, step, plan.style);
  return [word, way].filter(Boolean).join(', ');
}

/** Judges a shown class that came from somewhere. */
export function readShownClass(raw: unknown): Result<ShownClass, readonly Issue[]> {
  const judged = judge(raw, shownClassSchema);
  return judged.ok ? { ok: true, value: takenAs<ShownClass>(judged.value) } : judged;
}

/** What is shown at one moment. */
export interface Shown {
  readonly name: string;
  /** From 1; 0 where nothing is counted. */
  readonly round: number;
  readonly rounds: number;
  readonly side: string;
  /** What the breath does, and what the body does with it; empty where neither is told. */
  readonly kind: (typeof KINDS)[number] | null;
  readonly action: string;
  /** The line that was last begun, and when it has been said; empty before the first. */
  readonly said: string;
  readonly saidUntil: Seconds;
  /** The movement or silence after this one; empty after the last. */
  readonly next: string;
}

/** What is shown at a place in a class. */
export function shownAt(shown: ShownClass, place: Seconds): Shown {
  const step = stepAt(shown, place);
  const phase = phaseAt(shown, place);
  const line = cueAt(shown, place);
  const next = shown.steps.find(
    ({ startSeconds, endSeconds, announced }) => announced && startSeconds > place && endSeconds > startSeconds,
  );
  return {
    name: step?.name ?? '',
    round: phase && step && step.rounds > 0 ? phase.round : 0,
    rounds: step?.rounds ?? 0,
    side: phase?.side ?? '',
    kind: phase?.kind ?? null,
    action: phase?.action ?? '',
    said: line?.text ?? '',
    saidUntil: line?.endSeconds ?? 0,
    next: next?.name ?? '',
  };
}
