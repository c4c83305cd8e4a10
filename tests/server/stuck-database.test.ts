import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Client } from 'pg';
import { seedDemo } from '@/demo/seed';
import { freshDatabase, serve, type Served } from '../support/application';

/* A database that is there and does not answer: a table locked by somebody who does not let go. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let served: Served;
let holder: Client;

beforeAll(async () => {
  database = await freshDatabase('calm_stuck');
  await seedDemo(database.db);
  served = await serve(database.url);
  holder = new Client({ connectionString: database.url });
  await holder.connect();
}, 120_000);
afterAll(async () => {
  await holder.end();
  await served.stop();
  await database.drop();
});

describe('a stuck database', () => {
  it('is waited for some seconds, then said, while the server lives; and all goes on when it is back', async () => {
    await holder.query('begin');
    await holder.query('lock table classes in access exclusive mode');
    // More than there are connections: those that get none are told too.
    const asked = Array.from({ length: 24 }, () => fetch(`${served.origin}/api/classes`));
    await new Promise((done) => setTimeout(done, 1_000));
    const began = Date.now();
    expect((await fetch(`${served.origin}/healthz`)).status).toBe(200);
    expect(Date.now() - began).toBeLessThan(1_000);
    expect((await fetch(`${served.origin}/readyz`)).status).toBe(503);
    const answers = await Promise.all(asked);
    for (const answer of answers) {
      expect(answer.status).toBe(503);
      expect(answer.headers.get('retry-after')).toBe('3');
      expect(await answer.json()).toMatchObject({ code: 'database-away' });
    }
    await holder.query('rollback');
    expect((await fetch(`${served.origin}/api/classes`)).status).toBe(200);
    expect((await fetch(`${served.origin}/readyz`)).status).toBe(200);
  }, 60_000);
});
