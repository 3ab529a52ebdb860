import { defineConfig } from '@playwright/test';
import './scripts/shiftDate.mjs';

/** One of the two halves that `npm test` runs side by side, each against a made-up house of its own. */
const part = process.env.BUNKHOUSE_TEST_PART ?? 'one';

/** The address of a running house with the demo. */
export default defineConfig({
  testDir: 'e2e',
  outputDir: `test-results/${part}`,
  timeout: 120_000,
  expect: { timeout: 15_000 },
  workers: 1,
  fullyParallel: false,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: `test-results/browser-${part}.json` }]],
  use: {
    baseURL: process.env.BUNKHOUSE_TEST_URL ?? 'http://127.0.0.1:4180',
    viewport: { width: 1280, height: 800 },
    // The app that a device keeps is tried in a test of its own; elsewhere it would stand between the test and the house.
    serviceWorkers: 'block',
    locale: 'en-GB',
    timezoneId: 'America/Denver',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
    },
    // A trace of each test takes a quarter of its time: ask for one with --trace on when a picture of the end does not tell enough.
    screenshot: 'only-on-failure',
  },
});
