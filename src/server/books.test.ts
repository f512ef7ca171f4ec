import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { listRecords, loadBooks, removeRecord, saveRecord } from './books';
import { closeStore } from './store/database';

const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-books-'));
process.env['YS_DATA'] = folder;
afterAll(async () => {
  await closeStore();
  rmSync(folder, { recursive: true, force: true });
});

const names = async (book: 'papers' | 'printers') =>
  ((await listRecords(book)) as { name: string }[]).map((r) => r.name);

test('three printers and at least twenty papers ship, once', async () => {
  expect((await names('papers')).length).toBeGreaterThanOrEqual(20);
  expect(await names('printers')).toEqual(['Copperplate Yard', 'Corner Counter', 'Flatbed Nine']);
  await removeRecord('printers', 'Corner Counter');
  await loadBooks();
  expect(await names('printers')).not.toContain('Corner Counter');
});

test('a record is made, changed, renamed, and never made twice', async () => {
  await saveRecord('papers', 'Fell white 90', { name: 'Fell white 90', grammage: 90, kind: 'uncoated' });
  await saveRecord('papers', 'Fell white 90', { name: 'Fell white 100', grammage: 100, kind: 'uncoated' });
  expect(await names('papers')).toContain('Fell white 100');
  expect(await names('papers')).not.toContain('Fell white 90');
  await expect(saveRecord('papers', 'Copier 75', { name: 'Fell white 100' })).rejects.toMatchObject({ status: 409 });
});

test.each([
  ['no name', { name: ' ' }, 'needs a name'],
  ['a weight that is no paper’s', { name: 'x', grammage: 2 }, 'grammage'],
  ['a field nobody knows', { name: 'x', smell: 'pine' }, 'smell'],
])('%s is refused with a sentence', async (_what, record, words) => {
  const problem = await saveRecord('papers', 'x', record).catch((e: unknown) => e as { message: string; todo: string });
  expect(problem ? `${problem.message} ${problem.todo}` : '').toContain(words);
  expect(await names('papers')).not.toContain('x');
});

test('what is not there cannot be taken out', async () => {
  await expect(removeRecord('papers', 'Nowhere 1')).rejects.toMatchObject({ status: 404 });
});
