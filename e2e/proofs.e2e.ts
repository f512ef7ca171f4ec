import { expect } from '@playwright/test';
import { openChoice, openCopy, stored } from './helpers';
import { test } from './test';

test('a proof is made, remarked on in its place, and approved; what changed since is told', async ({ page }) => {
  await openCopy(page, 'demo-business-card');
  await page.keyboard.press('Alt+7');
  const proofs = page.getByRole('region', { name: 'Proofs' });
  await proofs.getByRole('textbox', { name: 'For' }).fill('Ada Fellwright');
  await proofs.getByRole('button', { name: 'Make a proof' }).click();
  const proof = proofs.locator('[data-proof]');
  await expect(proof).toContainText('for Ada Fellwright');
  await expect(proof.getByRole('link', { name: /-proof\.pdf$/ })).toBeVisible();

  await proof.getByRole('button', { name: 'Remarks' }).click();
  const dialog = page.getByRole('dialog', { name: /^Remarks on version/ });
  const side = dialog.getByRole('img', { name: /as it was seen/ });
  await side.click({ position: { x: 120, y: 200 } });
  const words = dialog.getByRole('textbox', { name: /^1 · / });
  await words.fill('The number is the old one');
  await words.press('Enter');
  await dialog.getByRole('button', { name: 'Add a remark' }).click();
  await expect(dialog.locator('[data-pin]')).toHaveCount(2);
  await dialog.getByRole('button', { name: 'Take out remark 2' }).click();
  await dialog.getByRole('checkbox', { name: 'Remark 1 is done' }).check();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(proof).toHaveAttribute('data-proof', 'changes');
  await expect(proof.getByRole('button', { name: '1 remark, 0 open' })).toBeVisible();

  await openChoice(proof.getByRole('combobox', { name: 'answer' }));
  await page.getByRole('option', { name: 'approved' }).click();
  await expect(proof).toHaveAttribute('data-proof', 'approved');
  const [kept] = (await stored(page)).proofs ?? [];
  expect(kept).toMatchObject({ to: 'Ada Fellwright', state: 'approved', remarks: [{ done: true }] });
  expect(kept?.on).toMatch(/^\d{4}-\d\d-\d\d$/);

  await proof.getByRole('button', { name: 'What changed since' }).click();
  await expect(page.getByRole('dialog', { name: /^What differs from/ })).toBeVisible();
  // Undo leads back through it all.
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(proof).toHaveAttribute('data-proof', 'changes');
});
