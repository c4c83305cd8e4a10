import { randomUUID } from 'node:crypto';
import { planRow } from '@/db/queries/classes';
import { planFromTemplate, TEMPLATES } from '@/templates';
import { leadsOn } from '@/core/plan';

/** A template as it is chosen from: what it is for, what it holds, and its shape. */
export interface ShownTemplate {
  readonly id: string;
  readonly title: string;
  readonly says: string;
  readonly targetSeconds: number;
  readonly holds: readonly { readonly section: string; readonly steps: readonly string[] }[];
  readonly shape: string;
}

let shown: readonly ShownTemplate[] | null = null;

/** The templates never change while the server runs; what they hold is worked out once. */
export function templatesShown(): readonly ShownTemplate[] {
  shown ??= TEMPLATES.map((template) => {
    const { id, title, says, targetSeconds } = template;
    const plan = planFromTemplate(randomUUID, template, title);
    const holds = plan.sections.map((section) => ({
      section: section.title,
      steps: section.steps.filter((step) => !leadsOn(step)).map(({ name }) => name),
    }));
    return { id, title, says, targetSeconds, holds, shape: planRow(plan).shape };
  });
  return shown;
}
