import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests/browser',
  // Each worker serves the application on a database of its own: see `application` in tests/browser/desk-page.ts.
  fullyParallel: true,
  workers: 2,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  outputDir: 'test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    // A press that cannot be made tells so long before its test is over.
    actionTimeout: 30_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // The stand-in for a streaming program records its own tab, which somebody else allows by hand.
        '--auto-accept-this-tab-capture',
      ],
    },
  },
});
