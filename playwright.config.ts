import { execFileSync } from 'node:child_process';
import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/chromium.mjs';

/** A free port, found once: the processes of the tests take it from their environment. */
process.env['YS_TEST_PORT'] ??= execFileSync(process.execPath, [
  '-e',
  "const s = require('node:net').createServer().listen(0, '127.0.0.1', () => { console.log(s.address().port); s.close(); })",
])
  .toString()
  .trim();
export const PORT = Number(process.env['YS_TEST_PORT']);

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/warm-up.ts',
  testMatch: '**/*.e2e.ts',
  outputDir: 'test-results/playwright',
  workers: 1,
  retries: 0,
  // Limits are for what hangs, not for what is slow: that is seen in the benchmarks. A busy machine takes its time.
  timeout: 900_000,
  expect: { timeout: 90_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 90_000,
    navigationTimeout: 90_000,
    screenshot: 'only-on-failure',
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: `rm -rf test-results/data && npx next start -H 127.0.0.1 -p ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/jobs`,
    env: { YS_DEMO: '1', YS_DATA: `${process.cwd()}/test-results/data`, YS_HOME: process.cwd() },
    reuseExistingServer: false,
    timeout: 600_000,
  },
});
