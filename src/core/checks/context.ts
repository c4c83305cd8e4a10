import { itemAt } from '@/core/units';
import { ofThoseHere } from '@/core/meaning';
import type { Shortened } from '@/core/movement';
import {
  lineAt,
  placeName,
  isMovement as isMovementStep,
  saidTextsOf,
  performedSteps,
  type ClassPlan,
  type CueSource,
  type Step,
  type StepText,
} from '@/core/plan';
import type { Term } from '@/core/words';
import type { Timeline } from '@/core/timeline';
import type { ClassContext, MovementContext, StepContext } from './model';

const textsKept = new WeakMap<Step, readonly StepText[]>();

/** The texts of a step that are ever said; a step is never changed in place, so they are found once. */
export function textsKeptOf(step: Step): readonly StepText[] {
  const kept = textsKept.get(step);
  if (kept) return kept;
  const texts = saidTextsOf(step);
  textsKept.set(step, texts);
  return texts;
}

/** A plan and its timeline laid out for the checks; steps left out are not looked at. */
export function contextOf(plan: ClassPlan, timeline: Timeline, ownTerms: readonly Term[]): ClassContext {
  const steps: StepContext[] = [];
  const done = new Set<string>();
  performedSteps(plan).forEach(({ step, section, pass }, index) => {
    // What is done again on the other side is found wrong once.
    if (step.skipped || pass === 2) return;
    const timed = itemAt(timeline.steps, index);
    const cues = timeline.cues.slice(...timed.cueRange);
    steps.push({
      step,
      section,
      timed,
      cues,
      phases: timeline.phases.slice(...timed.phaseRange),
      texts: textsKeptOf(step),
      said: cues
        .map((cue) => cue.text)
        .join(' ')
        .toLowerCase(),
      again: done.has(step.name),
    });
    if (isMovementStep(step)) done.add(step.name);
  });
  return { plan, timeline, steps, ownTerms };
}

/** What is said in a movement before its first counted round, tokens not filled, small letters. */
export function saidBefore(context: StepContext): string {
  return saidLines(context).join(' ').toLowerCase();
}

/** The lines of it, as they are written. */
export function saidLines(context: StepContext): readonly string[] {
  return linesWhere(
    context,
    (part, line) => part === 'teach' || part === 'level' || (line !== null && BEFORE.has(line)),
  );
}

/** What is said in a movement from its first counted round on. */
export function saidDuring(context: StepContext): string {
  return linesWhere(
    context,
    (part, line) => part === 'phase' || part === 'during' || (line !== null && !BEFORE.has(line)),
  )
    .join(' ')
    .toLowerCase();
}

const BEFORE: ReadonlySet<Shortened> = new Set<Shortened>(['naming', 'caution', 'sending']);

/**
 * What is said in a movement, tokens filled where it is said, and what its phases do by name: cautions and calls of the
 * rounds left are no teaching.
 */
export function taughtIn({ step, texts }: MovementContext): readonly string[] {
  const told = texts.filter(({ place }) => UNTAUGHT.every((line) => lineAt(place) !== line)).map(({ text }) => text);
  return [...told.map(ofThoseHere), ...step.pattern.map(({ action }) => action)];
}

const UNTAUGHT: readonly Shortened[] = ['caution', 'roundsLeft', 'lastRound', 'sideChange'];

/** What is said in a step; of a talk or a silence that nothing is written for, what it is called tells what will be. */
export function saidOrNamed({ step, said }: StepContext): string {
  return isMovementStep(step) || said !== '' ? said : step.name.toLowerCase();
}

/** What is said before the first movement of a class, and what teaches that one. */
export function saidBeforeMoving(steps: readonly StepContext[]): {
  readonly before: readonly string[];
  readonly taught: readonly string[];
} {
  const at = steps.findIndex(({ step }) => isMovementStep(step));
  const first = steps[at]?.step;
  return {
    before: steps.slice(0, Math.max(0, at)).map(saidOrNamed),
    taught: first && isMovementStep(first) ? first.teach.map(({ text }) => text) : [],
  };
}

/** What is said in talks and transitions that lead to a step, and in the step before it, whatever that is. */
export function saidJustBefore(steps: readonly StepContext[], at: number): readonly string[] {
  const said: string[] = [];
  for (let before = at - 1; before >= 0; before--) {
    const one = itemAt(steps, before);
    if (isMovementStep(one.step) && before < at - 1) break;
    said.push(...one.texts.map(({ text }) => text));
    if (isMovementStep(one.step)) break;
  }
  return said;
}

/** What is said in talks and transitions right after a step. */
export function saidAfter(steps: readonly StepContext[], at: number): readonly string[] {
  const said: string[] = [];
  for (let after = at + 1; after < steps.length; after++) {
    const one = itemAt(steps, after);
    if (isMovementStep(one.step)) break;
    said.push(...one.texts.map(({ text }) => text));
  }
  return said;
}

function linesWhere(
  context: StepContext,
  wanted: (part: string, line: Shortened | null) => boolean,
): readonly string[] {
  return context.texts.filter(({ place }) => wanted(place.part, lineAt(place))).map(({ text }) => text);
}

/** The worst cue of each text of a step, of those that are bad at all: a text said many times is judged once. */
export function worstBySource<Cue extends { readonly source: CueSource }>(
  cues: readonly Cue[],
  badness: (cue: Cue) => number,
): { readonly cue: Cue; readonly by: number; readonly detail: string }[] {
  const worst = new Map<string, { cue: Cue; by: number; detail: string }>();
  for (const cue of cues) {
    const by = badness(cue);
    if (by <= 0) continue;
    const detail = placeName(cue.source);
    const before = worst.get(detail);
    if (!before || by > before.by) worst.set(detail, { cue, by, detail });
  }
  return [...worst.values()];
}

/** The longest time within a step, in seconds, in which nothing is said. */
export function longestGap({ timed, cues }: Pick<StepContext, 'timed' | 'cues'>): number {
  let from = timed.startSeconds;
  let longest = 0;
  for (const cue of [...cues, { startSeconds: timed.endSeconds, endSeconds: timed.endSeconds }]) {
    longest = Math.max(longest, cue.startSeconds - from);
    from = Math.max(from, cue.endSeconds);
  }
  return longest;
}
