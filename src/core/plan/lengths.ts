import { planAfter } from './edit';
import { skipEdit } from './skips';
import { LIMITS } from './limits';
import { stepsInOrder } from './order';
import type { ClassPlan, Length, LengthPin } from './schema';
import { contractOf, type Step } from './steps';

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
    if (pins.get(step.id)?.skipped !== true) return now;
    return planAfter(now, skipEdit(now, step.id, true));
  }, plan);
}

function pinned(step: Step, pin: LengthPin): Step {
  const wish = contractOf(step).wish(step);
  const asked = wish?.what === 'rounds' ? pin.rounds : wish?.what === 'time' ? pin.seconds : null;
  if (wish && asked !== null) return { ...step, [wish.fields.value]: asked, pinned: true, skipped: false };
  // It stays in; its rounds and time are left to the fit.
  const staysIn = pin.skipped === false && pin.rounds === null && pin.seconds === null;
  return staysIn ? { ...step, skipped: false, priority: 'always' } : step;
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
    const pin = { stepId, skipped: null, rounds: null, seconds: null, ...before, ...change };
    const empty = pin.skipped === null && pin.rounds === null && pin.seconds === null;
    const others = length.pins.filter((one) => one.stepId !== stepId);
    return { ...length, pins: empty ? others : [...others, pin] };
  });
}
