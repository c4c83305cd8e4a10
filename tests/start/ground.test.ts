import { spawnSync } from 'node:child_process';
import { createServer } from 'node:net';
import { chmodSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'calm-ground-'));
chmodSync(folder, 0o755);
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function bash(script: string): { status: number | null; said: string } {
  const { status, stdout, stderr } = spawnSync('bash', ['-c', `. scripts/ground.sh; ${script}`], {
    cwd: ROOT,
    encoding: 'utf8',
  });
  return { status, said: `${stdout}${stderr}` };
}

describe('a database folder', () => {
  it('that holds files and no database is left as it is, and said', () => {
    const dir = join(folder, 'files');
    mkdirSync(dir);
    writeFileSync(join(dir, 'letter.txt'), 'mine');
    const { status, said } = bash(`make_cluster ${dir}`);
    expect(status).toBe(1);
    expect(said).toContain('is damaged: it holds files and no database');
    expect(readdirSync(dir)).toEqual(['letter.txt']);
  });

  it('that lacks parts is left as it is, and said', () => {
    const dir = join(folder, 'parts');
    mkdirSync(dir);
    writeFileSync(join(dir, 'PG_VERSION'), '15');
    const { status, said } = bash(`make_cluster ${dir}`);
    expect(status).toBe(1);
    expect(said).toContain('parts of it are missing. Nothing in it was changed');
  });

  it('of another PostgreSQL is said', () => {
    const dir = join(folder, 'other');
    mkdirSync(join(dir, 'global'), { recursive: true });
    writeFileSync(join(dir, 'PG_VERSION'), '9.6');
    writeFileSync(join(dir, 'global/pg_control'), 'x');
    expect(bash(`make_cluster ${dir}`).said).toContain('was made by PostgreSQL 9.6');
  });

  it('that was begun by a start that was killed is made anew', () => {
    const dir = join(folder, 'killed');
    mkdirSync(`${dir}.new`);
    writeFileSync(join(`${dir}.new`, 'PG_VERSION'), '15');
    const { status, said } = bash(`make_cluster ${dir} && start_cluster ${dir} ${folder}/s fsync=off`.replace('&& start', `&& make_socket_folder ${folder}/s && start`).concat(` && need_database ${folder}/s calm_try; stop_cluster ${dir}`)); // prettier-ignore
    expect(said).toContain(`?host=${folder}/s`);
    expect(status).toBe(0);
  });
});

describe('./start', () => {
  it('says that a port is taken before it makes anything', async () => {
    const holder = createServer();
    const port = await new Promise<number>((done) => {
      holder.listen(0, '127.0.0.1', () => {
        const address = holder.address();
        done(typeof address === 'object' && address ? address.port : 0);
      });
    });
    try {
      const { status, stderr } = spawnSync(join(ROOT, 'start'), ['--port', String(port)], { encoding: 'utf8' });
      expect([status, stderr.trim()]).toEqual([1, `calm count: port ${port} is taken; choose another with --port`]);
    } finally {
      holder.close();
    }
  });
});
