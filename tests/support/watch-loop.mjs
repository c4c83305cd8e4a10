/*
 * Loaded into a server before anything else (`NODE_OPTIONS=--import`): on SIGUSR2 it prints how long the event loop was
 * held at most since the last time, in milliseconds, and how much memory is in use once what is not needed is gone.
 */
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

if (isMainThread) {
  const delay = monitorEventLoopDelay({ resolution: 1 });
  delay.enable();
  process.on('SIGUSR2', () => {
    const heldMilliseconds = delay.max / 1e6;
    globalThis.gc?.();
    const { heapUsed, rss } = process.memoryUsage();
    delay.reset();
    process.stdout.write(`${JSON.stringify({ watched: true, heldMilliseconds, heapUsed, rss })}\n`);
  });
}
