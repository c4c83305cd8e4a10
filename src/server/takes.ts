import type { SavedReading } from '@/api/takes';
import { UUID } from '@/api/takes';
import type { Evidence } from '@/core/align';
import { checkReading, correct, type Corrections } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import {
  findTake,
  insertTake,
  listTakes,
  removeTake,
  updateReading,
  type StoredTake,
  type TakeSummary,
} from '@/db/queries/takes';
import { judged, openClass } from './classes';
import { Refusal } from './refusal';
import type { Asking } from './studio';

/** The takes of a class, newest first. @throws Refusal 404. */
export async function takesOf(who: Asking, classId: string): Promise<TakeSummary[]> {
  await openClass(who, classId);
  return listTakes(who.db, who.studio.id, classId);
}

/** One take with its reading. @throws Refusal 404. */
export async function openTake({ db, studio }: Asking, id: string): Promise<StoredTake> {
  const found = UUID.test(id) ? await findTake(db, studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-take');
  return found;
}

/** Keeps a take that was read in the browser. @throws Refusal 404, or 422 when plan or reading are not in order. */
export async function addTake(
  who: Asking,
  classId: string,
  { name, plan, evidence, reading }: { name: string; plan: unknown; evidence: Evidence; reading: unknown },
): Promise<{ id: string }> {
  await openClass(who, classId);
  const checked = checkReading(reading);
  if (!checked.ok) throw new Refusal(422, 'bad-reading', checked.problem);
  const { plan: judgedPlan } = judged(plan);
  const counted = correct(checked.value, expandPlan(judgedPlan), {}, evidence.lengthSeconds);
  const taken = { classId, name, plan: judgedPlan, evidence, reading: counted };
  return { id: await insertTake(who.db, who.studio.id, taken) };
}

/** Replaces the corrections of a take and works its figures out again. @throws Refusal 409 when another save came first. */
export async function correctTake(
  who: Asking,
  id: string,
  baseRevision: number,
  corrections: Corrections,
): Promise<SavedReading> {
  const take = await openTake(who, id);
  const reading = correct(take.reading, expandPlan(take.plan), corrections, take.evidence.lengthSeconds);
  const revision = await updateReading(who.db, who.studio.id, id, baseRevision, { reading, corrections });
  if (revision === null) throw new Refusal(409, 'newer-revision', undefined, { current: { revision: take.revision } });
  return { revision, reading };
}

/** @throws Refusal 404. */
export async function dropTake({ db, studio }: Asking, id: string): Promise<void> {
  if (!UUID.test(id) || !(await removeTake(db, studio.id, id))) throw new Refusal(404, 'no-take');
}
