import type { Saved } from '@/api/saved';
import type { Spelling } from '@/core/words';
import type { SaveBase } from '@/db/queries/save-base';
import { setSpelling, spellingOf } from '@/db/queries/studios';
import { Refusal } from './refusal';
import type { Asking } from './studio';

/** The spellings that the studio chose, and its own terms. */
export async function spelling({ db, studio }: Asking): Promise<Spelling & { readonly revision: number }> {
  return spellingOf(db, studio.id);
}

/** Sets it whole. @throws Refusal 409 with what is stored when that is newer. */
export async function chooseSpelling(who: Asking, base: SaveBase, chosen: Spelling): Promise<Saved> {
  const revision = await setSpelling(who.db, who.studio.id, base, chosen);
  if (revision !== null) return { revision };
  throw new Refusal(409, 'newer-revision', undefined, { current: await spelling(who) });
}
