import { ISSUES_AT_MOST, judge, readJson } from '@/core/document';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { LIMITS } from './limits';
import { migrate, PLAN_VERSION } from './migrate';
import { checkRelations } from './relations';
import { planSchema, type ClassPlan } from './schema';

/**
 * The door for plans: any value in, a valid plan of the current version out, or every problem at its place (at most
 * 20). Nothing is coerced or dropped.
 */
export function readPlan(raw: unknown): Result<ClassPlan, readonly Issue[]> {
  const migrated = migrate(raw);
  if (!migrated.ok) return failed([migrated.problem]);
  const crowded = tooManySteps(migrated.value);
  if (crowded) return failed([crowded]);
  const judged = judge(migrated.value, planSchema);
  if (!judged.ok) return judged;
  const plan = judged.value as ClassPlan;
  const issues = checkRelations(plan);
  return issues.length > 0 ? failed(issues.slice(0, ISSUES_AT_MOST)) : ok(plan);
}

/** The same from the text of a file. */
export function readPlanText(text: string): Result<ClassPlan, readonly Issue[]> {
  const json = readJson(text, LIMITS.documentBytes);
  return json.ok ? readPlan(json.value) : failed([json.problem]);
}

/** A plan that was judged when it was stored, brought to the current version; for documents of our own database. */
export function upToDate(stored: ClassPlan): ClassPlan {
  if (stored.version === PLAN_VERSION) return stored;
  const migrated = migrate(stored);
  return migrated.ok ? (migrated.value as ClassPlan) : stored;
}

/** The plan as the text of a file, to be read back without loss. */
export function writePlanText(plan: ClassPlan): string {
  return `${JSON.stringify(plan, null, 2)}\n`;
}

/** A look before the schema, so that a list of a million steps is refused at once. */
function tooManySteps(document: unknown): Issue | null {
  const sections = (document as { sections?: unknown }).sections;
  if (!Array.isArray(sections)) return null;
  const steps = sections.reduce<number>((total, section) => {
    const inside = (section as { steps?: unknown } | null)?.steps;
    return total + (Array.isArray(inside) ? inside.length : 0);
  }, 0);
  const tooMany = (code: string, found: number, max: number): Issue => ({
    code,
    at: 'sections',
    facts: { max, found },
  });
  if (steps > LIMITS.stepsInPlan) return tooMany('too-many-steps', steps, LIMITS.stepsInPlan);
  return sections.length > LIMITS.sections ? tooMany('too-many-sections', sections.length, LIMITS.sections) : null;
}
