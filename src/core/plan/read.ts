import { ValidationError } from 'yup';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { LIMITS } from './limits';
import { migrate } from './migrate';
import type { ClassPlan } from './model';
import { checkRelations } from './relations';
import { planSchema } from './schema';

const ISSUES_AT_MOST = 200;

/**
 * The door for plans: any value in, a valid plan of the current version out, or every problem at its place (at most
 * 200). Nothing is coerced or dropped.
 */
export function readPlan(raw: unknown): Result<ClassPlan, readonly Issue[]> {
  const migrated = migrate(raw);
  if (!migrated.ok) return failed([migrated.problem]);
  const crowded = tooManySteps(migrated.value);
  if (crowded) return failed([crowded]);
  try {
    planSchema.validateSync(migrated.value, { strict: true, abortEarly: false });
  } catch (error) {
    if (error instanceof ValidationError) return failed(issuesOf(error));
    throw error;
  }
  const plan = migrated.value as ClassPlan;
  const issues = checkRelations(plan);
  return issues.length > 0 ? failed(issues.slice(0, ISSUES_AT_MOST)) : ok(plan);
}

/** The same from the text of a file. */
export function readPlanText(text: string): Result<ClassPlan, readonly Issue[]> {
  if (text.length > LIMITS.documentBytes) {
    return failed([{ code: 'too-large', at: '', facts: { megabytes: LIMITS.documentBytes / 1024 / 1024 } }]);
  }
  if (text.trim() === '') return failed([{ code: 'empty-file', at: '', facts: {} }]);
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return failed([{ code: 'not-json', at: '', facts: {} }]);
  }
  return readPlan(raw);
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
  if (sections.length <= LIMITS.sections && steps <= LIMITS.stepsInPlan) return null;
  return {
    code: 'too-many-steps',
    at: 'sections',
    facts: { most: LIMITS.stepsInPlan, found: Math.max(steps, sections.length) },
  };
}

function issuesOf(error: ValidationError): Issue[] {
  const inner = error.inner.length > 0 ? error.inner : [error];
  const issues: Issue[] = [];
  const seen = new Set<string>();
  for (const { path, message } of inner) {
    const [code, ...facts] = message.split(':');
    const key = `${path ?? ''} ${code}`;
    if (seen.has(key)) continue;
    seen.add(key);
    issues.push({ code, at: path ?? '', facts: Object.fromEntries(facts.map((fact, index) => [`f${index}`, fact])) });
    if (issues.length >= ISSUES_AT_MOST) break;
  }
  return issues;
}
