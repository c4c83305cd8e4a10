import { isSilence, performedSteps, type ClassPlan } from '@/core/plan';
import { itemAt, type Seconds } from '@/core/units';
import type { TimedPhase, TimedStep, Timeline } from './model';

/** What fills a stretch of a class, as far as it is drawn small. */
export const SHAPE_KINDS = ['spoken', 'breath', 'own', 'silence'] as const;
export type ShapeKind = (typeof SHAPE_KINDS)[number];

/** One stretch of a class drawn small: what fills it, how long it is, and how many breaths it holds. */
export interface ShapeStretch {
  readonly kind: ShapeKind;
  readonly seconds: Seconds;
  readonly breaths: number;
  /** Whether a section begins with it. */
  readonly opens: boolean;
}

const LETTER: Readonly<Record<ShapeKind, string>> = { spoken: 's', breath: 'b', own: 'o', silence: 'q' };
const KIND_OF = new Map(SHAPE_KINDS.map((kind) => [LETTER[kind], kind]));
/** Stretches that are kept of a class; what follows is drawn as one. */
const STRETCHES_AT_MOST = 400;

/** A class as the stretches of its small drawing, in order. */
export function shapeOf(plan: ClassPlan, timeline: Timeline): ShapeStretch[] {
  const silences = new Set(performedSteps(plan).flatMap(({ step }) => (isSilence(step) ? [step.id] : [])));
  const opens = new Set(timeline.sections.map(({ startSeconds }) => startSeconds));
  const stretches: ShapeStretch[] = [];
  for (const step of timeline.steps) {
    const opening = opens.delete(step.startSeconds);
    for (const [at, stretch] of stretchesOf(step, timeline, silences.has(step.step)).entries()) {
      push(stretches, { ...stretch, opens: opening && at === 0 });
    }
  }
  return stretches;
}

function stretchesOf(step: TimedStep, timeline: Timeline, silent: boolean): Omit<ShapeStretch, 'opens'>[] {
  const length = step.endSeconds - step.startSeconds;
  if (silent) return [{ kind: 'silence', seconds: length, breaths: 0 }];
  const parts: Omit<ShapeStretch, 'opens'>[] = [];
  const phases = timeline.phases.slice(...step.phaseRange);
  for (const phase of phases) {
    const kind = step.rounds === 0 && phase.kind === 'hold' ? 'own' : kindOf(phase);
    const seconds = phase.endSeconds - phase.startSeconds;
    const breaths = phase.kind === 'inhale' ? 1 : 0;
    const last = parts.at(-1);
    if (last?.kind === kind) {
      parts[parts.length - 1] = { kind, seconds: last.seconds + seconds, breaths: last.breaths + breaths };
    } else parts.push({ kind, seconds, breaths });
  }
  const told = parts.reduce((sum, part) => sum + part.seconds, 0);
  if (length - told > 0.5) parts.push({ kind: 'spoken', seconds: length - told, breaths: 0 });
  return parts;
}

function kindOf({ kind }: TimedPhase): ShapeKind {
  if (kind === 'free') return 'own';
  return kind === 'spoken' ? 'spoken' : 'breath';
}

/** Adds a stretch, joined to the one before where both are the same. */
function push(stretches: ShapeStretch[], next: ShapeStretch): void {
  const last = stretches.at(-1);
  const joins = last && ((last.kind === next.kind && !next.opens) || stretches.length >= STRETCHES_AT_MOST);
  if (!joins) stretches.push(next);
  else {
    stretches[stretches.length - 1] = {
      ...last,
      seconds: last.seconds + next.seconds,
      breaths: last.breaths + next.breaths,
    };
  }
}

/** The stretches as one short line of text: `|s38 b54x6 q60`, a bar where a section begins, seconds rounded. */
export function packShape(stretches: readonly ShapeStretch[]): string {
  return stretches
    .map(({ kind, seconds, breaths, opens }) => {
      const counted = breaths > 0 ? `x${breaths}` : '';
      return `${opens ? '|' : ''}${LETTER[kind]}${Math.round(seconds)}${counted}`;
    })
    .join(' ');
}

/** What `packShape` wrote; what cannot be read is left out. */
export function unpackShape(text: string): ShapeStretch[] {
  const stretches: ShapeStretch[] = [];
  for (const part of text.split(' ')) {
    const found = /^(\|?)([sboq])(\d{1,6})(?:x(\d{1,5}))?$/.exec(part);
    const kind = found && KIND_OF.get(itemAt(found, 2));
    if (!found || !kind) continue;
    stretches.push({ kind, seconds: Number(found[3]), breaths: Number(found[4] ?? 0), opens: found[1] === '|' });
  }
  return stretches;
}
