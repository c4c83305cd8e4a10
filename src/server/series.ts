import { randomUUID } from 'node:crypto';
import type { ClassResponse } from '@/api/classes';
import type { Saved } from '@/api/saved';
import { UUID } from '@/api/saves';
import type { ListedSeries } from '@/api/series';
import { emptyPlan, LIMITS } from '@/core/plan';
import { insertClass } from '@/db/queries/classes';
import { setRemoved } from '@/db/queries/bin';
import type { SaveBase } from '@/db/queries/save-base';
import { appendToSeries, holdSeries, insertSeries, listSeries, updateSeries } from '@/db/queries/series';
import { copyOfClass, judgedPlan } from './classes';
import { Refusal } from './refusal';
import type { Asking } from './studio';

/** The studio's series, oldest first. */
export async function listedSeries({ db, studio }: Asking): Promise<ListedSeries[]> {
  return listSeries(db, studio.id);
}

export async function addSeries({ db, studio }: Asking, title: string): Promise<ListedSeries> {
  return insertSeries(db, studio.id, title);
}

/** Sets title, classes and their order. @throws Refusal 404, or 409 with the series as it is when another save came first. */
export async function saveSeries(
  { db, studio }: Asking,
  id: string,
  base: SaveBase,
  { title, classIds }: { readonly title: string; readonly classIds: readonly string[] },
): Promise<Saved> {
  const said = { title, classIds: [...new Set(classIds)] };
  const revision = UUID.test(id) ? await updateSeries(db, studio.id, id, base, said) : null;
  if (revision !== null) return { revision };
  const current = (await listSeries(db, studio.id)).find((one) => one.id === id);
  if (!current) throw new Refusal(404, 'no-series');
  throw new Refusal(409, 'newer-revision', undefined, { current });
}

/** Puts a series into the bin, or takes it out with its classes in their places; they stay in the list meanwhile. @throws Refusal 404. */
export async function dropSeries({ db, studio }: Asking, id: string, removed: boolean): Promise<void> {
  const done = UUID.test(id) && (await setRemoved(db, 'series', studio.id, id, removed));
  if (!done) throw new Refusal(404, 'no-series');
}

/**
 * A new class at the end of a series, started from its last one. The series is held meanwhile, so that several at once
 * come one behind the other. @throws Refusal 404.
 */
export async function nextInSeries({ db, studio }: Asking, id: string): Promise<ClassResponse> {
  if (!UUID.test(id)) throw new Refusal(404, 'no-series');
  return db.transaction(async (tx) => {
    const held = await holdSeries(tx, studio.id, id);
    if (!held) throw new Refusal(404, 'no-series');
    const plan = held.last
      ? await copyOfClass({ db: tx, studio }, held.last.id, (_, title) => nextTitle(title))
      : judgedPlan(emptyPlan(randomUUID, `${held.title.slice(0, 190)} 1`, 600));
    const made = await insertClass(tx, studio.id, plan);
    await appendToSeries(tx, studio.id, id, made.id, (held.last?.order ?? 0) + 1);
    return made;
  });
}

/** The next number: "Ebb 3" after "Ebb 2", "Ebb 2" after "Ebb". */
function nextTitle(title: string): string {
  const match = /(\d{1,6})$/.exec(title);
  const numbered = match
    ? `${title.slice(0, match.index)}${Number(match[1]) + 1}`
    : `${title.slice(0, LIMITS.titleCharacters - 2)} 2`;
  return numbered.slice(0, LIMITS.titleCharacters);
}
