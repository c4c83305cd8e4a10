import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** What holds a state of its own: drafts, pages, servers. Each of these files has its modules to itself. */
const APART = ['src/{editing,islands,workers}/**/*.test.ts', 'tests/{server,start}/**/*.test.ts'];

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    // Vitest leaves one processor free; there is nothing else for it to do here.
    maxWorkers: 2,
    testTimeout: 60_000,
    hookTimeout: 60_000,
    projects: [
      { extends: true, test: { name: 'apart', include: APART } },
      {
        extends: true,
        // The rest is functions of what they are given: modules are read once for all of them.
        test: { name: 'pure', include: ['src/**/*.test.ts', 'tests/**/*.test.ts'], exclude: APART, isolate: false },
      },
    ],
  },
});
