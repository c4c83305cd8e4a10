import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['src/**/*.test.ts', 'tests/**/*.test.ts'],
    // One more than a small machine has processors: the server tests wait for answers more than they compute.
    maxWorkers: 3,
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
});
