import { defineConfig } from '@playwright/test';
import endToEnd from '../e2e/playwright.config.ts';

/** Dragging and answering are timed alone, in the same browser as the end-to-end tests. */
export default defineConfig({
  ...endToEnd,
  testDir: '.',
  testMatch: '*.bench.ts',
  globalSetup: '../e2e/template.ts',
  workers: 1,
  outputDir: '../.cache/bench/results',
});
