import type { LibraryEntry, MovementResponse } from '@/api/movements';
import type { Saved } from '@/api/saved';
import { UUID } from '@/api/saves';
import {
  findMovement,
  insertMovement,
  listMovements,
  setMovementArchived,
  updateMovement,
} from '@/db/queries/movements';
import { setRemoved } from '@/db/queries/bin';
import type { SaveBase } from '@/db/queries/save-base';
import type { JudgedMovement } from './judging/documents';
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

export async function addMovement({ db, studio }: Asking, judged: JudgedMovement): Promise<MovementResponse> {
  return insertMovement(db, studio.id, judged);
}

/** Saves on top of what it builds on. @throws Refusal 409 with what is stored when that is newer. */
export async function saveMovement(who: Asking, id: string, base: SaveBase, judged: JudgedMovement): Promise<Saved> {
  await openMovement(who, id);
  const revision = await updateMovement(who.db, who.studio.id, id, base, judged);
  if (revision !== null) return { revision };
  throw new Refusal(409, 'newer-revision', undefined, { current: await openMovement(who, id) });
}

/** Puts a movement into the archive or takes it out. */
export async function archiveMovement(who: Asking, id: string, archived: boolean): Promise<void> {
  await openMovement(who, id);
  await setMovementArchived(who.db, who.studio.id, id, archived);
}

/** Puts a movement into the bin, or takes it out; classes keep their own copies. @throws Refusal 404. */
export async function removeMovement({ db, studio }: Asking, id: string, removed: boolean): Promise<void> {
  const done = UUID.test(id) && (await setRemoved(db, 'movement', studio.id, id, removed));
  if (!done) throw new Refusal(404, 'no-movement');
}
