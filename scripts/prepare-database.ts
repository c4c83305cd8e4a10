/** Migrates the database at DATABASE_URL and puts the demo studio in where there is none; `--fresh-demo` replaces it. */
import { fileURLToPath } from 'node:url';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { closeDatabase, openDatabase } from '../src/db/database';
import { deleteStudio, firstStudio } from '../src/db/queries/studios';
import { seedDemo } from '../src/demo/seed';

const migrationsFolder = fileURLToPath(new URL('../src/db/migrations', import.meta.url));
const fresh = process.argv.includes('--fresh-demo');

try {
  const db = openDatabase();
  await migrate(db, { migrationsFolder });
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
  await closeDatabase();
}
