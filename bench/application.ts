import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const START = fileURLToPath(new URL('../start', import.meta.url));

/** Works with the application at CALM_URL, or with one started here and ended afterwards. */
export async function withApplication(work: (url: string) => Promise<void>): Promise<void> {
  const given = process.env.CALM_URL;
  if (given) return work(given);
  const started = spawn(START, [], { stdio: ['ignore', 'pipe', 'inherit'], detached: true });
  try {
    await work(await addressOf(started));
  } finally {
    if (started.pid) process.kill(-started.pid, 'SIGTERM');
  }
}

function addressOf(started: ReturnType<typeof spawn>): Promise<string> {
  return new Promise((done, fail) => {
    started.stdout?.on('data', (data: Buffer) => {
      const found = /http:\/\/localhost:\d+/.exec(data.toString())?.[0];
      if (found) done(found);
    });
    started.on('exit', () => fail(new Error('./start ended before it served')));
  });
}
