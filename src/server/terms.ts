import type { Spelling } from '@/core/words';
import { setSpelling, spellingOf } from '@/db/queries/studios';
import type { Asking } from './studio';

/** The spellings that the studio chose, and its own terms. */
export async function spelling({ db, studio }: Asking): Promise<Spelling> {
  return spellingOf(db, studio.id);
}

/** Sets it whole. */
export async function chooseSpelling({ db, studio }: Asking, chosen: Spelling): Promise<Spelling> {
  await setSpelling(db, studio.id, chosen);
  return chosen;
}
