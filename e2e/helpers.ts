import { randomUUID } from 'node:crypto';
import { expect, type Locator, type Page } from '@playwright/test';
import { PORT } from '../playwright.config';
import { formatOf } from '../src/core/format';
import { Job, startJob } from '../src/core/job';

/** Opens a page and waits until clicks are heard. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.waitForSelector('html[data-ready=yes]');
}

/** Opens a job and waits until its piece lies on the bench. */
export async function openJob(page: Page, id: string): Promise<void> {
  await open(page, `/jobs/${id}`);
  await expect(page.locator('[data-bench]')).toBeVisible();
}

/**
 * A copy of a job, as a job of its own: what one test changes must not be there for another.
 * @returns its id
 */
export async function copyOf(page: Page, id: string, more: Partial<Job> = {}): Promise<string> {
  const { job } = (await (await page.request.get(`/api/jobs/${id}`)).json()) as { job: Job };
  return keep(page, { ...job, ...more }, 'Copied');
}

/**
 * Keeps a job as a new one.
 * @returns its id
 */
async function keep(page: Page, job: Job, label: string): Promise<string> {
  const id = randomUUID();
  const made = await page.request.post('/api/jobs', {
    data: { document: { ...job, id }, label },
    headers: { origin: `http://127.0.0.1:${PORT}` },
  });
  expect(made.ok()).toBe(true);
  return id;
}

/** Opens a job that a test made. @param at a station, as an address asks for it */
export const openMade = async (page: Page, job: Job, at = ''): Promise<void> =>
  openJob(page, `${await keep(page, job, 'Made')}${at}`);

/** Opens a copy of a job. */
export const openCopy = async (page: Page, id: string, at = ''): Promise<void> =>
  openJob(page, `${await copyOf(page, id)}${at}`);

/** Everything done so far is on the server. */
export const saved = (page: Page) => expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');

/**
 * Begins a flyer by name, A5 if nothing else is said, and opens it. The form that begins a job has tests of its own;
 * here the job is asked of the server at once.
 */
export async function begin(page: Page, name: string, size = 'A5', sides = '1'): Promise<string> {
  const flyer = formatOf('flyer');
  const started = flyer && startJob(flyer, { size, sides }, { id: 'new', name, unit: 'mm' });
  if (!started?.ok) throw new Error(started?.error.message ?? 'there is no flyer');
  const id = await keep(page, started.job, 'Begun');
  await openJob(page, `${id}?at=size`);
  return id;
}

/** Frames, and time in ms, for which a thing must not have moved before the hand is put to it. */
const STILL = { frames: 4, ms: 120 };

/**
 * Where a thing is, once it lies still: another station or another slip gives the bench another size, and the piece is
 * fitted to it a moment later.
 */
async function whenStill(thing: Locator): Promise<{ x: number; y: number; scale: number; origin: string }> {
  const found = await thing.evaluate(
    (element, { frames, ms }) =>
      new Promise<{ x: number; y: number; scale: number; origin: string } | undefined>((resolve) => {
        const look = () => {
          const { x, y } = element.getBoundingClientRect();
          const bench = document.querySelector<HTMLElement>('[data-bench]');
          return { x, y, scale: Number(bench?.dataset['scale']), origin: bench?.dataset['origin'] ?? '' };
        };
        let before = look();
        let count = 0;
        let since = performance.now();
        const frame = () => {
          const now = look();
          const isSame = JSON.stringify(now) === JSON.stringify(before);
          count = isSame ? count + 1 : 0;
          if (!isSame) since = performance.now();
          before = now;
          // Drawn anew meanwhile: what stands there now is another one.
          if (!element.isConnected) resolve(undefined);
          else if (count >= frames && performance.now() - since >= ms) resolve(now);
          else requestAnimationFrame(frame);
        };
        requestAnimationFrame(frame);
      }),
    STILL,
  );
  return found ?? whenStill(thing);
}

