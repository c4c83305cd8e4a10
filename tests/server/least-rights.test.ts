import { Client } from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { closeDatabase, openDatabase } from '@/db/database';
import { APPLICATION_ROLE, grantLeastRights } from '@/db/least-rights';
import { seedDemo } from '@/demo/seed';
import { addClass, classList, binClass } from '@/server/classes';
import { clearBin, inBin } from '@/server/bin';
import { asking } from '@/server/studio';
import { freshDatabase } from '../support/application';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let application: Client;

beforeAll(async () => {
  database = await freshDatabase('calm_least_rights');
  await seedDemo(database.db);
  await grantLeastRights(database.db);
  await grantLeastRights(database.db);
  const url = new URL(database.url);
  url.username = APPLICATION_ROLE;
  await closeDatabase();
  process.env.DATABASE_URL = url.href;
  application = new Client({ connectionString: url.href });
  await application.connect();
});
afterAll(async () => {
  await application.end();
  await database.drop();
});

describe('the application’s own role', () => {
  it('is enough for all that the application does with rows', async () => {
    openDatabase();
    const who = await asking();
    const made = await addClass(who, { from: 'nothing', title: 'With few rights' });
    expect((await classList(who)).classes.length).toBeGreaterThan(5);
    await binClass(who, made.id, true);
    expect((await inBin(who)).length).toBe(1);
    expect(await clearBin(who)).toEqual({ deleted: 1 });
  });

  it.each([
    'create table mine (id int)',
    'drop table classes',
    'alter table classes add column more int',
    'truncate classes',
    'create role other superuser',
    'select rolpassword from pg_authid',
    "copy classes to '/tmp/out'",
    "copy classes from program 'id'",
    'create extension if not exists dblink',
    'select * from drizzle.__drizzle_migrations',
    'alter role calm_app superuser',
  ])('may not %s', async (statement) => {
    await expect(application.query(statement)).rejects.toThrow(/denied|must be (owner|superuser)|permission/);
  });
});
