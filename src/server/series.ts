import { randomUUID } from 'node:crypto';
import { UUID, type ClassResponse } from '@/api/classes';
import type { ShelfSeries } from '@/api/series';
import { copyPlan, emptyPlan, LIMITS, type ClassPlan } from '@/core/plan';
import {
  appendToSeries,
  findSeries,
  insertSeries,
  lastOfSeries,
  listSeries,
  removeSeries,
  updateSeries,
} from '@/db/queries/series';
import { addClass, openClass } from './classes';
import { Refusal } from './refusal';
import type { Asking } from './studio';

/** The studio's series, oldest first. */
export async function seriesOnShelf({ db, studio }: Asking): Promise<ShelfSeries[]> {
  return listSeries(db, studio.id);
}

export async function addSeries({ db, studio }: Asking, title: string): Promise<ShelfSeries> {
  return insertSeries(db, studio.id, title);
}

/** Sets title, classes and their order. @throws Refusal 404. */
export async function saveSeries(
  { db, studio }: Asking,
  id: string,
  title: string,
  classIds: readonly string[],
): Promise<void> {
  const done = UUID.test(id) && (await updateSeries(db, studio.id, id, title, [...new Set(classIds)]));
  if (!done) throw new Refusal(404, 'no-series');
}

/** Takes a series away; its classes stay on the shelf. @throws Refusal 404. */
export async function dropSeries({ db, studio }: Asking, id: string): Promise<void> {
  const done = UUID.test(id) && (await removeSeries(db, studio.id, id));
  if (!done) throw new Refusal(404, 'no-series');
}

/** A new class at the end of a series, started from its last one. @throws Refusal 404. */
export async function nextInSeries(who: Asking, id: string): Promise<ClassResponse> {
  const { db, studio } = who;
  const series = UUID.test(id) ? await findSeries(db, studio.id, id) : null;
  if (!series) throw new Refusal(404, 'no-series');
  const last = await lastOfSeries(db, studio.id, id);
  const plan = last
    ? continued((await openClass(who, last.id)).plan)
    : emptyPlan(randomUUID, `${series.title.slice(0, 190)} 1`, 600);
  const made = await addClass(who, { from: 'plan', plan });
  await appendToSeries(db, studio.id, id, made.id, (last?.order ?? 0) + 1);
  return made;
}

/** A copy under the next number: "Ebb 3" after "Ebb 2", "Ebb 2" after "Ebb". */
function continued(plan: ClassPlan): ClassPlan {
  const match = /^(.*?)(\d{1,6})$/s.exec(plan.title);
  const title = match ? `${match[1]}${Number(match[2]) + 1}` : `${plan.title.slice(0, LIMITS.titleCharacters - 2)} 2`;
  return { ...copyPlan(randomUUID, plan), title: title.slice(0, LIMITS.titleCharacters) };
}
