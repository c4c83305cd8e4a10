import { randomUUID } from 'node:crypto';
import { UUID, type ClassResponse, type NewClassRequest, type ShelfClass } from '@/api/classes';
import { copyPlan, emptyPlan, readPlan, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { findClass, insertClass, listClasses, setClassRemoved, updateClass, type NewClass } from '@/db/queries/classes';
import { planFromTemplate, TEMPLATES } from '@/templates';
import { Refusal } from './refusal';
import type { Asking } from './studio';

/** The classes on the studio's shelf, oldest first. */
export async function shelf({ db, studio }: Asking): Promise<ShelfClass[]> {
  const listed = await listClasses(db, studio.id);
  return listed.map((entry) => ({ ...entry, updatedAt: entry.updatedAt.toISOString() }));
}

/** One class. @throws Refusal 404. */
export async function openClass({ db, studio }: Asking, id: string): Promise<ClassResponse> {
  const found = UUID.test(id) ? await findClass(db, studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-class');
  return found;
}

/** Judges a plan and works out the columns beside it. @throws Refusal 422 with every problem at its place. */
export function judged(raw: unknown): NewClass {
  const plan = readPlan(raw);
  if (!plan.ok) throw new Refusal(422, 'bad-plan', plan.problem);
  return { plan: plan.value, runtimeSeconds: expandPlan(plan.value).runtimeSeconds };
}

/** Adds a class: from nothing, from a template, as a copy of another (with ids of its own), or from a plan as it is. */
export async function addClass(who: Asking, request: NewClassRequest): Promise<ClassResponse> {
  return insertClass(who.db, who.studio.id, judged(await planFor(who, request)));
}

/** The plan under the title typed, where one was. */
function titled(plan: unknown, title: string | undefined): unknown {
  return title === undefined || typeof plan !== 'object' || plan === null ? plan : { ...plan, title };
}

async function planFor(who: Asking, request: NewClassRequest): Promise<unknown> {
  if (request.from === 'plan') return titled(request.plan, request.title);
  if (request.from === 'template') {
    const template = TEMPLATES.find((one) => one.id === request.templateId);
    if (!template) throw new Refusal(422, 'bad-request', [{ code: 'bad-value', at: 'templateId', facts: {} }]);
    return planFromTemplate(randomUUID, template, request.title ?? template.title);
  }
  if (request.from === 'nothing') {
    return emptyPlan(
      randomUUID,
      request.title ?? 'New class',
      request.targetSeconds ?? 600,
      request.breathSeconds ?? 9,
    );
  }
  const { plan } = await openClass(who, request.classId ?? '');
  const copy: ClassPlan = copyPlan(randomUUID, plan);
  return { ...copy, title: request.title ?? `${plan.title.slice(0, 190)}, again` };
}

/** Saves a plan on top of the revision it started from. @throws Refusal 409 with what is stored when that is newer. */
export async function saveClass(
  who: Asking,
  id: string,
  baseRevision: number,
  raw: unknown,
): Promise<{ revision: number }> {
  const saved = judged(raw);
  await openClass(who, id);
  const stored = await updateClass(who.db, who.studio.id, id, baseRevision, saved);
  if (stored) return { revision: stored.revision };
  const { revision, plan } = await openClass(who, id);
  throw new Refusal(409, 'newer-revision', undefined, { current: { revision, plan } });
}

/** Takes a class off the shelf, or puts it back. @throws Refusal 404. */
export async function shelve({ db, studio }: Asking, id: string, removed: boolean): Promise<void> {
  const done = UUID.test(id) && (await setClassRemoved(db, studio.id, id, removed));
  if (!done) throw new Refusal(404, 'no-class');
}
