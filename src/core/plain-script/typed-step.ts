import { itemAt } from '@/core/units';
import type { NewId } from '@/core/document';
import {
  isMovement,
  isSilence,
  makeMovement,
  makeStep,
  STEP_KINDS,
  stepsInOrder,
  type MovementStep,
  type Step,
  type StepKind,
} from '@/core/plan';
import type { SectionRole } from '@/core/movement';
import type { Counts } from './model/model';
import { readScript } from './read';
import { finished } from './builder/steps-of-lines';

/** One line typed where a step is added: its name, and the amounts that stood with it as in a pasted script. */
export interface TypedStep {
  readonly name: string;
  readonly counts: Counts;
  /** The step as a script would read it; `null` where nothing but a name was typed. */
  readonly step: Step | null;
}

/** Reads "Turning the lighthouse, 3 each side" or "Stand quietly 2 min"; an amount alone is a name. */
export function readTypedStep(newId: NewId, typed: string): TypedStep {
  const text = typed.replace(/\s+/g, ' ').trim();
  const read = readScript(newId, `# Main set\n- ${text}`);
  const line = read.lines.find(({ kind }) => STEP_KINDS.some((one) => one === kind));
  const steps = stepsInOrder(read.plan);
  const counted = line && Object.keys(line.counts).length > 0;
  if (!counted || steps.length !== 1) return { name: text, counts: {}, step: null };
  const { step } = itemAt(steps, 0);
  return { name: step.name, counts: line.counts, step };
}

/** A step of a kind with what was typed: its name, and its amounts where that kind has them. */
export function stepTyped(newId: NewId, kind: StepKind, { name, counts, step }: TypedStep): Step {
  if (step?.kind === kind) return step;
  const made = makeStep(newId, kind, name);
  const [seconds, min, max] = counts.seconds ?? [];
  if (!isSilence(made) || seconds === undefined || min === undefined || max === undefined) return made;
  return { ...made, seconds, preferredSeconds: seconds, minSeconds: min, maxSeconds: max };
}

/** What is of the step itself, and never of a movement that is taken for it. */
const OWN: ReadonlySet<string> = new Set([
  'id',
  'kind',
  'name',
  'source',
  'moments',
  'sideChangeLine',
  'wayChangeLine',
]);
const ROUNDS = ['rounds', 'preferredRounds', 'minRounds', 'maxRounds'] as const;
const TIMES = ['pacedBy', 'seconds', 'preferredSeconds', 'minSeconds', 'maxSeconds'] as const;

/** A movement from the library with what a script writes of it: its amounts, its breath, its words. Those win. */
export function withWritten(taken: MovementStep, said: Step | null, counts: Counts): MovementStep {
  if (!isMovement(said)) return taken;
  const blank = finished(
    () => '',
    makeMovement(() => '', said.name, { pattern: [] }),
  );
  if (!isMovement(blank)) return taken;
  const isWritten = (key: keyof MovementStep): boolean => plainly(said[key]) !== plainly(blank[key]);
  const keys = new Set((Object.keys(said) as (keyof MovementStep)[]).filter((key) => !OWN.has(key) && isWritten(key)));
  // A count is written also where it is the usual one; what belongs together stays so.
  if (counts.rounds !== undefined || ROUNDS.some((key) => keys.has(key))) ROUNDS.forEach((key) => keys.add(key));
  if (TIMES.some((key) => keys.has(key))) TIMES.forEach((key) => keys.add(key));
  // In a block the block is on both sides, and no movement in it by itself.
  if (counts.sides !== undefined || keys.has('blockId')) keys.add('sides');
  if (counts.startSide !== undefined) keys.add('startSide');
  const written = Object.fromEntries([...keys].map((key) => [key, said[key]])) as Partial<MovementStep>;
  const moments = Object.fromEntries(Object.entries(said.moments).filter(([, text]) => text !== ''));
  return { ...taken, ...written, moments: { ...taken.moments, ...moments } };
}

/** A value without the ids in it, as a text. */
function plainly(value: unknown): string {
  return JSON.stringify(value, (key, inner: unknown) => (key === 'id' ? undefined : inner)) ?? '';
}

const STILL = /\b(?:silence|stillness|quiet(?:ly)?|be still|rest)\b/i;
const CHANGE = /^(?:feet|step|change|turn) /i;

/** The kinds of step in the order in which a name typed under a section most likely means them. */
export function likelyKinds(role: SectionRole, { name, step }: TypedStep): readonly StepKind[] {
  const first: StepKind =
    step?.kind ??
    (STILL.test(name) ? 'silence' : CHANGE.test(name) ? 'transition' : role === 'welcome' ? 'talk' : 'movement');
  return [first, ...STEP_KINDS.filter((kind) => kind !== first)];
}
