import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, type BrowserContext, type Page } from '@playwright/test';
import { PORT } from '../playwright.config';
import { CHROMIUM } from '../scripts/chromium.mjs';

/** What a page can remember; what the browser fetched once is kept, as that of anybody who comes a second time. */
const REMEMBERED = 'cookies,file_systems,indexeddb,local_storage,service_workers,cache_storage';

/** A test that is only run where everything is tried (`npm run test:all`): another stands for it in a common run. */
export const ALONE = { tag: '@all' } as const;

/**
 * Tests in the browser of somebody who was here before: fonts, engine and scripts are in its cache, everything that the
 * application remembers in a browser is gone before the next test. What a first visit is like is tested with
 * Playwright’s own `test`, which gives each test a new browser profile.
 */
export const test = base.extend<object, { visited: BrowserContext }>({
  visited: [
    async ({ playwright }, use, { project }) => {
      const folder = await mkdtemp(join(tmpdir(), 'yellow-sheet-browser-'));
      const { viewport = null, actionTimeout = 0, navigationTimeout = 0 } = project.use;
      const baseURL = `http://127.0.0.1:${PORT}`;
      const context = await playwright.chromium.launchPersistentContext(folder, { ...CHROMIUM, baseURL, viewport });
      context.setDefaultTimeout(actionTimeout);
      context.setDefaultNavigationTimeout(navigationTimeout);
      await use(context);
      await context.close();
      await rm(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  context: async ({ visited }, use) => {
    // The browser ends with its last page: this one stays.
    const rest = visited.pages()[0] ?? (await visited.newPage());
    const origins = new Set<string>();
    const watch = (page: Page) => page.on('framenavigated', (frame) => origins.add(new URL(frame.url()).origin));
    visited.on('page', watch);
    await use(visited);
    visited.off('page', watch);
    await Promise.all(visited.pages().flatMap((page) => (page === rest ? [] : [page.close()])));
    await visited.unrouteAll({ behavior: 'ignoreErrors' });
    await visited.setOffline(false);
    await visited.clearPermissions();
    const devtools = await visited.newCDPSession(rest);
    for (const origin of [...origins].filter((origin) => origin !== 'null'))
      await devtools.send('Storage.clearDataForOrigin', { origin, storageTypes: REMEMBERED });
    await devtools.detach();
    await visited.clearCookies();
  },
});
