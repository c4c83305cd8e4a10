import { openDatabase, type Database } from '@/db/database';
import { firstStudio, renameStudio, type Studio } from '@/db/queries/studios';
import { Refusal } from './refusal';

/** Who is asking, and the database they ask. There is one studio until sign-in comes. */
export interface Asking {
  readonly db: Database;
  readonly studio: Studio;
}

/** Which studio is served is asked once in this time and not by every request; a new demo is seen that soon. */
const KNOWN_FOR_MILLISECONDS = 1_000;
let known: { readonly studio: Promise<Studio | null>; readonly db: Database; readonly until: number } | null = null;

/** @throws Refusal 503 when no studio has been set up. */
export async function asking(): Promise<Asking> {
  const db = openDatabase();
  // Those who come while it is being asked wait for the same answer: two hundred at once are one question.
  if (known?.db !== db || known.until <= Date.now()) {
    known = { studio: firstStudio(db), db, until: Date.now() + KNOWN_FOR_MILLISECONDS };
  }
  const asked = known;
  const studio = await asked.studio.catch((error: unknown) => {
    if (known === asked) known = null;
    throw error;
  });
  if (studio) return { db, studio };
  if (known === asked) known = null;
  throw new Refusal(503, 'no-studio');
}

/** Gives the studio another name. @throws Refusal 409 when it was named otherwise meanwhile. */
export async function nameStudio({ db, studio }: Asking, was: string, name: string): Promise<Studio> {
  const done = await renameStudio(db, studio.id, was, name.trim());
  known = null;
  if (done) return { ...studio, name: name.trim() };
  throw new Refusal(409, 'newer-revision', undefined, { current: await firstStudio(db) });
}
