import { chromium, type Browser, type Page } from '@playwright/test';
import { CHROMIUM } from '../scripts/chromium.mjs';
import { makeJob } from '../src/testing/jobs';
import { chainedPage, crowdedPage } from './pages';
import { flowingJob } from './typing';
import { mb, ms, note, times } from './report';
import { BASE, post, served } from './served';

const average = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;

/** Times between frames, ms; the first two still belong to what was before. */
const frames = (page: Page): Promise<number[]> =>
  page.evaluate(
    () =>
      new Promise<number[]>((resolve) => {
        const deltas: number[] = [];
        let last = performance.now();
        const tick = (now: number) => {
          deltas.push(now - last);
          last = now;
          if (deltas.length < 90) requestAnimationFrame(tick);
          else resolve(deltas.slice(2));
        };
        requestAnimationFrame(tick);
      }),
  );

/** From the address to the last element on the bench (of so many, or any), ms, and what the page holds then, bytes. */
async function opened(browser: Browser, id: string, count?: number) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const start = performance.now();
  await page.goto(`${BASE}/jobs/${id}`);
  await page.waitForFunction((wanted) => {
    const { length } = document.querySelectorAll('[data-bench] [data-element]');
    return wanted === undefined ? length > 0 : length === wanted;
  }, count);
  const took = performance.now() - start;
  return { page, took, heap: await heapOf(page) };
}

/** Drags the first element about. */
async function dragged(page: Page): Promise<readonly number[]> {
  const bench = page.locator('[data-bench]');
  const box = await bench.boundingBox();
  const scale = Number(await bench.getAttribute('data-scale'));
  const [ox = 0, oy = 0] = ((await bench.getAttribute('data-origin')) ?? '').split(',').map(Number);
  const [x, y] = [(box?.x ?? 0) + ox + 10 * scale, (box?.y ?? 0) + oy + 10 * scale];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 8, y + 8);
  const measured = frames(page);
  for (let i = 0; i < 120; i += 1) await page.mouse.move(x + 8 + i, y + 8 + (i % 40));
  const found = await measured;
  await page.mouse.up();
  return [...found].sort((a, b) => a - b);
}

/** From a new value of the measure that every element keeps to, until the last one stands where it should. */
async function resolved(page: Page): Promise<number> {
  await page.getByRole('button', { name: /^Measures/ }).click();
  const field = page.locator('input[name="measure-gap"]');
  const last = page.locator('[data-bench] [data-element]').last();
  const before = await last.innerHTML();
  await field.fill('2.2');
  return page.evaluate(
    ([was]) =>
      new Promise<number>((resolve) => {
        const all = document.querySelectorAll('[data-bench] [data-element]');
        const end = all[all.length - 1];
        const start = performance.now();
        const look = () => (end?.innerHTML === was ? requestAnimationFrame(look) : resolve(performance.now() - start));
        document
          .querySelector('input[name="measure-gap"]')
          ?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
        look();
      }),
    [before],
  );
}

/** From a key to the frame in which its letter is drawn, ms, for some keys in the middle of the first frame. */
async function typed(page: Page): Promise<number[]> {
  await page.keyboard.press('Alt+3');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-typing]');
  await page.keyboard.press('Control+Home');
  const all: number[] = [];
  for (let i = 0; i < 14; i += 1) {
    // Waited for, so that the watch stands before the key comes.
    const seen = await page.evaluateHandle(() => {
      const bench = document.querySelector('[data-bench]');
      let start = 0;
      document.addEventListener('keydown', () => (start = performance.now()), { once: true, capture: true });
      const drawn = new Promise<number>((resolve) => {
        const watch = new MutationObserver((changes) => {
          if (!changes.some(({ target }) => target instanceof Element && target.closest('[data-element]'))) return;
          watch.disconnect();
          requestAnimationFrame(() => resolve(performance.now() - start));
        });
        if (bench) watch.observe(bench, { subtree: true, childList: true, attributes: true, characterData: true });
      });
      return { drawn };
    });
    await page.keyboard.press('m');
    all.push(await seen.evaluate(({ drawn }) => drawn));
    await page.waitForTimeout(150);
  }
  return all.slice(2);
}

