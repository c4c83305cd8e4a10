import { sameDocument } from '@/core/document';
import type { Seconds } from '@/core/units';
import { stepsInOrder } from './order';
import type { ClassPlan, Section } from './schema';
import { contractOf, type Step } from './steps';

/** One thing that differs between two states of a class. Names are those of the later state, or of what is gone. */
export type PlanChange =
  | { readonly code: 'title'; readonly from: string; readonly to: string }
  | { readonly code: 'target' | 'breath'; readonly from: Seconds; readonly to: Seconds }
  | {
      readonly code:
        'about' | 'pace' | 'voice' | 'lengths' | 'keep-on-target' | 'order' | 'style' | 'themes' | 'dismissed';
    }
  | { readonly code: 'section-added' | 'section-removed' | 'section-changed'; readonly name: string }
  | { readonly code: 'step-added' | 'step-removed' | 'left-out' | 'brought-back'; readonly name: string }
  | { readonly code: 'step-moved'; readonly name: string; readonly to: string }
  | { readonly code: 'rounds' | 'time'; readonly name: string; readonly from: number; readonly to: number }
  | { readonly code: 'words' | 'pinned' | 'step-changed'; readonly name: string };

/** What changed from one state of a class to a later one, in the order of the class. */
export function comparePlans(before: ClassPlan, after: ClassPlan): PlanChange[] {
  return [...compareWhole(before, after), ...compareSections(before, after), ...compareSteps(before, after)];
}

function compareWhole(before: ClassPlan, after: ClassPlan): PlanChange[] {
  const changes: PlanChange[] = [];
  if (before.title !== after.title) changes.push({ code: 'title', from: before.title, to: after.title });
  if (before.targetSeconds !== after.targetSeconds) {
    changes.push({ code: 'target', from: before.targetSeconds, to: after.targetSeconds });
  }
  if (before.focus !== after.focus || before.audience !== after.audience) changes.push({ code: 'about' });
  const { breathSeconds } = before.pace;
  if (breathSeconds !== after.pace.breathSeconds) {
    changes.push({ code: 'breath', from: breathSeconds, to: after.pace.breathSeconds });
  }
  if (!sameDocument({ ...before.pace, breathSeconds: 0 }, { ...after.pace, breathSeconds: 0 })) {
    changes.push({ code: 'pace' });
  }
  if (!sameDocument(before.voice, after.voice)) changes.push({ code: 'voice' });
  if (before.keepOnTarget !== after.keepOnTarget) changes.push({ code: 'keep-on-target' });
  if (!sameDocument(before.lengths, after.lengths)) changes.push({ code: 'lengths' });
  if (!sameDocument(before.style, after.style)) changes.push({ code: 'style' });
  if (!sameDocument([before.themes, before.themeId], [after.themes, after.themeId])) changes.push({ code: 'themes' });
  if (!sameDocument(before.dismissed, after.dismissed)) changes.push({ code: 'dismissed' });
  return changes;
}

function compareSections(before: ClassPlan, after: ClassPlan): PlanChange[] {
  const changes: PlanChange[] = [];
  const old = new Map(before.sections.map((section) => [section.id, section]));
  const bare = (section: Section): unknown => ({ ...section, steps: [] });
  for (const section of after.sections) {
    const was = old.get(section.id);
    old.delete(section.id);
    if (!was) changes.push({ code: 'section-added', name: section.title });
    else if (!sameDocument(bare(was), bare(section))) changes.push({ code: 'section-changed', name: section.title });
  }
  for (const section of old.values()) changes.push({ code: 'section-removed', name: section.title });
  return changes;
}

function compareSteps(before: ClassPlan, after: ClassPlan): PlanChange[] {
  const changes: PlanChange[] = [];
  const old = new Map(stepsInOrder(before).map((entry) => [entry.step.id, entry]));
  const kept: string[] = [];
  for (const { step, section } of stepsInOrder(after)) {
    const was = old.get(step.id);
    old.delete(step.id);
    if (!was) {
      changes.push({ code: 'step-added', name: step.name });
      continue;
    }
    kept.push(step.id);
    if (was.section.id !== section.id) changes.push({ code: 'step-moved', name: step.name, to: section.title });
    changes.push(...compareStep(was.step, step));
  }
  for (const { step } of old.values()) changes.push({ code: 'step-removed', name: step.name });
  const stayed = new Set(kept);
  const order = stepsInOrder(before).flatMap(({ step }) => (stayed.has(step.id) ? [step.id] : []));
  const moved = changes.some((change) => change.code === 'step-moved');
  if (!moved && order.some((id, at) => id !== kept[at])) changes.push({ code: 'order' });
  return changes;
}

/** Fields of a step that hold what is said, and which of it when. */
function wordFieldsOf(step: Step): ReadonlySet<string> {
  const contract = contractOf(step);
  return new Set([...Object.keys(contract.changedTexts(step, (text) => text)), ...contract.wordFields]);
}

/** Fields that come with a change of rounds or time, or that only the machine sets. */
function followingFieldsOf(step: Step): ReadonlySet<string> {
  return new Set(['skipped', 'pinned', ...contractOf(step).amountFields]);
}

function compareStep(before: Step, after: Step): PlanChange[] {
  if (sameDocument(before, after)) return [];
  const { name } = after;
  const changes: PlanChange[] = [];
  if (before.skipped !== after.skipped) changes.push({ code: after.skipped ? 'left-out' : 'brought-back', name });
  if ('rounds' in before && 'rounds' in after && before.rounds !== after.rounds) {
    changes.push({ code: 'rounds', name, from: before.rounds, to: after.rounds });
  }
  if ('seconds' in before && 'seconds' in after && before.seconds !== after.seconds) {
    changes.push({ code: 'time', name, from: before.seconds, to: after.seconds });
  }
  const was: Readonly<Record<string, unknown>> = { ...before };
  const is: Readonly<Record<string, unknown>> = { ...after };
  const words = wordFieldsOf(after);
  const following = followingFieldsOf(after);
  const fields = Object.keys(is).filter((field) => !sameDocument(was[field], is[field]));
  if (fields.some((field) => words.has(field))) changes.push({ code: 'words', name });
  if (before.pinned !== after.pinned && before.skipped === after.skipped) changes.push({ code: 'pinned', name });
  const others = fields.some((field) => !words.has(field) && !following.has(field));
  const bounds = fields.some((field) => following.has(field)) && changes.length === 0;
  if (others || bounds) changes.push({ code: 'step-changed', name });
  return changes;
}
