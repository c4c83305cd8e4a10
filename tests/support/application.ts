import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { fileURLToPath } from 'node:url';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { Client } from 'pg';
import { closeDatabase, openDatabase, type Database } from '@/db/database';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));

/** The cluster that `./test` started for this run; never the demo's. */
function testCluster(): string {
  const url = process.env.TEST_DATABASE_URL;
  if (!url) throw new Error('TEST_DATABASE_URL is not set: run the tests with ./test');
  return url;
}

/** Runs a statement on the test cluster itself. */
export async function onCluster(sql: string): Promise<void> {
  const client = new Client({ connectionString: testCluster() });
  await client.connect();
  try {
    await client.query(sql);
  } finally {
    await client.end();
  }
}

/** Shuts a database to everybody and cuts every connection to it, or opens it again. */
export async function shutDatabase(url: string, shut: boolean): Promise<void> {
  const name = new URL(url).pathname.slice(1);
  await onCluster(`alter database ${name} with allow_connections ${shut ? 'false' : 'true'}`);
  if (shut) await onCluster(`select pg_terminate_backend(pid) from pg_stat_activity where datname = '${name}'`);
}

/** A database of its own, migrated and empty; `DATABASE_URL` points to it until `drop`. */
export async function freshDatabase(name: string): Promise<{ db: Database; url: string; drop: () => Promise<void> }> {
  await onCluster(`drop database if exists ${name} with (force)`);
  await onCluster(`create database ${name}`);
  const url = new URL(testCluster());
  url.pathname = `/${name}`;
  process.env.DATABASE_URL = url.href;
  const db = openDatabase();
  await migrate(db, { migrationsFolder: `${ROOT}/src/db/migrations` });
  return {
    db,
    url: url.href,
    drop: async () => {
      await closeDatabase();
      await onCluster(`drop database if exists ${name} with (force)`);
    },
  };
}

export interface Served {
  readonly origin: string;
  readonly process: ChildProcess;
  /** Everything it logged, line by line. */
  readonly log: string[];
  readonly stop: () => Promise<number | null>;
}

/** A port that was free may be taken before it is listened at; another is tried so often. */
const TRIES = 5;

/** The built application behind its real door, on a free port or on one that it had before. */
export async function serve(
  databaseUrl: string,
  wantedPort?: number,
  env: Readonly<Record<string, string>> = {},
): Promise<Served> {
  if (wantedPort !== undefined) return serveAt(wantedPort, databaseUrl, env);
  for (let left = TRIES - 1; ; left--) {
    try {
      return await serveAt(await freePort(), databaseUrl, env);
    } catch (error) {
      if (left === 0 || !String(error).includes('EADDRINUSE')) throw error;
    }
  }
}

async function serveAt(port: number, databaseUrl: string, env: Readonly<Record<string, string>>): Promise<Served> {
  const child = spawn(process.execPath, ['server.mjs'], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), HOST: '127.0.0.1', ...env },
  });
  const log: string[] = [];
  const listening = new Promise<void>((done, fail) => {
    child.stdout.on('data', (data: Buffer) => {
      log.push(...data.toString().split('\n').filter(Boolean));
      if (log.some((line) => line.includes('"listening"'))) done();
    });
    child.stderr.on('data', (data: Buffer) => log.push(data.toString()));
    child.on('exit', (code) => fail(new Error(`the server ended with ${code}: ${log.join('\n')}`)));
  });
  await listening;
  const ended = new Promise<number | null>((done) => child.on('exit', (code) => done(code)));
  return {
    origin: `http://127.0.0.1:${port}`,
    process: child,
    log,
    stop: () => {
      child.kill('SIGTERM');
      return ended;
    },
  };
}

function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });
}