/** The application running on data of its own, and a browser beside it, for as long as `work` takes. */
const running = (work: (browser: Browser) => Promise<void>): Promise<void> =>
  served({ YS_DEMO: '1' }, async () => {
    const browser = await chromium.launch(CHROMIUM);
    try {
      await work(browser);
    } finally {
      await browser.close();
    }
  });

/** An empty page, opened twice: the first page of all also fetches the application. */
async function openedEmpty(browser: Browser) {
  await post({ ...makeJob(), id: 'empty' });
  await (await opened(browser, 'empty', 0)).page.close();
  const empty = await opened(browser, 'empty', 0);
  await empty.page.close();
  return empty;
}

/** Opening, dragging, one change of a measure that all keep to, and memory, in the running application. */
export const inBrowser = (): Promise<void> =>
  running(async (browser) => {
    const empty = await openedEmpty(browser);
    for (const count of [500, 5000]) {
      await post({ ...makeJob(crowdedPage(count)), id: `crowd-${count}` });
      const { page, took, heap } = await opened(browser, `crowd-${count}`, count);
      note(`open a page of ${count} elements (floor: an empty one)`, ms(took), ms(empty.took), times(took, empty.took));
      note(`… what the page holds in memory`, mb(heap), mb(empty.heap), times(heap, empty.heap));
      await page.waitForTimeout(1000);
      const idle = average(await frames(page));
      const moving = await dragged(page);
      const p95 = moving[Math.floor(moving.length * 0.95)] ?? 0;
      note(
        `drag on ${count} elements, mean frame (floor: the page at rest)`,
        ms(average(moving)),
        ms(idle),
        times(average(moving), idle),
      );
      note('… its 95th percentile', ms(p95), ms(idle), times(p95, idle));
      await page.close();
      await post({
        ...makeJob(chainedPage(count), { measures: [{ id: 'gap', name: 'gap', value: 2 }] }),
        id: `chain-${count}`,
      });
      const chain = await opened(browser, `chain-${count}`, count);
      await chain.page.keyboard.press('Alt+3');
      const change = await resolved(chain.page);
      note(
        `a measure changed that ${count} elements keep to, until they stand (floor: a frame)`,
        ms(change),
        ms(idle),
        times(change, idle),
      );
      await chain.page.close();
    }
  });

const CATALOGUE = 'demo-catalogue';

/** Until the demo is loaded and the board’s pictures are drawn; before that the server has other work. */
async function demoStands(browser: Browser): Promise<void> {
  for (let i = 0; i < 200; i += 1) {
    if (
      await fetch(`${BASE}/api/jobs/${CATALOGUE}`).then(
        (r) => r.ok,
        () => false,
      )
    )
      break;
    await new Promise((r) => setTimeout(r, 200));
  }
  const page = await browser.newPage();
  await page.goto(BASE);
  await page.waitForFunction(
    () => {
      const pictures = [...document.querySelectorAll('main img')];
      return pictures.length > 10 && pictures.every((i) => i instanceof HTMLImageElement && i.complete);
    },
    undefined,
    { timeout: 120_000 },
  );
  await page.close();
}

/** What is seen after a press on the card of a job, ms: its picture at its place, and the piece to work on. */
const fromCard = (page: Page, id: string) =>
  page.evaluate(async (address) => {
    const start = performance.now();
    const seen: { picture?: number; live?: number } = {};
    document.querySelector<HTMLAnchorElement>(`a[href="${address}"]`)?.click();
    while (seen.live === undefined) {
      await new Promise((next) => requestAnimationFrame(next));
      const now = performance.now() - start;
      if (now > 30_000) throw new Error(`${address} does not open`);
      if (document.querySelector('[data-opening] image, [data-element]')) seen.picture ??= now;
      if (document.querySelector('[data-bench] [data-element]')) seen.live = now;
    }
    return { picture: seen.picture ?? 0, live: seen.live };
  }, `/jobs/${id}`);

