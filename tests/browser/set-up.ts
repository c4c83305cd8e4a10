import { seedDemo } from '@/demo/seed';
import { freshDatabase, serve } from '../support/application';

/** Serves the build on a seeded database of its own for all browser tests; gives the way to take it down. */
export default async function setUp(): Promise<() => Promise<void>> {
  const database = await freshDatabase('calm_browser');
  await seedDemo(database.db);
  const served = await serve(database.url);
  process.env.CALM_ORIGIN = served.origin;
  process.env.CALM_DATABASE_URL = database.url;
  return async () => {
    await served.stop();
    await database.drop();
  };
}
