import { expect, type Locator, type Page } from '@playwright/test';

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

/** Everything done so far is on the server. */
export const saved = (page: Page) => expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');

/** Begins an A5 job by name, through the interface, and opens it. */
export async function begin(page: Page, name: string, size = 'A5', sides = '1'): Promise<string> {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).first().click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
  await page.getByRole('textbox', { name: 'Finished size', exact: true }).fill(size);
  await page.getByRole('textbox', { name: 'Printed sides', exact: true }).fill(sides);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.locator('[data-bench]')).toBeVisible();
  return page.url().split('/').at(-1) ?? '';
}

/** Where a point of the surface, in mm from the trimmed corner, is on the screen. */
export async function onScreen(page: Page, x: number, y: number): Promise<{ x: number; y: number }> {
  const bench = page.locator('[data-bench]');
  const box = await bench.boundingBox();
  const scale = Number(await bench.getAttribute('data-scale'));
  const [ox = 0, oy = 0] = ((await bench.getAttribute('data-origin')) ?? '').split(',').map(Number);
  return { x: (box?.x ?? 0) + ox + x * scale, y: (box?.y ?? 0) + oy + y * scale };
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

/** Writes into a field and takes it with Enter. */
export async function write(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.press('Enter');
}

export const field = (page: Page, name: string): Locator => page.locator(`input[name="${name}"]`);
