import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { LiveCodes } from '@/api/live';
import { shownClass, type Standing } from '@/core/live';
import { expandPlan } from '@/core/timeline';
import { itemAt, takenAs } from '@/core/units';
import { seedDemo } from '@/demo/seed';
import { demoClasses } from '@/demo/classes';
import { freshDatabase, onCluster, serve, type Served } from '../support/application';
import { Follower } from '../support/follower';

/* A live class through two servers: numbered, resumed, revoked, with a server killed in the middle. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let one: Served;
let two: Served;
let classIds: string[];
const { plan } = itemAt(demoClasses(), 0);
const shown = shownClass(plan, expandPlan(plan));

beforeAll(async () => {
  database = await freshDatabase('calm_live');
  await seedDemo(database.db);
  one = await serve(database.url);
  two = await serve(database.url);
  const listed = (await (await fetch(`${one.origin}/api/classes`)).json()) as { classes: { id: string }[] };
  classIds = listed.classes.map(({ id }) => id);
});
afterAll(async () => {
  await Promise.all([one.stop(), two.stop()]);
  await database.drop();
});

async function ask(served: Served, method: string, path: string, body?: unknown) {
  const headers = { 'content-type': 'application/json', origin: served.origin };
  const response = await fetch(`${served.origin}${path}`, {
    method,
    headers,
    body: body === undefined ? undefined : JSON.stringify(body),
  });
  const text = await response.text();
  return { status: response.status, value: (text === '' ? null : JSON.parse(text)) as Record<string, unknown> };
}

const standing = (placeSeconds: number, mode: Standing['mode'] = 'running'): Standing => ({
  mode,
  by: 'clock',
  placeSeconds,
  at: Date.now(),
});
const told = (placeSeconds: number, mode?: Standing['mode']) => ({
  id: randomUUID(),
  standing: standing(placeSeconds, mode),
});

async function start(classId: string, leader: string, take = false) {
  const { status, value } = await ask(one, 'POST', `/api/classes/${classId}/live`, { leader, shown, take });
  // What the server answers, by its own type; a refusal has other fields, and is told by its status.
  return { status, codes: takenAs<LiveCodes>(value) };
}
const lead = (served: Served, classId: string, leader: string, events: unknown[]) =>
  ask(served, 'POST', `/api/classes/${classId}/live/events`, { leader, events });

async function until(what: () => boolean): Promise<void> {
  for (let tries = 0; tries < 200 && !what(); tries++) await new Promise((done) => setTimeout(done, 50));
  expect(what()).toBe(true);
}

describe('a live class', () => {
  it('reaches those who follow through either server, in order and once, though one is killed in the middle', async () => {
    const classId = itemAt(classIds, 0);
    const leader = randomUUID();
    const { codes } = await start(classId, leader);
    const followers = [one, two, one, two].map(
      (first) => new Follower(first === one ? [one.origin, two.origin] : [two.origin, one.origin], codes.code),
    );
    const following = followers.map((follower) => follower.follow());
    await until(() => followers.every(({ heard }) => heard.length > 0));
    expect(followers.map(({ heard }) => heard[0]?.kind)).toEqual(Array(4).fill('stands'));
    expect(itemAt(followers, 0).heard[0]?.data).toMatchObject({ standing: null, shown: { title: plan.title } });

    const first = told(1);
    expect((await lead(one, classId, leader, [first, told(2)])).value).toEqual({ number: 2 });
    // An answer that was lost: the same comes again, through the other server, with what is new.
    expect((await lead(two, classId, leader, [first, told(3)])).value).toEqual({ number: 3 });
    await until(() => followers.every(({ heard }) => heard.at(-1)?.number === 3));
    two.process.kill('SIGKILL');
    for (let place = 4; place <= 9; place++) await lead(one, classId, leader, [told(place)]);
    await until(() => followers.every(({ heard }) => heard.at(-1)?.number === 9));
    two = await serve(database.url, Number(new URL(two.origin).port));
    await lead(two, classId, leader, [told(10)]);
    await until(() => followers.every(({ heard }) => heard.at(-1)?.number === 10));
    for (const { heard } of followers) {
      expect(heard.slice(1).map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
      const places = heard.slice(1).map(({ data }) => (data.standing as Standing).placeSeconds);
      expect(places).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
    }
    expect(followers.some(({ returns }) => returns > 0)).toBe(true);

    // Ended by hand: everybody is told, and the codes open nothing more.
    expect((await ask(one, 'DELETE', `/api/classes/${classId}/live`)).status).toBe(204);
    await Promise.all(following);
    expect(followers.every(({ heard }) => heard.at(-1)?.kind === 'over')).toBe(true);
    for (const path of ['', '/events', '/clock']) {
      expect((await ask(two, 'GET', `/api/live/${codes.code}${path}`)).status).toBe(410);
    }
    expect((await lead(one, classId, leader, [told(11)])).status).toBe(410);
  });

  it('is told how it stands to whoever comes late, and the connection that listens is replaced', async () => {
    const classId = itemAt(classIds, 1);
    const leader = randomUUID();
    const { codes } = await start(classId, leader);
    await lead(one, classId, leader, [told(5), { id: randomUUID(), shown: { ...shown, title: 'Changed' } }]);
    const late = new Follower([one.origin], codes.code);
    const following = late.follow();
    await until(() => late.heard.length > 0);
    expect(late.heard[0]).toMatchObject({ number: 2, kind: 'stands', data: { shown: { title: 'Changed' } } });
    expect(late.heard[0]?.data.standing).toMatchObject({ placeSeconds: 5 });
    await onCluster(
      "select pg_terminate_backend(pid) from pg_stat_activity where datname = 'calm_live' and query like 'listen %'",
    );
    await lead(two, classId, leader, [told(6)]);
    await until(() => late.heard.at(-1)?.number === 3);
    expect(late.returns).toBe(0);
    late.stop();
    await following;
  });

  it('has one prompter that leads, which another may take over and no stranger', async () => {
    const classId = itemAt(classIds, 2);
    const [mine, other] = [randomUUID(), randomUUID()];
    const { codes } = await start(classId, mine);
    expect((await start(classId, other)).status).toBe(409);
    expect((await start(classId, mine)).codes.code).toBe(codes.code);
    expect((await lead(one, classId, other, [told(1)])).status).toBe(409);
    expect((await start(classId, other, true)).codes.code).toBe(codes.code);
    expect((await lead(one, classId, mine, [told(1)])).status).toBe(409);
    expect((await lead(one, classId, other, [told(1)])).status).toBe(200);
  });

  it('is led by one alone when several take it over at once, each telling through either server', async () => {
    const classId = itemAt(classIds, 7);
    const { codes } = await start(classId, randomUUID());
    const follower = new Follower([one.origin, two.origin], codes.code);
    const following = follower.follow();
    const leaders = Array.from({ length: 8 }, () => randomUUID());
    const taken = await Promise.all(
      leaders.map(async (leader, at) => {
        const server = at % 2 === 0 ? one : two;
        const { status } = await ask(server, 'POST', `/api/classes/${classId}/live`, { leader, shown, take: true });
        await lead(server, classId, leader, [told(10 * at)]);
        return status;
      }),
    );
    expect(taken).toEqual(leaders.map(() => 201));
    const answers = await Promise.all(leaders.map((leader, at) => lead(two, classId, leader, [told(1000 + at)])));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array.from({ length: 7 }, () => 409)]);
    // Those who follow hear of the one that leads, and of none that it was taken from.
    const places = (): number[] =>
      follower.heard.flatMap(({ data }) => {
        const { placeSeconds } = takenAs<Partial<Standing>>(data.standing ?? data);
        return placeSeconds !== undefined && placeSeconds >= 1000 ? [placeSeconds] : [];
      });
    await until(() => places().length > 0);
    expect(places()).toEqual([1000 + answers.findIndex(({ status }) => status === 200)]);
    follower.stop();
    await following;
  });

  it('is moved on by the code of the remote alone, and followers do not hear of presses', async () => {
    const classId = itemAt(classIds, 3);
    const leader = randomUUID();
    const { codes } = await start(classId, leader);
    const press = { id: randomUUID(), command: 'next-line', at: Date.now() };
    expect((await ask(one, 'POST', `/api/live/${codes.code}/commands`, press)).status).toBe(403);
    const remote = new Follower([one.origin], codes.remoteCode);
    const follower = new Follower([two.origin], codes.code);
    const both = [remote.follow(), follower.follow()];
    await until(() => remote.heard.length > 0 && follower.heard.length > 0);
    expect((await ask(two, 'POST', `/api/live/${codes.remoteCode}/commands`, press)).value).toEqual({ number: 1 });
    expect((await ask(one, 'POST', `/api/live/${codes.remoteCode}/commands`, press)).value).toEqual({ number: 1 });
    await lead(one, classId, leader, [told(4)]);
    await until(() => remote.heard.at(-1)?.number === 2 && follower.heard.at(-1)?.number === 2);
    expect(remote.heard[1]?.data).toMatchObject({ kind: 'command', command: 'next-line' });
    expect(follower.heard.map(({ number }) => number)).toEqual([0, 2]);
    expect(JSON.stringify(follower.heard)).not.toContain(codes.remoteCode);
    remote.stop();
    follower.stop();
    await Promise.all(both);
  });

  it('ends a while after the class, is refused with wrong codes and values, and shows nothing else of the plan', async () => {
    const classId = itemAt(classIds, 4);
    const leader = randomUUID();
    const { codes } = await start(classId, leader);
    await lead(one, classId, leader, [told(600, 'done')]);
    const again = await start(classId, leader);
    expect(again.codes.code).toBe(codes.code);
    for (const code of ['zzzzzzzz', 'no', 'ABCDEFGH2345']) {
      expect((await ask(one, 'GET', `/api/live/${code}`)).status).toBe(404);
    }
    const typed = `${codes.code.slice(0, 4)} ${codes.code.slice(4)}`.toUpperCase();
    expect((await ask(one, 'GET', `/api/live/${encodeURIComponent(typed)}`)).status).toBe(200);
    for (const bad of [[], [{ id: 'x' }], [{ ...told(1), shown }], [told(-1)], [told(1e9)]]) {
      expect((await lead(one, classId, leader, bad)).status).toBe(422);
    }
    const open = await ask(one, 'GET', `/api/live/${codes.code}`);
    expect(Object.keys(open.value).sort()).toEqual(['code', 'mayLead', 'number', 'shown', 'standing']);
    expect(open.value.mayLead).toBe(false);
    expect((await start('00000000-0000-4000-8000-000000000000', leader)).status).toBe(404);
  });

  it('stops with followers on it within its time', async () => {
    const classId = itemAt(classIds, 0);
    const { codes } = await start(classId, randomUUID());
    const third = await serve(database.url);
    const follower = new Follower([third.origin], codes.code);
    const following = follower.follow();
    await until(() => follower.heard.length > 0);
    const began = Date.now();
    const ended = third.stop();
    follower.stop();
    expect(await ended).toBe(0);
    expect(Date.now() - began).toBeLessThan(8_000);
    await following;
  });
});
