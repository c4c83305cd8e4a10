import { BIN_DAYS, BIN_KINDS, type BinEntry, type BinKind } from '@/api/bin';
import { emptyBin, listBin } from '@/db/queries/bin';
import { binClass } from './classes';
import { removeMovement } from './movements';
import { Refusal } from './refusal';
import { dropSeries } from './series';
import type { Asking } from './studio';
import { dropTake } from './takes';

/** More of a kind than this are not listed. */
const LISTED_AT_MOST = 500;
const DAY_MILLISECONDS = 86_400_000;

/** What was removed, the latest first. What has lain there for 30 days is deleted first. */
export async function inBin({ db, studio }: Asking): Promise<BinEntry[]> {
  await emptyBin(db, studio.id, new Date(Date.now() - BIN_DAYS * DAY_MILLISECONDS));
  const listed = await listBin(db, studio.id, LISTED_AT_MOST);
  return listed.map((row) => ({ ...row, removedAt: row.removedAt.toISOString() }));
}

const RESTORES: Readonly<Record<BinKind, (who: Asking, id: string) => Promise<void>>> = {
  class: (who, id) => binClass(who, id, false),
  take: (who, id) => dropTake(who, id, false),
  movement: (who, id) => removeMovement(who, id, false),
  series: (who, id) => dropSeries(who, id, false),
};

/** Takes one thing out of the bin. @throws Refusal 404. */
export async function restore(who: Asking, kind: string, id: string): Promise<void> {
  const known = BIN_KINDS.find((one) => one === kind);
  if (!known) throw new Refusal(404, 'not-in-bin');
  await RESTORES[known](who, id);
}

/** Deletes everything in the bin for good; how many things that were. */
export async function clearBin({ db, studio }: Asking): Promise<{ readonly deleted: number }> {
  return { deleted: await emptyBin(db, studio.id, new Date(Date.now() + DAY_MILLISECONDS)) };
}
