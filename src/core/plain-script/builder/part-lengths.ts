import type { NewId } from '@/core/document';
import {
  isMovement,
  isSilence,
  makeMovement,
  roundsAsked,
  stepMilliseconds,
  stepPaces,
  type ClassPlan,
  type Section,
  type Step,
  type TalkStep,
} from '@/core/plan';
import { toSeconds, type Seconds } from '@/core/units';
import { secondsFrom, type Counts } from '../model/model';
import { counted, finished, silenceOf, talkOfLine } from './steps-of-lines';
import { isTalkedThrough, isTold, kindOfPart } from '../line-kinds/talks';

/*
 * How long a part of the class is to last, where its heading says so: "Warm up (8 mins)". What is in it and has no amount
 * of its own shares what is left; a part with nothing to do in it is one step as long. And how often, where it says that
 * of all below it: "Eight pieces (x6 each)".
 */

/** Less is no time for a step: then what is in the part stays as it is. */
const LEAST: Seconds = 10;
/** What takes so many times as long as the heading says does not all stand under it. */
const OF_ANOTHER = 2;

/** A part as it was written. */
export interface WrittenPart {
  /** Its steps not yet given the breath that nothing was written of. */
  readonly section: Section;
  /** What its heading says: how long it lasts, or how often each of its movements is done. */
  readonly counts: Counts;
}

/**
 * The parts with their steps as long as their headings say.
 *
 * @param plan For its breath and voice; its sections are those of `parts`.
 * @param uncounted The ids of movements and silences that no amount was written of.
 */
export function partsAsLong(
  newId: NewId,
  plan: ClassPlan,
  parts: readonly WrittenPart[],
  uncounted: ReadonlySet<string>,
): Section[] {
  const paces = stepPaces({ ...plan, sections: parts.map(({ section }) => section) });
  const lasting = (step: Step): Seconds =>
    toSeconds(stepMilliseconds(finished(newId, step), paces.get(step.id), plan.pace.breathSeconds, plan.voice));
  return parts.map(({ section, counts }) => {
    if (counts.rounds !== undefined)
      return {
        ...section,
        steps: section.steps.map((step) =>
          uncounted.has(step.id) && isMovement(step) ? counted(newId, step, counts, plan.pace) : step,
        ),
      };
    const lastsSeconds = counts.seconds?.[0];
    if (lastsSeconds === undefined) return section;
    const open = section.steps.filter((step) => uncounted.has(step.id));
    const taken = section.steps.reduce((sum, step) => sum + (uncounted.has(step.id) ? 0 : lasting(step)), 0);
    const left = lastsSeconds - taken;
    const alone = (seconds: Seconds): Step => stepOfPart(newId, section.title, seconds, plan);
    if (taken > OF_ANOTHER * lastsSeconds)
      return isTold(section.title) ? { ...section, steps: [alone(lastsSeconds), ...section.steps] } : section;
    const share = open.length > 0 ? left / open.length : left;
    if (share < LEAST) return section;
    if (open.length > 0)
      return {
        ...section,
        steps: section.steps.map((step) => (uncounted.has(step.id) ? asLong(newId, step, share, lasting, plan) : step)),
      };
    // What is said in a part that is told has its time.
    const [only] = section.steps;
    if (only?.kind === 'talk' && section.steps.length === 1 && !only.timed && isTalk(section.title, only))
      return { ...section, steps: [{ ...talkOfLine(newId, section.title, counts), id: only.id, lines: only.lines }] };
    const done = section.steps.some((step) => isMovement(step) || isSilence(step));
    return done ? section : { ...section, steps: [...section.steps, alone(Math.round(left))] };
  });
}

/** Whether a part is the talk in it: by its name, or a quiet one in which all are asked. */
function isTalk(title: string, { lines }: TalkStep): boolean {
  const kind = kindOfPart(title);
  return kind === 'talk' || (kind === 'silence' && lines.some(({ text }) => isTalkedThrough(text)));
}

/** A part with nothing else in it, as a step. */
function stepOfPart(newId: NewId, title: string, seconds: Seconds, plan: ClassPlan): Step {
  const counts = { seconds: secondsFrom([seconds, seconds], 1) };
  const kind = kindOfPart(title);
  if (kind === 'talk') return talkOfLine(newId, title, counts);
  if (kind === 'silence') return silenceOf(newId, title, counts);
  return counted(newId, makeMovement(newId, title, { pattern: [] }), counts, plan.pace);
}

/** A movement or silence that takes about so long: in rounds where its breath was written, else by the clock. */
function asLong(newId: NewId, step: Step, share: Seconds, lasting: (step: Step) => Seconds, { pace }: ClassPlan): Step {
  const rounded = Math.round(share / 5) * 5;
  const [seconds, minSeconds, maxSeconds] = secondsFrom([rounded, rounded], 1);
  if (isSilence(step)) return { ...step, seconds, preferredSeconds: seconds, minSeconds, maxSeconds };
  if (!isMovement(step)) return step;
  if (step.pattern.length === 0) return counted(newId, step, { seconds: [seconds, minSeconds, maxSeconds] }, pace);
  const once = lasting(step) / step.rounds;
  return { ...step, ...roundsAsked(step, Math.max(1, Math.round(share / once))) };
}
