import { execFileSync } from 'node:child_process';
import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/chromium.mjs';
import { IS_ALL } from './src/testing/all';

/** Tests that run side by side. Each has a server and data of its own: none sees what another one does. */
const WORKERS = 2;

/** Free ports, found once: the processes of the tests take them from their environment. */
process.env['YS_TEST_PORTS'] ??= execFileSync(process.execPath, ['scripts/free-ports.mjs', String(WORKERS)])
  .toString()
  .trim();
export const PORTS: readonly number[] = process.env['YS_TEST_PORTS'].split(' ').map(Number);

/** A connection that waits is not closed just when it is used again, ms. */
export const KEEP_ALIVE = 600_000;

/** The port of the server that belongs to this process. */
export const PORT = PORTS[Number(process.env['TEST_PARALLEL_INDEX'] ?? 0)] ?? NaN;

/** Where the server on a port keeps its data. */
export const dataOf = (port: number): string => `${process.cwd()}/test-results/data-${PORTS.indexOf(port)}`;

/** Servers that are killed, besieged and started again. */
const LONG = '**/stands.e2e.ts';

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/warm-up.ts',
  // What takes longest begins first, so that both processes end at about the same time.
  projects: [
    { name: 'long', testMatch: LONG },
    { name: 'short', testMatch: '**/*.e2e.ts', testIgnore: LONG },
  ],
  outputDir: 'test-results/playwright',
  workers: WORKERS,
  retries: 0,
  ...(!IS_ALL && { grepInvert: /@all/ }),
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
  webServer: PORTS.map((port) => ({
    command: `rm -rf ${dataOf(port)} && npx next start -H 127.0.0.1 -p ${port} --keepAliveTimeout ${KEEP_ALIVE}`,
    url: `http://127.0.0.1:${port}/api/jobs`,
    env: { YS_DEMO: '1', YS_DATA: dataOf(port), YS_HOME: process.cwd() },
    reuseExistingServer: false,
    timeout: 600_000,
  })),
});
