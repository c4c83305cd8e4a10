/**
 * A live class with many who follow: `npm run bench:live`, on a database of its own (needs TEST_DATABASE_URL, a cluster
 * where databases may be made, and a build). Two servers, one of them killed in the middle and replaced; how long an
 * event takes from the prompter's request to each follower, and that each comes to each in order and once.
 */
import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import type { LiveCodes } from '../src/api/live';
import { shownClass, type Standing } from '../src/core/live';
import { expandPlan } from '../src/core/timeline';
import { itemAt, quantile } from '../src/core/units';
import { demoClasses } from '../src/demo/classes';
import { seedDemo } from '../src/demo/seed';
import { freshDatabase, serve, type Served } from '../tests/support/application';
import { Follower } from '../tests/support/follower';

const FOLLOWERS = Number(process.env.CALM_FOLLOWERS ?? 200);
const EVENTS = 120;
const EVERY_MILLISECONDS = 250;
/** One server is killed at a third of the class and is back at half of it. */
const [KILLED_AT, BACK_AT] = [EVENTS / 3, EVENTS / 2];
/** After a kill its followers come back to the other; what was told meanwhile is counted by itself. */
const COMING_BACK = 8;

async function post(served: Served, path: string, body: object): Promise<unknown> {
  const headers = { 'content-type': 'application/json', origin: served.origin };
  const answer = await fetch(`${served.origin}${path}`, { method: 'POST', headers, body: JSON.stringify(body) });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return answer.json();
}

const database = await freshDatabase('calm_bench_live');
await seedDemo(database.db);
const one = await serve(database.url);
let two = await serve(database.url);
try {
  const { classes } = (await (await fetch(`${one.origin}/api/classes`)).json()) as { classes: { id: string }[] };
  const classId = itemAt(classes, 0).id;
  const { plan } = itemAt(demoClasses(), 0);
  const leader = randomUUID();
  const body = { leader, shown: shownClass(plan, expandPlan(plan)), take: false };
  const codes = (await post(one, `/api/classes/${classId}/live`, body)) as LiveCodes;

  const sent = new Map<number, number>();
  const late: number[] = [];
  const lateAfterKill: number[] = [];
  const followers = Array.from({ length: FOLLOWERS }, (_, at) => {
    const origins = at % 2 === 0 ? [one.origin, two.origin] : [two.origin, one.origin];
    return new Follower(origins, codes.code, ({ number, kind, at: heard }) => {
      const began = sent.get(number);
      if (kind !== 'event' || began === undefined) return;
      const afterKill = number > KILLED_AT && number <= KILLED_AT + COMING_BACK;
      (afterKill ? lateAfterKill : late).push(heard - began);
    });
  });
  const following = followers.map((follower) => follower.follow());
  while (!followers.every(({ heard }) => heard.length > 0)) await wait(20);

  for (let number = 1; number <= EVENTS; number++) {
    if (number === KILLED_AT + 1) two.process.kill('SIGKILL');
    if (number === BACK_AT) two = await serve(database.url, Number(new URL(two.origin).port));
    const standing: Standing = { mode: 'running', by: 'clock', placeSeconds: number, at: Date.now() };
    sent.set(number, performance.now());
    await post(
      number % 2 === 0 && (number <= KILLED_AT || number >= BACK_AT) ? two : one,
      `/api/classes/${classId}/live/events`,
      {
        leader,
        events: [{ id: randomUUID(), standing }],
      },
    );
    await wait(EVERY_MILLISECONDS);
  }
  await wait(2_000);
  const wrong = followers.filter(({ heard }) => {
    const numbers = heard.flatMap(({ kind, number }) => (kind === 'event' ? [number] : []));
    return numbers.length !== EVENTS || numbers.some((number, at) => number !== at + 1);
  });
  for (const follower of followers) follower.stop();
  await Promise.all(following);
  const told = (name: string, times: number[]): void => {
    const [median, p95, worst] = [0.5, 0.95, 1].map((share) => quantile(times, share).toFixed(0));
    console.log(`  ${name}: median ${median} ms, p95 ${p95} ms, worst ${worst} ms (${times.length} heard)`);
  };
  console.log(`${FOLLOWERS} who follow, ${EVENTS} events, two servers, one killed and replaced:`);
  told('from the request to the follower', late);
  told(`of the ${COMING_BACK} events after the kill`, lateAfterKill);
  console.log(`  followers with an event lost, twice or out of order: ${wrong.length}`);
  console.log(`  that had to come back: ${followers.filter(({ returns }) => returns > 0).length}`);
} finally {
  await Promise.all([one.stop(), two.stop()]);
  await database.drop();
}
