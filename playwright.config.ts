import { defineConfig } from '@playwright/test';
import { CHROMIUM, CHROMIUM_WITH_DEVICES } from './tests/support/chromium';

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // The stand-in for a streaming program records its own tab, which somebody else allows by hand.
  '--auto-accept-this-tab-capture',
];
/** What asks for a camera, a microphone or the picture of a tab, or ends its renderer. */
const WITH_DEVICES = /\/(?:ear|recording|stand-in|voice|whole-class)\.spec\.ts$/;
/** Tests with this tag listen in time with a class, and have the machine to themselves: a busy one hears late. */
const ALONE = /@alone/;

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
  },
  // What waits longest for sound to pass comes first: the rest fills the other worker to the end.
  projects: [
    {
      name: 'devices',
      testMatch: WITH_DEVICES,
      grepInvert: ALONE,
      use: { launchOptions: { executablePath: CHROMIUM_WITH_DEVICES, args } },
    },
    {
      name: 'pages',
      testIgnore: WITH_DEVICES,
      use: { launchOptions: { executablePath: CHROMIUM, args } },
    },
    {
      name: 'alone',
      testMatch: WITH_DEVICES,
      grep: ALONE,
      dependencies: ['pages', 'devices'],
      use: { launchOptions: { executablePath: CHROMIUM_WITH_DEVICES, args } },
    },
  ],
});
