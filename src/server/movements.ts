import { UUID } from '@/api/classes';
import type { LibraryEntry, MovementResponse } from '@/api/movements';
import { readMovement, summaryOf } from '@/core/movement';
import {
  findMovement,
  insertMovement,
  listMovements,
  setMovementArchived,
  updateMovement,
  type NewMovement,
} from '@/db/queries/movements';
import { Refusal } from './refusal';
import type { Asking } from './studio';

/** The studio's movements by name, archived ones marked. */
export async function library({ db, studio }: Asking): Promise<LibraryEntry[]> {
  return listMovements(db, studio.id);
}

/** One movement. @throws Refusal 404. */
export async function openMovement({ db, studio }: Asking, id: string): Promise<MovementResponse> {
  const found = UUID.test(id) ? await findMovement(db, studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-movement');
  return found;
}

/** Judges a movement. @throws Refusal 422 with every problem at its place. */
function judged(raw: unknown): NewMovement {
  const read = readMovement(raw);
  if (!read.ok) throw new Refusal(422, 'bad-movement', read.problem);
  return { movement: read.value, summary: summaryOf(read.value) };
}

export async function addMovement({ db, studio }: Asking, raw: unknown): Promise<MovementResponse> {
  return insertMovement(db, studio.id, judged(raw));
}

/** Saves on top of the revision it started from. @throws Refusal 409 with what is stored when that is newer. */
export async function saveMovement(
  who: Asking,
  id: string,
  baseRevision: number,
  raw: unknown,
): Promise<{ revision: number }> {
  const saved = judged(raw);
  await openMovement(who, id);
  const stored = await updateMovement(who.db, who.studio.id, id, baseRevision, saved);
  if (stored) return { revision: stored.revision };
  throw new Refusal(409, 'newer-revision', undefined, { current: await openMovement(who, id) });
}

/** Puts a movement into the archive or takes it out; nothing is ever deleted, since classes may use it. */
export async function archiveMovement(who: Asking, id: string, archived: boolean): Promise<void> {
  await openMovement(who, id);
  await setMovementArchived(who.db, who.studio.id, id, archived);
}
