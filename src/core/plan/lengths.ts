import { planAfter } from './edit';
import { leaveOutEdit } from './leave-out';
import { LIMITS } from './limits';
import { stepsInOrder, type ClassPlan, type Length, type LengthPin, type Step } from './model';

/**
 * A class at one of its lengths before it is fitted: the source's steps and wishes, the length's target and pins. It
 * has no lengths of its own. Pins of steps that are gone are passed over.
 */
export function planAtLength(source: ClassPlan, length: Length): ClassPlan {
  const pins = new Map(length.pins.map((pin) => [pin.stepId, pin]));
  const { breathSeconds } = length;
  const sections = source.sections.map((section) => ({
    ...section,
    steps: section.steps.map((step) => {
      const pin = pins.get(step.id);
      return pin ? pinned(step, pin) : step;
    }),
  }));
  const plan: ClassPlan = {
    ...source,
    title: `${source.title.slice(0, LIMITS.titleCharacters - length.name.length - 2)}, ${length.name}`,
    targetSeconds: length.targetSeconds,
    pace: breathSeconds === null ? source.pace : { ...source.pace, breathSeconds, pinned: true },
    keepOnTarget: false,
    lengths: [],
    sections,
  };
  return stepsInOrder(plan).reduce((now, { step }) => {
    if (pins.get(step.id)?.leftOut !== true) return now;
    return planAfter(now, leaveOutEdit(now, step.id, true));
  }, plan);
}

function pinned(step: Step, pin: LengthPin): Step {
  if (step.kind === 'movement' && step.lead === 'breath' && pin.rounds !== null) {
    return { ...step, rounds: pin.rounds, pinned: true, leftOut: false };
  }
  if (pin.leftOut === false && pin.rounds === null && pin.seconds === null) {
    // It stays in; its rounds and time are left to the fit.
    return { ...step, leftOut: false, priority: 'always' };
  }
  const timed = step.kind === 'quiet' || (step.kind === 'movement' && step.lead !== 'breath');
  if (timed && pin.seconds !== null) return { ...step, seconds: pin.seconds, pinned: true, leftOut: false };
  return step;
}

/** The lengths of a class with one pin set, changed or taken out (all its values `null`). */
export function withLengthPin(
  lengths: readonly Length[],
  lengthId: string,
  stepId: string,
  change: Partial<Omit<LengthPin, 'stepId'>>,
): readonly Length[] {
  return lengths.map((length) => {
    if (length.id !== lengthId) return length;
    const before = length.pins.find((pin) => pin.stepId === stepId);
    const pin = { stepId, leftOut: null, rounds: null, seconds: null, ...before, ...change };
    const empty = pin.leftOut === null && pin.rounds === null && pin.seconds === null;
    const others = length.pins.filter((one) => one.stepId !== stepId);
    return { ...length, pins: empty ? others : [...others, pin] };
  });
}
