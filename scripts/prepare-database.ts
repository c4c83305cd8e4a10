/**
 * Migrates the database at DATABASE_URL, as its owner, and puts the demo studio in where there is none; `--fresh-demo`
 * replaces it. With `--grant` the application's own role gets what it needs and no more.
 */
import { fileURLToPath } from 'node:url';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { drizzle } from 'drizzle-orm/node-postgres';
import { Client } from 'pg';
import { closeDatabase, openDatabase } from '../src/db/database';
import { grantLeastRights } from '../src/db/least-rights';
import { deleteStudio, firstStudio } from '../src/db/queries/studios';
import { seedDemo } from '../src/demo/seed';

const migrationsFolder = fileURLToPath(new URL('../src/db/migrations', import.meta.url));
/** Held while preparing, so that two starts at once do not both migrate and seed; the number is only ours. */
const PREPARING = 720_311;
const fresh = process.argv.includes('--fresh-demo');

const lock = new Client({ connectionString: process.env.DATABASE_URL });
try {
  const db = openDatabase();
  await lock.connect();
  await lock.query('select pg_advisory_lock($1)', [PREPARING]);
  await migrate(drizzle({ client: lock }), { migrationsFolder });
  if (process.argv.includes('--grant')) await grantLeastRights(db);
  const studio = await firstStudio(db);
  if (studio && fresh) await deleteStudio(db, studio.id);
  if (!studio || fresh) {
    await seedDemo(db);
    console.error('calm count: the demo studio is in');
  }
} catch (error) {
  const cause = error instanceof Error && error.cause instanceof Error ? `: ${error.cause.message}` : '';
  console.error(`calm count: ${error instanceof Error ? error.message : String(error)}${cause}`);
  process.exitCode = 1;
} finally {
  await lock.end().catch(() => undefined);
  await closeDatabase();
}
