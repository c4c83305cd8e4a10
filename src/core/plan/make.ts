import { PLAN_FORMAT, PLAN_VERSION } from './migrate';
import { itemAt } from '@/core/units';
import type { NewId } from '@/core/document';
import type { SectionRole } from '@/core/movement';
import { SECTION_TITLES, USUAL_STYLE } from '@/core/words';
import type { FitWay } from './fit-ways';
import { stepsInOrder } from './order';
import type { ClassPlan, Length, Section } from './schema';
import { contractOf, type Step } from './steps';

/** The sections that most classes have (common practice, no published source). */
export const USUAL_SECTIONS: readonly SectionRole[] = ['welcome', 'loosening', 'main', 'closing'];

/** A plan with nothing in it but empty sections, one main section unless others are named. */
export function emptyPlan(
  newId: NewId,
  title: string,
  targetSeconds: number,
  breathSeconds = 9,
  roles: readonly SectionRole[] = ['main'],
): ClassPlan {
  return {
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    title,
    focus: '',
    audience: '',
    targetSeconds,
    landingSeconds: null,
    pace: {
      breathSeconds,
      preferredBreathSeconds: breathSeconds,
      minBreathSeconds: Math.max(2, Math.round(breathSeconds * 8) / 10),
      maxBreathSeconds: Math.min(40, Math.round(breathSeconds * 13) / 10),
      closingRatio: 1,
      inhaleShare: 0.45,
      closingInhaleShare: 0.45,
      curve: 'straight',
      pinned: false,
    },
    voice: { syllablesPerMinute: 190, leadSeconds: 0.8, pauseSeconds: 1 },
    keepOnTarget: false,
    keepWordsFitted: false,
    lengths: [],
    style: USUAL_STYLE,
    silenceShare: 0.3,
    themes: [],
    themeId: null,
    dismissed: [],
    sections: roles.map((role) => makeSection(newId, role)),
  };
}

export function makeSection(newId: NewId, role: SectionRole, steps: readonly Step[] = []): Section {
  return { id: newId(), role, title: SECTION_TITLES[role], paceMultiplier: null, inhaleShare: null, steps };
}

/** Another length of a class, with nothing pinned. */
export function makeLength(newId: NewId, name: string, targetSeconds: number, way: FitWay = 'balanced'): Length {
  return { id: newId(), name, targetSeconds, way, breathSeconds: null, pins: [] };
}

/** A copy of a step with new ids throughout. */
export function copyStep(newId: NewId, step: Step): Step {
  return { ...contractOf(step).withNewIds(newId, step), id: newId() };
}

/** A copy of a section with new ids throughout. */
export function copySection(newId: NewId, section: Section): Section {
  return { ...section, id: newId(), steps: section.steps.map((step) => copyStep(newId, step)) };
}

/** A copy of a whole plan with new ids throughout; the pins of its lengths follow their steps. */
export function copyPlan(newId: NewId, plan: ClassPlan): ClassPlan {
  const sections = plan.sections.map((section) => copySection(newId, section));
  const before = stepsInOrder(plan);
  const after = stepsInOrder({ ...plan, sections });
  const renamed = new Map(before.map(({ step }, index) => [step.id, itemAt(after, index).step.id]));
  const lengths = plan.lengths.map((length) => ({
    ...length,
    id: newId(),
    pins: length.pins.flatMap((pin) => {
      const stepId = renamed.get(pin.stepId);
      return stepId === undefined ? [] : [{ ...pin, stepId }];
    }),
  }));
  const dismissed = plan.dismissed.flatMap((one) => {
    if (one.stepId === null) return [one];
    const stepId = renamed.get(one.stepId);
    return stepId === undefined ? [] : [{ ...one, stepId }];
  });
  return { ...plan, sections, lengths, dismissed };
}
