/**
 * The server under load: `npm run bench:load`, on a database of its own with 1 000 classes (needs TEST_DATABASE_URL, a
 * cluster where databases may be made). With CALM_BEFORE, the folder of an older build, both are measured in one run.
 */
import { itemAt } from '@/core/units';
import { spawn, type ChildProcess } from 'node:child_process';
import { setTimeout as wait } from 'node:timers/promises';
import autocannon from 'autocannon';
import { demoClasses } from '../src/demo/classes';
import { seedDemo } from '../src/demo/seed';
import { insertClass } from '../src/db/queries/classes';
import { asking } from '../src/server/studio';
import { judgedPlan } from '../src/server/classes';
import { freshDatabase, serve, type Served } from '../tests/support/application';
import { spread } from './measure';

const CLASSES = 1_000;
const SECONDS = 8;
const SAVERS = 60;

interface Stored {
  readonly id: string;
  readonly revision: number;
  readonly plan: object;
}

/** The generator has a thread of its own: in this one its own pauses were measured with the server's. */
async function hammer(name: string, url: string, connections: number): Promise<void> {
  const { requests, latency, non2xx, errors } = await autocannon({ url, connections, duration: SECONDS, workers: 1 });
  console.log(
    `  ${name}, ${connections} at once: ${requests.average.toFixed(0)} a second, median ${latency.p50} ms, p99 ${latency.p99} ms${non2xx + errors > 0 ? `, ${non2xx + errors} failed` : ''}`,
  );
}

/** People who type: each saves a class of their own again and again, half a second apart. */
async function savers(origin: string, classIds: readonly string[]): Promise<void> {
  const times: number[] = [];
  let failed = 0;
  const until = Date.now() + SECONDS * 1000;
  await Promise.all(
    classIds.map(async (id, at) => {
      const stored = (await (await fetch(`${origin}/api/classes/${id}`)).json()) as Stored;
      let { revision } = stored;
      await wait(at * 8);
      while (Date.now() < until) {
        const began = performance.now();
        const answer = await fetch(`${origin}/api/classes/${id}`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json', origin },
          body: JSON.stringify({ baseRevision: revision, plan: { ...stored.plan, focus: `Saved ${revision}` } }),
        });
        times.push(performance.now() - began);
        if (answer.ok) ({ revision } = (await answer.json()) as Stored);
        else failed++;
        await wait(500);
      }
    }),
  );
  const { median } = spread(times);
  const p99 = itemAt(
    [...times].sort((a, b) => a - b),
    Math.floor(times.length * 0.99),
  );
  console.log(
    `  ${classIds.length} people saving: ${times.length} saves, median ${median.toFixed(0)} ms, p99 ${p99.toFixed(0)} ms${failed > 0 ? `, ${failed} failed` : ''}`,
  );
}

async function measure(name: string, origin: string, ids: readonly string[]): Promise<void> {
  console.log(`${name}:`);
  await hammer('the list of 1 000 classes', `${origin}/`, 50);
  await hammer('the page of a class', `${origin}/classes/${ids[0]}`, 50);
  await hammer('a class by the API', `${origin}/api/classes/${ids[0]}`, 200);
  await savers(origin, ids.slice(0, SAVERS));
}

/** A server of another build on the same database. */
async function serveFrom(folder: string, databaseUrl: string): Promise<{ origin: string; process: ChildProcess }> {
  const port = 24_999;
  const env = { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), HOST: '127.0.0.1' };
  const child = spawn(process.execPath, ['server.mjs'], { cwd: folder, env, stdio: 'ignore' });
  const origin = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries++) {
    const up = await fetch(`${origin}/healthz`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (up) break;
    await wait(100);
  }
  return { origin, process: child };
}

const database = await freshDatabase('calm_load');
let served: Served | null = null;
try {
  await seedDemo(database.db);
  const who = await asking();
  const { plan } = itemAt(demoClasses(), 0);
  const ids: string[] = [];
  for (let at = 0; at < CLASSES; at++) {
    ids.push((await insertClass(who.db, who.studio.id, judgedPlan({ ...plan, title: `Class ${at}` }))).id);
  }
  const before = process.env.CALM_BEFORE;
  if (before) {
    const older = await serveFrom(before, database.url);
    await measure(`before (${before})`, older.origin, ids);
    older.process.kill('SIGTERM');
    await wait(1_000);
  }
  served = await serve(database.url);
  await measure('now', served.origin, ids);
} finally {
  await served?.stop();
  await database.drop();
}
