import { defineConfig } from '@playwright/test';

/** Ways whose views others go through in every run, and whose figures the core holds. */
const long = ['shapes.spec.ts', 'planning.spec.ts', 'records.spec.ts'];

/** The real interface in Debian's Chromium, against the built server. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  // With `PUNTADA_LONG=1` all of them: every run stays under a quarter of an hour.
  testIgnore: process.env.PUNTADA_LONG ? [] : long,
  // Single ones of that kind say so themselves.
  ...(process.env.PUNTADA_LONG ? {} : { grepInvert: /@long/ }),
  globalSetup: './template.ts',
  workers: 2,
  fullyParallel: true,
  // Shared machines stall for seconds at a time; a test that waits longer has found something.
  timeout: 90_000,
  expect: { timeout: 20_000 },
  retries: 0,
  outputDir: '../test-results',
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // To keep a copy of all pages takes every test a second; those that need one ask for it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
