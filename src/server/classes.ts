import { randomUUID } from 'node:crypto';
import type { ClassesPage, ClassResponse, Listing } from '@/api/classes';
import type { Saved } from '@/api/saved';
import { UUID } from '@/api/saves';
import { LRUCache } from 'lru-cache';
import { emptyPlan } from '@/core/plan';
import {
  fillShapes,
  findClass,
  findListing,
  findPlanText,
  hasClass,
  insertClass,
  listClasses,
  revisionOfClass,
  setListing,
  updateClass,
  type PlanRow,
} from '@/db/queries/classes';
import { setRemoved } from '@/db/queries/bin';
import type { SaveBase } from '@/db/queries/save-base';
import { planFromTemplate, TEMPLATES } from '@/templates';
import type { Bodies } from './judging/bodies';
import { judgePlan } from './judging/documents';
import { run } from './judging/run';
import { Refusal } from './refusal';
import type { Asking } from './studio';

/** Classes in one part of the list: more than a screen shows. */
const CLASSES_A_PAGE = 60;
/** Of the parts that a page asks for after it is shown. */
export const CLASSES_LATER = 500;

/** A part of the studio's classes in the order of the list: series first, then those of no series, oldest first. */
export async function classList(
  { db, studio }: Asking,
  after?: string,
  max: number = CLASSES_A_PAGE,
): Promise<ClassesPage> {
  const known = after !== undefined && UUID.test(after) ? after : undefined;
  const listed = await listClasses(db, studio.id, { after: known, max: max + 1 });
  const shown = listed.slice(0, max);
  const filled = await fillShapes(
    db,
    studio.id,
    shown.flatMap(({ id, shape }) => (shape === null ? [id] : [])),
  );
  const classes = shown.map(({ updatedAt, about, shape, ...entry }) => ({
    ...entry,
    about: about ?? filled.get(entry.id)?.about ?? '',
    shape: shape ?? filled.get(entry.id)?.shape ?? '',
    updatedAt: updatedAt.toISOString(),
  }));
  return { classes, more: listed.length > max };
}

/** Tags and live dates of a class. @throws Refusal 404. */
export async function listingOf({ db, studio }: Asking, id: string): Promise<Listing> {
  const found = UUID.test(id) ? await findListing(db, studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-class');
  return found;
}

/** Sets tags and live dates. @throws Refusal 404, or 409 with what stands when it was changed meanwhile. */
export async function saveListing({ db, studio }: Asking, id: string, was: Listing, next: Listing): Promise<Listing> {
  const tidy = {
    tags: [...new Set(next.tags.map((one) => one.trim()))],
    liveDates: [...new Set(next.liveDates)].sort(),
  };
  const set = UUID.test(id) ? await setListing(db, studio.id, id, was, tidy) : null;
  if (!set) throw new Refusal(404, 'no-class');
  if (!set.done) throw new Refusal(409, 'newer-revision', undefined, { current: set.current });
  return set.current;
}

/** One class. @throws Refusal 404. */
export async function openClass({ db, studio }: Asking, id: string): Promise<ClassResponse> {
  const found = UUID.test(id) ? await findClass(db, studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-class');
  return found;
}

/** A saved revision never changes, so what it is as JSON is kept for a while: characters kept in all. */
const KEPT_CHARACTERS = 32 * 1024 * 1024;
const kept = new LRUCache<string, string>({ maxSize: KEPT_CHARACTERS, sizeCalculation: (json) => json.length + 1 });

/** One class as the JSON of a `ClassResponse`. @throws Refusal 404. */
export async function classJson({ db, studio }: Asking, id: string): Promise<string> {
  const revision = UUID.test(id) ? await revisionOfClass(db, studio.id, id) : null;
  if (revision === null) throw new Refusal(404, 'no-class');
  return keptClassJson({ db, studio }, id, revision);
}

/** The same of a class that is known to be there, in that revision or a later one. @throws Refusal 404. */
export async function keptClassJson({ db, studio }: Asking, id: string, revision: number): Promise<string> {
  const known = kept.get(`${studio.id} ${id} ${revision}`);
  if (known !== undefined) return known;
  const found = await openClass({ db, studio }, id);
  const json = JSON.stringify(found);
  kept.set(`${studio.id} ${id} ${found.revision}`, json);
  return json;
}

/** @throws Refusal 404 where there is no such class. */
export async function needClass({ db, studio }: Asking, id: string): Promise<void> {
  if (!UUID.test(id) || !(await hasClass(db, studio.id, id))) throw new Refusal(404, 'no-class');
}

/** A plan of our own making as it is stored. @throws Refusal 422 with every problem at its place. */
export function judgedPlan(raw: unknown): PlanRow {
  const judged = judgePlan(raw);
  if (!judged.ok) throw new Refusal(422, 'bad-plan', judged.problem);
  return judged.value;
}

/** Adds a class: from nothing, from a template, as a copy of another (with ids of its own), or from a plan as it is. */
export async function addClass(who: Asking, request: Bodies['new-class']): Promise<ClassResponse> {
  return insertClass(who.db, who.studio.id, await planFor(who, request));
}

async function planFor(who: Asking, request: Bodies['new-class']): Promise<PlanRow> {
  if (request.from === 'plan' && request.plan) return request.plan;
  if (request.from === 'class') return copyOfClass(who, request.classId ?? '', (title) => request.title ?? title);
  if (request.from === 'template') {
    const template = TEMPLATES.find((one) => one.id === request.templateId);
    if (!template) throw new Refusal(422, 'bad-request', [{ code: 'bad-value', at: 'templateId', facts: {} }]);
    return judgedPlan(planFromTemplate(randomUUID, template, request.title ?? template.title));
  }
  const { title = 'New class', targetSeconds = 600, breathSeconds = 9, sections } = request;
  return judgedPlan(emptyPlan(randomUUID, title, targetSeconds, breathSeconds, sections));
}

/** A copy of a class under a title made from its own. @throws Refusal 404. */
export async function copyOfClass(
  who: Asking,
  id: string,
  titleFrom: (again: string, title: string) => string,
): Promise<PlanRow> {
  const found = UUID.test(id) ? await findPlanText(who.db, who.studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-class');
  const { planText, title } = found;
  return run('copy', { planText, title: titleFrom(`${title.slice(0, 190)}, again`, title) }, planText.length);
}

/** Saves a plan on top of what it builds on. @throws Refusal 404, or 409 with what is stored when that is newer. */
export async function saveClass(who: Asking, id: string, base: SaveBase, plan: PlanRow): Promise<Saved> {
  await needClass(who, id);
  const revision = await updateClass(who.db, who.studio.id, id, base, plan);
  if (revision !== null) return { revision };
  const stored = await openClass(who, id);
  throw new Refusal(409, 'newer-revision', undefined, { current: { revision: stored.revision, plan: stored.plan } });
}

/** Puts a class into the bin, or takes it out. @throws Refusal 404. */
export async function binClass({ db, studio }: Asking, id: string, removed: boolean): Promise<void> {
  const done = UUID.test(id) && (await setRemoved(db, 'class', studio.id, id, removed));
  if (!done) throw new Refusal(404, 'no-class');
}
