import { drizzle, type NodePgDatabase, type NodePgQueryResultHKT } from 'drizzle-orm/node-postgres';
import type { PgDatabase } from 'drizzle-orm/pg-core';
import { Client, Pool, type PoolConfig } from 'pg';
import { takenAs } from '@/core/units';
import * as schema from './schema';

/** The database, or a transaction on it. */
export type Database = PgDatabase<NodePgQueryResultHKT, typeof schema>;

let pool: Pool | null = null;
let database: NodePgDatabase<typeof schema> | null = null;

/*
 * No request waits for ever. PostgreSQL gives up a lock and a statement by itself; where it does not answer at all
 * (stopped, a cable pulled) the client gives up a little later. Milliseconds.
 */
const WAIT_FOR_CONNECTION = 4_000;
const WAIT_FOR_LOCK = 4_000;
const WAIT_FOR_STATEMENT = 8_000;
const WAIT_FOR_ANSWER = 9_000;
const WAIT_IN_TRANSACTION = 10_000;

/** A connection whose question was not answered in time is of no use any more: it is cut, and the pool opens another. */
class PatientClient extends Client {
  constructor(config?: PoolConfig) {
    super(config);
    // One that dies in the middle of a transaction tells its query; nobody else need end because of it.
    this.on('error', () => undefined);
    const ask = this.query.bind(this) as (...given: unknown[]) => unknown;
    const patient = (...given: unknown[]): unknown => {
      const asked = ask(...given);
      if (asked instanceof Promise) asked.catch((error: unknown) => this.#cutIfSilent(error));
      return asked;
    };
    this.query = patient as typeof this.query;
  }

  #cutIfSilent(error: unknown): void {
    if (error instanceof Error && error.message === 'Query read timeout') {
      takenAs<{ connection: { stream: { destroy: () => void } } }>(this).connection.stream.destroy();
    }
  }
}

/** Connections to PostgreSQL, opened at the first use from `DATABASE_URL`. A lost connection is replaced by the pool. */
export function openDatabase(): NodePgDatabase<typeof schema> {
  if (database) return database;
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString) throw new Error('DATABASE_URL is not set; run ./start, or set it to a PostgreSQL database.');
  pool = new Pool({
    connectionString,
    max: 10,
    connectionTimeoutMillis: WAIT_FOR_CONNECTION,
    lock_timeout: WAIT_FOR_LOCK,
    statement_timeout: WAIT_FOR_STATEMENT,
    query_timeout: WAIT_FOR_ANSWER,
    idle_in_transaction_session_timeout: WAIT_IN_TRANSACTION,
    Client: PatientClient,
  });
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
