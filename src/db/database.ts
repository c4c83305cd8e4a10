import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;

let pool: Pool | null = null;
let database: Database | null = null;

/** Connections to PostgreSQL, opened at the first use from `DATABASE_URL`. A lost connection is replaced by the pool. */
export function openDatabase(): Database {
  if (database) return database;
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString) throw new Error('DATABASE_URL is not set; run ./start, or set it to a PostgreSQL database.');
  pool = new Pool({ connectionString, max: 10, connectionTimeoutMillis: 4_000 });
  // An idle connection that dies (the server went away) must not end the process; the next query opens another.
  pool.on('error', () => undefined);
  database = drizzle({ client: pool, schema, casing: 'snake_case' });
  return database;
}

/** Closes every connection; the next use opens them again. */
export async function closeDatabase(): Promise<void> {
  const closing = pool;
  pool = null;
  database = null;
  await closing?.end();
}
