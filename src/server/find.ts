import type { Found } from '@/api/studio';
import { findClassesByTitle } from '@/db/queries/classes';
import { findMovementsByName } from '@/db/queries/movements';
import type { Asking } from './studio';

const FOUND_AT_MOST = 8;
const WORDS_AT_MOST = 200;

/** Classes and movements that have the words in their names. */
export async function find({ db, studio }: Asking, words: string): Promise<Found> {
  // What no name can hold finds nothing.
  const asked = words.trim().slice(0, WORDS_AT_MOST).toWellFormed().replaceAll('\u0000', '');
  if (asked === '') return { classes: [], movements: [] };
  const [classes, movements] = await Promise.all([
    findClassesByTitle(db, studio.id, asked, FOUND_AT_MOST),
    findMovementsByName(db, studio.id, asked, FOUND_AT_MOST),
  ]);
  return { classes, movements };
}
