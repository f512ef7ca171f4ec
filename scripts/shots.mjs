// Takes the pictures in docs/screenshots from the demo data, at 1280 × 800.
import { spawn } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { CHROMIUM } from './chromium.mjs';
import { buildApplication, installPackages, installPrograms, root } from './setup.mjs';

installPackages();
installPrograms();
await buildApplication();
const { chromium } = await import('@playwright/test');

const data = join(root, 'test-results', 'shots-data');
rmSync(data, { recursive: true, force: true });
const port = 4396;
const base = `http://127.0.0.1:${port}`;
const server = spawn('npx', ['next', 'start', '-H', '127.0.0.1', '-p', String(port)], {
  cwd: root,
  env: { ...process.env, YS_DEMO: '1', YS_DATA: data, YS_HOME: root },
  stdio: 'ignore',
  detached: true,
});
const browser = await chromium.launch(CHROMIUM);
const out = join(root, 'docs', 'screenshots');
mkdirSync(out, { recursive: true });
try {
  for (let i = 0; i < 120; i += 1) {
    const isUp = await fetch(`${base}/api/jobs`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (isUp) break;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const shot = async (name) => {
    await page.waitForTimeout(900);
    await page.screenshot({ path: join(out, `${name}.png`) });
    console.log(`docs/screenshots/${name}.png`);
  };
  const visit = async (path) => {
    await page.goto(base + path);
    await page.waitForSelector('html[data-ready=yes]');
    await page.waitForTimeout(2500);
    // Cards show their pieces as soon as the server has drawn them.
    await page.waitForFunction(
      () =>
        [...document.images]
          .filter((image) => image.getBoundingClientRect().top < window.innerHeight)
          .every((image) => image.complete),
      undefined,
      { timeout: 60_000 },
    );
  };
  await visit('/');
  await shot('board');
  await visit('/jobs/demo-meteor-night');
  await page.keyboard.press('Alt+1');
  await shot('brief');
  await page.keyboard.press('Alt+2');
  await page.locator('[data-figure=safe] button').first().click();
  await shot('size');
  await page.locator('[data-figure=safe] button').first().click();
  await page.keyboard.press('Alt+3');
  await page.waitForTimeout(600);
  // A click on a point of the side, in mm.
  const clickAt = async (mmX, mmY) => {
    const bench = page.locator('[data-bench]');
    const box = await bench.boundingBox();
    const scale = Number(await bench.getAttribute('data-scale'));
    const [x, y] = (await bench.getAttribute('data-origin')).split(',').map(Number);
    await page.mouse.click(box.x + x + mmX * scale, box.y + y + mmY * scale);
    await page.mouse.move(1270, 300);
  };
  await clickAt(20, 30);
  await shot('lay-out');
  await visit('/jobs/demo-catalogue?at=lay-out');
  await page
    .locator('[data-strip]')
    .getByRole('button', { name: /^page 8,/ })
    .click();
  await page
    .locator('[data-strip]')
    .getByRole('button', { name: /^page 9,/ })
    .click();
  // Its pictures are made for the screen when they are first asked for.
  await page.waitForTimeout(9000);
  await shot('lay-out-catalogue');
  await visit('/jobs/demo-first-proof?at=inspect');
  await shot('inspect');
  await visit('/jobs/demo-meteor-night');
  await page.keyboard.press('Alt+6');
  await page.getByRole('button', { name: 'Press PDF' }).click();
  await page.getByRole('link', { name: /press\.pdf/ }).waitFor({ timeout: 60_000 });
  // The press file of the flyer, handed to the desk printer around the corner and to the one that prints banners.
  const address = await page.getByRole('link', { name: /press\.pdf/ }).getAttribute('href');
  const pdf = Buffer.from(await (await fetch(base + address)).arrayBuffer());
  await visit('/jobs/demo-observer-cards?at=output');
  const sheet = page.getByRole('region', { name: 'Press sheet' });
  await sheet.getByRole('textbox', { name: /^sheet/ }).fill('450 x 320');
  await sheet.getByRole('textbox', { name: /^sheet/ }).press('Enter');
  await sheet.getByRole('combobox', { name: 'another job on the same sheet' }).fill('Bookmark of four moons');
  await page.getByRole('option', { name: /Bookmark of four moons/ }).click();
  await sheet.getByRole('button', { name: 'The sheet', exact: true }).click();
  await page.locator('[data-press-sheet][data-drawn="9"]').waitFor();
  await sheet.getByRole('button', { name: /^Cutting programme/ }).click();
  await sheet.getByRole('table', { name: 'Cutting programme' }).getByRole('row').nth(9).hover();
  await shot('output');
  await visit('/jobs/demo-catalogue?at=output');
  await sheet.getByRole('button', { name: 'The sheet', exact: true }).click();
  await page.waitForTimeout(9000);
  await shot('booklet-sheet');
  await visit('/jobs/demo-meteor-night?at=inspect');
  await page.getByRole('button', { name: 'The pile' }).click();
  await page.waitForTimeout(1500);
  await shot('pile');
  await visit('/intake');
  for (const printer of ['Copperplate Yard', 'Flatbed Nine']) {
    await page.getByRole('combobox', { name: 'Printer' }).click();
    await page.getByRole('option', { name: printer }).click();
    const name = `meteor-night for ${printer}.pdf`;
    await page.getByLabel('PDFs to hand in').setInputFiles({ name, mimeType: 'application/pdf', buffer: pdf });
    await page.locator('[data-reply="waiting"]').waitFor({ state: 'detached', timeout: 60_000 });
  }
  await shot('intake');
  await visit('/jobs/demo-visitor-folder?at=size');
  await page.getByRole('button', { name: 'folded', exact: true }).click();
  await page.waitForSelector('[data-dummy=ready]');
  await page.getByRole('button', { name: 'One fold further' }).click();
  await page.getByRole('button', { name: 'worst, 5 ×' }).click();
  await page.getByRole('slider', { name: 'Folding' }).focus();
  for (let i = 0; i < 45; i += 1) await page.keyboard.press('ArrowRight');
  await shot('dummy');
  await page.keyboard.press('Alt+7');
  await page.getByRole('button', { name: 'Make a proof' }).click();
  await page
    .getByRole('link', { name: /proof\.pdf$/ })
    .first()
    .waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Remarks', exact: true }).click();
  const seen = page.getByRole('img', { name: /as it was seen/ });
  const place = await seen.boundingBox();
  await page.mouse.click(place.x + place.width * 0.75, place.y + place.height * 0.5);
  await page.getByRole('textbox', { name: /^1 · / }).fill('A little larger, please');
  await page.keyboard.press('Enter');
  await shot('proof');
  await page.getByRole('button', { name: 'Close' }).click();
  await visit('/reckoner');
  await page.getByRole('button', { name: 'Panels of a fold' }).click();
  await shot('reckoner');
  await visit('/books');
  await shot('books');
  await visit('/jobs/demo-bookmark?at=finish');
  await page.getByRole('button', { name: 'Plates', exact: true }).click();
  await page.getByRole('button', { name: /^Cyan, / }).waitFor();
  await page.waitForTimeout(1200);
  const bench = await page.locator('[data-bench]').boundingBox();
  await page.mouse.move(bench.x + bench.width / 2 + 40, bench.y + bench.height / 2);
  await shot('finish-plates');
  await visit('/weeks');
  await page.getByRole('img', { name: /week by week/ }).waitFor({ timeout: 60_000 });
  await page.waitForTimeout(1500);
  await shot('weeks');
  // A round in which nothing was marked, sent anyway.
  await visit('/practice');
  await page.getByRole('combobox', { name: 'Who practises' }).fill('Wren');
  await page.getByRole('combobox', { name: 'piece' }).click();
  await page.getByRole('option', { name: 'Visitor folder', exact: true }).click();
  await page.getByRole('button', { name: 'Begin a round' }).click();
  await page.waitForURL(/practice\/.+/, { timeout: 60_000 });
  await page.locator('[data-bench]').waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Send it anyway' }).click();
  await page.getByRole('heading', { name: 'Answers' }).waitFor();
  await page.waitForTimeout(1500);
  await shot('practice');
  await visit('/glossary');
  await shot('glossary');
  await visit('/jobs/demo-visitor-folder?at=record');
  await page.locator('[data-cheapest]').waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'How Copperplate Yard comes about' }).click();
  await page.waitForTimeout(1500);
  await page.getByRole('region', { name: 'Cost' }).evaluate((part) => part.scrollIntoView());
  await shot('record');
} finally {
  await browser.close();
  process.kill(-server.pid, 'SIGKILL');
  rmSync(data, { recursive: true, force: true });
}
