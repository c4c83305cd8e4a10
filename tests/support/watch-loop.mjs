/*
 * Loaded into a server before anything else (`NODE_OPTIONS=--import`): on SIGUSR2 it prints how long the event loop was
 * held at most since the last time, in milliseconds, how long its thread computed in all (Linux counts that, and a busy
 * machine does not make it longer), and how much memory is in use once what is not needed is gone.
 */
import { readFileSync } from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

if (isMainThread) {
  const delay = monitorEventLoopDelay({ resolution: 1 });
  delay.enable();
  const own = `/proc/self/task/${process.pid}/schedstat`;
  const computed = () => Number(readFileSync(own, 'utf8').split(' ')[0]) / 1e6;
  let before = computed();
  process.on('SIGUSR2', () => {
    const heldMilliseconds = delay.max / 1e6;
    const computedMilliseconds = computed() - before;
    globalThis.gc?.();
    const { heapUsed, rss } = process.memoryUsage();
    delay.reset();
    before = computed();
    process.stdout.write(
      `${JSON.stringify({ watched: true, heldMilliseconds, computedMilliseconds, heapUsed, rss })}\n`,
    );
  });
}