/** An A5 flyer: from its card, from its address in a new browser, and again. The floor is an empty page each time. */
async function flyerOpened(browser: Browser, empty: { readonly took: number }) {
  const flyer = 'demo-meteor-night';
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(BASE);
  await page.locator(`a[href="/jobs/${flyer}"]`).first().waitFor();
  await page.waitForTimeout(3000);
  const { picture, live } = await fromCard(page, flyer);
  await page.close();
  note('an A5 flyer from its card: its picture at its place (wanted: under 300 ms)', ms(picture), ms(empty.took));
  note('… live (wanted: under 1 s)', ms(live), ms(empty.took), times(live, empty.took));
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  for (const how of ['from its address, nothing kept (wanted: under 1 s)', 'again']) {
    const own = await context.newPage();
    const start = performance.now();
    await own.goto(`${BASE}/jobs/${flyer}`);
    await own.waitForSelector('[data-bench] [data-element]');
    const took = performance.now() - start;
    note(`… ${how}`, ms(took), ms(empty.took), times(took, empty.took));
    await own.waitForTimeout(1500);
    await own.close();
  }
  await context.close();
}

/**
 * The catalogue of the demo, a hundred pages: from the address, and from its card on the board, until the cover stands
 * on the bench.
 */
async function catalogueOpened(browser: Browser, empty: { readonly took: number; readonly heap: number }) {
  const stands = '[data-bench] [data-element]';
  const { page, took, heap } = await opened(browser, CATALOGUE);
  note(
    'open a catalogue of 100 pages from its address (floor: an empty page)',
    ms(took),
    ms(empty.took),
    times(took, empty.took),
  );
  note('… what the page holds in memory', mb(heap), mb(empty.heap), times(heap, empty.heap));
  const fromBoard = async (id: string, wanted: string) => {
    await page.goto(BASE);
    const card = page.locator(`a[href="/jobs/${id}"]`).first();
    await card.waitFor();
    await page.waitForTimeout(1500);
    const start = performance.now();
    await card.click();
    await page.waitForSelector(wanted);
    return performance.now() - start;
  };
  const blank = await fromBoard('empty', '[data-bench]');
  const card = await fromBoard(CATALOGUE, stands);
  note(
    '… from its card on the board (wanted: under 1 s; floor: an empty page)',
    ms(card),
    ms(blank),
    times(card, blank),
  );
  await page.close();
}

/** What a page holds, after what can be thrown away was. */
async function heapOf(page: Page): Promise<number> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('HeapProfiler.collectGarbage');
  const { usedSize } = await cdp.send('Runtime.getHeapUsage');
  await cdp.detach();
  return usedSize;
}

/** Changes of an hour [own]: one each two seconds. */
const HOUR = 2_000;

/** A flyer that somebody works on for an hour: things go forward, back, right and left, and some of it is undone. */
async function workedOn(browser: Browser): Promise<void> {
  const { page } = await opened(browser, 'demo-meteor-night');
  await page.keyboard.press('Alt+3');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Tab');
  const keys = [']', 'Shift+ArrowRight', '[', 'Shift+ArrowLeft', 'Control+z'];
  const work = async (changes: number) => {
    for (let i = 0; i < changes; i += 1) await page.keyboard.press(keys[i % keys.length] ?? ']');
    await page.waitForTimeout(1500);
  };
  await work(50);
  const before = await heapOf(page);
  await work(HOUR);
  const more = (await heapOf(page)) - before;
  note(
    `${HOUR} changes in one tab: what it holds more (wanted: under 50 MB; floor: what it held)`,
    mb(more),
    mb(before),
    times(more, before),
  );
  await page.close();
}

/** Opening a flyer and a job of a hundred pages, and typing into a text of twenty frames. */
export const typedInBrowser = (): Promise<void> =>
  running(async (browser) => {
    await demoStands(browser);
    const empty = await openedEmpty(browser);
    await flyerOpened(browser, empty);
    await workedOn(browser);
    await catalogueOpened(browser, empty);
    await post({ ...flowingJob(), id: 'flow' });
    const flow = await opened(browser, 'flow', 20);
    const keys = await typed(flow.page);
    const still = average(await frames(flow.page));
    note(
      'a key in a text of 20 frames, until it is seen (floor: a frame at rest)',
      ms(average(keys)),
      ms(still),
      times(average(keys), still),
    );
    await flow.page.close();
  });
