import { openDatabase, type Database } from '@/db/database';
import { firstStudio, type Studio } from '@/db/queries/studios';
import { Refusal } from './refusal';

/** Who is asking, and the database they ask. There is one studio until sign-in comes. */
export interface Asking {
  readonly db: Database;
  readonly studio: Studio;
}

/** @throws Refusal 503 when no studio has been set up. */
export async function asking(): Promise<Asking> {
  const db = openDatabase();
  const studio = await firstStudio(db);
  if (!studio) throw new Refusal(503, 'no-studio');
  return { db, studio };
}
