import type { Saved } from '@/api/saved';
import { UUID } from '@/api/saves';
import { glanceOf } from '@/core/reading';
import {
  findEnvelope,
  findTake,
  findTakenPlan,
  insertTake,
  listTakes,
  readingsWithoutGlance,
  revisionOfTake,
  setGlance,
  updateReading,
  type HandWorkRow,
  type StoredTake,
  type TakeRow,
  type ListedTake,
} from '@/db/queries/takes';
import { setRemoved } from '@/db/queries/bin';
import type { SaveBase } from '@/db/queries/save-base';
import { needClass } from './classes';
import { run } from './judging/run';
import { Refusal } from './refusal';
import type { Asking } from './studio';

/** The takes of a class, newest first. @throws Refusal 404. */
export async function takesOf(who: Asking, classId: string): Promise<ListedTake[]> {
  await needClass(who, classId);
  const listed = await listTakes(who.db, who.studio.id, classId);
  if (listed.every(({ glance }) => glance !== null)) return listed;
  for (const { takeId, reading } of await readingsWithoutGlance(who.db, who.studio.id, classId)) {
    await setGlance(who.db, who.studio.id, takeId, glanceOf(reading));
  }
  return listTakes(who.db, who.studio.id, classId);
}

/** One take with its reading. @throws Refusal 404. */
export async function openTake({ db, studio }: Asking, id: string): Promise<StoredTake> {
  const found = UUID.test(id) ? await findTake(db, studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-take');
  return found;
}

/** The level of a take for drawing, a byte for each 20 ms: 0 is -80 dBFS and less, 255 full scale. @throws Refusal 404. */
export async function envelopeOf({ db, studio }: Asking, id: string): Promise<Uint8Array> {
  const found = UUID.test(id) ? await findEnvelope(db, studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-envelope');
  return found;
}

/** Keeps a take that was read in the browser; one that comes again under its id is kept once. @throws Refusal 404 or 422. */
export async function addTake(who: Asking, classId: string, take: Omit<TakeRow, 'classId'>): Promise<{ id: string }> {
  await needClass(who, classId);
  try {
    return { id: await insertTake(who.db, who.studio.id, { classId, ...take }) };
  } catch (error) {
    if (error instanceof RangeError) throw new Refusal(422, 'bad-request', [{ code: 'id-twice', at: 'id', facts: {} }]);
    throw error;
  }
}

/**
 * Saves what was done to a take by hand with the reading that the page worked out from it; only its figures are worked
 * out again here. @throws Refusal 404, or 409 when another save came first.
 */
export async function correctTake(
  { db, studio }: Asking,
  id: string,
  base: SaveBase,
  work: HandWorkRow,
): Promise<Saved> {
  const taken = UUID.test(id) ? await findTakenPlan(db, studio.id, id) : null;
  if (!taken) throw new Refusal(404, 'no-take');
  const { readingText } = work;
  const counted = await run('recount', { readingText, ...taken }, readingText.length + taken.planText.length);
  const revision = await updateReading(db, studio.id, id, base, { ...work, ...counted });
  if (revision !== null) return { revision };
  const current = await revisionOfTake(db, studio.id, id);
  if (current === null) throw new Refusal(404, 'no-take');
  throw new Refusal(409, 'newer-revision', undefined, { current: { revision: current } });
}

/** Puts a take into the bin, or takes it out. @throws Refusal 404. */
export async function dropTake({ db, studio }: Asking, id: string, removed: boolean): Promise<void> {
  if (!UUID.test(id) || !(await setRemoved(db, 'take', studio.id, id, removed))) throw new Refusal(404, 'no-take');
}
