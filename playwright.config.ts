import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/chromium.mjs';

export const PORT = 4399;

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/warm-up.ts',
  testMatch: '**/*.e2e.ts',
  outputDir: 'test-results/playwright',
  workers: 1,
  retries: 0,
  // Patience, not a measure: what is slow is seen in the benchmarks. A page opened for the first time on a busy machine
  // has taken seven seconds to put its piece on the bench.
  timeout: 90_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
    screenshot: 'only-on-failure',
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: `rm -rf test-results/data && npx next start -H 127.0.0.1 -p ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/jobs`,
    env: { YS_DEMO: '1', YS_DATA: `${process.cwd()}/test-results/data`, YS_HOME: process.cwd() },
    reuseExistingServer: false,
    timeout: 240_000,
  },
});