/** The top left corner of a thing on the screen, once it lies still. */
export async function cornerOf(thing: Locator): Promise<{ x: number; y: number }> {
  await expect(thing).toBeVisible();
  const { x, y } = await whenStill(thing);
  return { x, y };
}

/** Where a point of the surface, in mm from the trimmed corner, is on the screen. */
export async function onScreen(page: Page, x: number, y: number): Promise<{ x: number; y: number }> {
  const bench = await whenStill(page.locator('[data-bench]'));
  const [ox = 0, oy = 0] = bench.origin.split(',').map(Number);
  return { x: bench.x + ox + x * bench.scale, y: bench.y + oy + y * bench.scale };
}

export async function clickAt(
  page: Page,
  x: number,
  y: number,
  options: Parameters<Page['mouse']['click']>[2] = {},
): Promise<void> {
  const at = await onScreen(page, x, y);
  await page.mouse.click(at.x, at.y, options);
}

export async function dragFromTo(
  page: Page,
  from: readonly [number, number],
  to: readonly [number, number],
): Promise<void> {
  const [a, b] = [await onScreen(page, ...from), await onScreen(page, ...to)];
  await page.mouse.move(a.x, a.y);
  await page.mouse.down();
  await page.mouse.move((a.x + b.x) / 2, (a.y + b.y) / 2, { steps: 4 });
  await page.mouse.move(b.x, b.y, { steps: 4 });
  await page.mouse.up();
}

/**
 * Opens the list of a choice, by its key: a mouse button that is let go of late, on a busy machine, chooses what lies
 * under the pointer.
 */
export async function openChoice(control: Locator): Promise<void> {
  await control.press('Enter');
  await expect(control.page().getByRole('listbox')).toBeVisible();
}

/** Drops files and folders of the disk on the bench, mm on the side. */
export async function dropAt(page: Page, files: readonly string[], x: number, y: number): Promise<void> {
  const at = await onScreen(page, x, y);
  const devtools = await page.context().newCDPSession(page);
  for (const type of ['dragEnter', 'dragOver', 'drop'] as const)
    await devtools.send('Input.dispatchDragEvent', {
      type,
      ...at,
      data: { items: [], files: [...files], dragOperationsMask: 1 },
    });
  await devtools.detach();
}

/** Writes into a field and takes it with Enter. */
export async function write(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.press('Enter');
}

export const field = (page: Page, name: string): Locator => page.locator(`input[name="${name}"]`);

/** The job that is open, as the server keeps it. */
export async function stored(page: Page): Promise<Job> {
  await saved(page);
  const id = page.url().split('/').at(-1) ?? '';
  return Job.parse(((await (await page.request.get(`/api/jobs/${id}`)).json()) as { job: unknown }).job);
}

/** The only file of an export of the job that is open. */
export async function exportedFile(page: Page, kind: 'press' | 'desk'): Promise<Buffer> {
  await saved(page);
  const id = page.url().split('/').at(-1) ?? '';
  const { origin } = new URL(page.url());
  const made = (await (
    await page.request.post(`/api/jobs/${id}/exports`, { data: { kind }, headers: { origin } })
  ).json()) as { id: string };
  const facts = async () =>
    (await (await page.request.get(`/api/exports/${made.id}`)).json()) as { state: string; files: { name: string }[] };
  await expect.poll(async () => (await facts()).state).toBe('done');
  const [file] = (await facts()).files;
  return (await page.request.get(`/api/exports/${made.id}/files/${file?.name ?? ''}`)).body();
}

/** Opens all findings that stand together. */
export async function openFindings(page: Page): Promise<void> {
  const together = page.getByRole('region', { name: 'Checks' }).getByRole('button', { name: /^Show all/ });
  while ((await together.count()) > 0) await together.first().click();
}

/** Pastes text onto the bench, as it comes from another program. */
export async function pasteText(page: Page, text: string): Promise<void> {
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.evaluate((words) => navigator.clipboard.writeText(words), text);
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Control+v');
}
