import { itemAt } from '@/core/units';
import { connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ClassesPage } from '@/api/classes';
import { demoClasses } from '@/demo/classes';
import { seedDemo } from '@/demo/seed';
import { freshDatabase, serve, shutDatabase, type Served } from '../support/application';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let served: Served;

beforeAll(async () => {
  database = await freshDatabase('calm_door');
  await seedDemo(database.db);
  served = await serve(database.url);
});
afterAll(async () => {
  await served.stop();
  await database.drop();
});

const json = (body: unknown, more: Record<string, string> = {}): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/json', origin: served.origin, ...more },
  body: typeof body === 'string' ? body : JSON.stringify(body),
});
const post = (body: unknown, more?: Record<string, string>): Promise<Response> =>
  fetch(`${served.origin}/api/classes`, json(body, more));

describe('the door', () => {
  it('answers for its health and its pages', async () => {
    expect(await (await fetch(`${served.origin}/healthz`)).json()).toEqual({ ok: true });
    expect(await (await fetch(`${served.origin}/readyz`)).json()).toEqual({ ok: true, database: true });
    const page = await fetch(served.origin);
    expect(page.status).toBe(200);
    expect(await page.text()).toContain('Slack Water Hall');
    expect((await fetch(`${served.origin}/classes/nobody`)).status).toBe(404);
    expect((await fetch(`${served.origin}/nowhere`)).status).toBe(404);
  });

  it('sends a strict policy with every page and every answer', async () => {
    const page = (await fetch(served.origin)).headers;
    const policy = page.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).toMatch(/script-src 'self'/);
    expect(policy).not.toMatch(/unsafe-inline|unsafe-eval|\*/);
    expect([page.get('x-content-type-options'), page.get('x-frame-options'), page.get('x-powered-by')]).toEqual([
      'nosniff',
      'DENY',
      null,
    ]);
    const answer = (await fetch(`${served.origin}/api/classes`)).headers;
    expect([answer.get('content-security-policy'), answer.get('cache-control')]).toEqual([
      "default-src 'none'; frame-ancestors 'none'",
      'no-store',
    ]);
  });

  it('compresses', async () => {
    const page = await fetch(`${served.origin}/api/classes/${await firstId()}`, {
      headers: { 'accept-encoding': 'gzip' },
    });
    expect(page.headers.get('content-encoding')).toBe('gzip');
  });

  it.each([{ origin: 'https://elsewhere.example' }, { origin: 'null' }, { origin: '' }])(
    'refuses a change from another origin (%j)',
    async (more) => {
      const response = await post({ from: 'nothing' }, more);
      expect(response.status).toBe(403);
      expect(response.headers.get('content-type')).toBe('application/problem+json');
    },
  );

  it('does not take forwarded headers for the truth', async () => {
    const response = await post(
      { from: 'nothing' },
      { origin: 'https://elsewhere.example', 'x-forwarded-host': 'elsewhere.example', 'x-forwarded-proto': 'https' },
    );
    expect(response.status).toBe(403);
  });

  it.each([
    ['not json at all', 400],
    ['{"from": "nothing"', 400],
    [{ from: 'sideways' }, 422],
    [{ from: 'nothing', targetSeconds: -1 }, 422],
    [{ from: 'nothing', title: 'x'.repeat(10_000) }, 422],
    [{ from: 'plan', plan: null }, 422],
    [{ from: 'plan', plan: { ...itemAt(demoClasses(), 0).plan, version: 99 } }, 422],
    [{ from: 'class', classId: '00000000-0000-4000-8000-000000000000' }, 404],
    [null, 422],
    [[], 422],
  ])('refuses %j with %d and a problem in words', async (body, status) => {
    const response = await post(body);
    expect(response.status).toBe(status);
    const problem = (await response.json()) as { title: string; detail: string; status: number };
    expect(problem.status).toBe(status);
    expect(problem.detail.length).toBeGreaterThan(20);
    expect(JSON.stringify(problem)).not.toMatch(/at .*\.(m?js|ts):/);
  });

  it('refuses what is not sent as JSON', async () => {
    expect((await post('from=nothing', { 'content-type': 'text/plain' })).status).toBe(415);
  });

  it('refuses a body that is too large before reading it', async () => {
    const head = `PUT /api/classes/x HTTP/1.1\r\nHost: ${new URL(served.origin).host}\r\nOrigin: ${served.origin}\r\nContent-Type: application/json\r\nContent-Length: 900000000\r\n\r\n`;
    expect(await rawAnswer(head)).toMatch(/^HTTP\/1\.1 413/);
    const chunked = head.replace('Content-Length: 900000000', 'Transfer-Encoding: chunked');
    expect(await rawAnswer(chunked)).toMatch(/^HTTP\/1\.1 411/);
  });

  it('answers under its own names alone, whatever port they name', async () => {
    const asked = (host: string, path = '/api/classes'): Promise<string> =>
      rawAnswer(`GET ${path} HTTP/1.1\r\nHost: ${host}\r\nConnection: close\r\n\r\n`);
    for (const host of ['localhost', '127.0.0.1:9', '[::1]:80', 'LOCALHOST:1'])
      expect(await asked(host)).toMatch(/^HTTP\/1\.1 200/);
    for (const host of [
      'elsewhere.example',
      'localhost.elsewhere.example',
      '127.0.0.1.elsewhere.example',
      '169.254.1.1',
    ])
      expect(await asked(host)).toMatch(/^HTTP\/1\.1 421/);
    expect(await asked('elsewhere.example', '/')).toMatch(/^HTTP\/1\.1 421/);
    const named = await serve(database.url, undefined, { CALM_ORIGIN: 'https://classes.example' });
    try {
      const { port } = new URL(named.origin);
      const head = `GET /healthz HTTP/1.1\r\nHost: classes.example\r\nConnection: close\r\n\r\n`;
      expect(await rawAnswer(head, Number(port))).toMatch(/^HTTP\/1\.1 200/);
    } finally {
      await named.stop();
    }
  });

  it('keeps nothing on the way, is framed nowhere, and asks for no more of the browser than it needs', async () => {
    for (const path of ['/', '/library', '/bin', '/api/classes']) {
      const { headers } = await fetch(`${served.origin}${path}`);
      expect(headers.get('cache-control'), path).toBe('no-store');
      expect(headers.get('content-security-policy'), path).toContain("frame-ancestors 'none'");
      expect(headers.get('permissions-policy'), path).toMatch(/camera=\(\).*geolocation=\(\)/);
    }
    // Second screens alone, by pages of our own: the stand-in for a streaming program lays them over its picture.
    for (const path of ['/live/x/stage', '/classes/x/stage']) {
      const { headers } = await fetch(`${served.origin}${path}`);
      expect(headers.get('content-security-policy'), path).toContain("frame-ancestors 'self'");
      expect(headers.get('x-frame-options'), path).toBe('SAMEORIGIN');
    }
    const camera = async (path: string): Promise<string> =>
      /camera=\([a-z]*\)/.exec((await fetch(`${served.origin}${path}`)).headers.get('permissions-policy') ?? '')?.[0] ??
      '';
    expect(await camera('/classes/x/perform')).toBe('camera=(self)');
    expect(await camera('/classes/x/takes')).toBe('camera=()');
    for (const path of ['/live/x', '/live/x/remote', '/live/x/stage/y']) {
      expect((await fetch(`${served.origin}${path}`)).headers.get('x-frame-options'), path).toBe('DENY');
    }
    const page = await (await fetch(served.origin)).text();
    const [, script] = /"(\/_astro\/[^"]+\.js)"/.exec(page) ?? [];
    expect((await fetch(`${served.origin}${script}`)).headers.get('cache-control')).toContain('immutable');
  });

  it.each(['TRACE', 'PROPFIND'])('has no %s', async (method) => {
    const { host } = new URL(served.origin);
    expect(await rawAnswer(`${method} / HTTP/1.1\r\nHost: ${host}\r\nConnection: close\r\n\r\n`)).toMatch(
      /^HTTP\/1\.1 405/,
    );
  });

  it('logs one line of JSON a request, without what was asked in the address', async () => {
    await fetch(`${served.origin}/healthz?secret=1`);
    await new Promise((done) => setTimeout(done, 100));
    const lines = served.log
      .filter((line) => line.includes('/healthz'))
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    expect(lines.at(-1)).toMatchObject({ method: 'GET', path: '/healthz', status: 200 });
    expect(served.log.join('')).not.toContain('secret');
  });

  it('says that the database is away, and goes on when it is back', async () => {
    const away = await serve(database.url.replace(/:\d+\//, ':1/'));
    try {
      const response = await fetch(`${away.origin}/api/classes`);
      expect(response.status).toBe(503);
      expect(await response.json()).toMatchObject({ code: 'database-away' });
      expect((await fetch(`${away.origin}/healthz`)).status).toBe(200);
      expect((await fetch(`${away.origin}/readyz`)).status).toBe(503);
      expect(response.headers.get('retry-after')).toBe('3');
      expect((await fetch(away.origin)).headers.get('retry-after')).toBe('3');
      expect(await (await fetch(away.origin)).text()).toContain('The database is not available');
    } finally {
      expect(await away.stop()).toBe(0);
    }
  });

  it('goes on by itself after every connection to the database was cut', async () => {
    await shutDatabase(database.url, true);
    expect((await fetch(`${served.origin}/api/classes`)).status).toBe(503);
    await shutDatabase(database.url, false);
    expect((await fetch(`${served.origin}/api/classes`)).status).toBe(200);
  });

  it('ends a running request before it stops', async () => {
    const other = await serve(database.url);
    const asked = fetch(`${other.origin}/api/classes`);
    await new Promise((done) => setTimeout(done, 5));
    const stopped = other.stop();
    expect((await asked).status).toBe(200);
    expect(await stopped).toBe(0);
  });
});

async function firstId(): Promise<string> {
  const { classes } = (await (await fetch(`${served.origin}/api/classes`)).json()) as ClassesPage;
  return itemAt(classes, 0).id;
}

function rawAnswer(request: string, at = Number(new URL(served.origin).port)): Promise<string> {
  return new Promise((done, fail) => {
    const socket = connect(at, '127.0.0.1', () => socket.write(request));
    socket.once('data', (data) => {
      done(data.toString());
      socket.destroy();
    });
    socket.once('error', fail);
  });
}
