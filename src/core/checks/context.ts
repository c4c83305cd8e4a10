import { itemAt } from '@/core/units';
import type { Shortened } from '@/core/movement';
import {
  lineAt,
  placeName,
  saidTextsOf,
  performedSteps,
  type ClassPlan,
  type CueSource,
  type Step,
  type StepText,
} from '@/core/plan';
import type { Term } from '@/core/words';
import type { Timeline } from '@/core/timeline';
import type { ClassContext, StepContext } from './model';

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
    });
  });
  return { plan, timeline, steps, ownTerms };
}

/** What is said in a movement before its first counted round, tokens not filled, small letters. */
export function saidBefore(context: StepContext): string {
  return wordsWhere(
    context,
    (part, line) => part === 'teach' || part === 'level' || (line !== null && BEFORE.has(line)),
  );
}

/** What is said in a movement from its first counted round on. */
export function saidDuring(context: StepContext): string {
  return wordsWhere(
    context,
    (part, line) => part === 'phase' || part === 'during' || (line !== null && !BEFORE.has(line)),
  );
}

const BEFORE: ReadonlySet<Shortened> = new Set<Shortened>(['naming', 'caution', 'sending']);

function wordsWhere(context: StepContext, wanted: (part: string, line: Shortened | null) => boolean): string {
  return context.texts
    .filter(({ place }) => wanted(place.part, lineAt(place)))
    .map(({ text }) => text)
    .join(' ')
    .toLowerCase();
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
