import { sql } from 'drizzle-orm';
import type { Database } from './database';

/** The role that the application asks the database as. It may read and write rows, and nothing else. */
export const APPLICATION_ROLE = 'calm_app';

/**
 * Makes the application's role where it is missing and gives it what it needs of the tables that there are. Run by the
 * owner of the database, after every migration.
 */
export async function grantLeastRights(db: Database): Promise<void> {
  const role = sql.identifier(APPLICATION_ROLE);
  await db.execute(
    sql`do $$ begin
      create role ${role} login nosuperuser nocreatedb nocreaterole noreplication;
    exception when duplicate_object then null; end $$`,
  );
  await db.execute(sql`revoke create on schema public from public`);
  await db.execute(sql`grant usage on schema public to ${role}`);
  await db.execute(sql`grant select, insert, update, delete on all tables in schema public to ${role}`);
  await db.execute(sql`grant usage, select on all sequences in schema public to ${role}`);
}
