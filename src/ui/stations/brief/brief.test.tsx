/** The brief: each line is in the job as it is left; papers, printers and kits are taken from the shop books. */
import { partOf, undone } from '@/testing/part';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { House, Stock } from '@/core/shop';
import { answering } from '@/testing/answers';
import { box, makeJob } from '@/testing/jobs';
import { went } from '@/testing/page';
import { BriefForm } from './BriefForm';

const BOARD = Stock.parse({ name: 'Board 300', kind: 'coated', grammage: 300, thickness: 0.28, grain: 'short' });
const NINE = House.parse({ name: 'Flatbed Nine', bleed: { top: 5, right: 5, bottom: 5, left: 5 }, inkLimit: 280 });

async function brief(job = makeJob([box('b', [10, 10, 20, 20])])) {
  const asked = answering({
    '/api/papers': { records: [BOARD] },
    '/api/printers': { records: [NINE] },
    '/api/kits': { records: [] },
    'PUT /api/kits/Dark-Sky%20Society': {},
    'POST /api/jobs': { id: 'the-template' },
  });
  const page = await partOf(<BriefForm />, job);
  return { ...page, asked };
}

test('each line is in the job as it is left', async () => {
  const page = await brief();
  const written: readonly (readonly [label: string, text: string, facts: object])[] = [
    ['Name', 'Meteor night', { name: 'Meteor night' }],
    ['Client', 'Dark-Sky Society', { client: 'Dark-Sky Society' }],
    ['Copies', '2500', { quantity: 2500 }],
    ['Copies', '0', { quantity: null }],
    ['Stock', 'Board 300', { stock: { name: 'Board 300' } }],
    ['Weight', '135', { stock: { grammage: 135 } }],
    ['Thickness of a sheet', '0.2', { stock: { thickness: 0.2 } }],
    ['House', 'Flatbed Nine', { house: { name: 'Flatbed Nine' } }],
    ['Smallest reversed type', '7', { house: { minReversedTypePt: 7 } }],
    ['Read from', '2 m', { readingDistance: 2000 }],
    ['Nudge and rounding step', '0.5', { step: 0.5 }],
  ];
  for (const [label, text, facts] of written) {
    await page.write(label, text);
    expect(page.job()).toMatchObject(facts);
  }
  const chosen: readonly (readonly [label: string, option: string, facts: object])[] = [
    ['Stands at', 'in work', { stage: 'in work' }],
    ['Surface', 'uncoated', { stock: { kind: 'uncoated' } }],
    ['Grain', 'along the short side', { stock: { grain: 'short' } }],
    ['RGB colours', 'are not wanted', { house: { rgb: 'refuse' } }],
    ['Unit of a bare number', 'in', { unit: 'in' }],
  ];
  for (const [label, option, facts] of chosen) {
    await page.choose(label, option);
    expect(page.job()).toMatchObject(facts);
  }
  await undone(page, page.before);
});

test('a job without a name cannot be found again: it keeps the one it had', async () => {
  const page = await brief();
  await page.write('Name', '');
  expect(screen.getByText('A name is needed, so that the job can be found again.')).toBeTruthy();
  await page.user.keyboard('{Escape}');
  expect(page.field('Name').value).toBe('Test job');
  expect(page.job()).toBe(page.before);
});

test('notes take several lines', async () => {
  const page = await brief();
  const notes = page.field('Notes');
  await page.user.click(notes);
  await page.user.type(notes, 'Ask for{Enter}a proof');
  await page.user.tab();
  expect(page.job().notes).toBe('Ask for\na proof');
});

test('a printer is proposed with what changes, and taken or left', async () => {
  const page = await brief();
  // The books come a moment later.
  await waitFor(() => {
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'From the shop’s printers' }));
    fireEvent.click(screen.getByRole('option', { name: 'Flatbed Nine' }));
  });
  expect(screen.getByText(/Give it to Flatbed Nine/)).toBeTruthy();
  expect(page.job()).toBe(page.before);
  await page.press('Leave it as it is');
  expect(page.store.getState().proposal).toBeUndefined();
  await page.choose('From the shop’s papers', 'Board 300');
  await page.press('Change it');
  expect(page.job().stock).toMatchObject({ name: 'Board 300', grammage: 300, thickness: 0.28, grain: 'short' });
  await undone(page, page.before);
});

test('a kit is made of the job for its client', async () => {
  const page = await brief(makeJob([box('b', [10, 10, 20, 20])], { client: 'Dark-Sky Society' }));
  await page.press('Make a kit of this job');
  await screen.findByText(/The kit of Dark-Sky Society is in the shop books/);
  expect(page.asked.filter(({ method }) => method === 'PUT')).toMatchObject([
    { path: '/api/kits/Dark-Sky%20Society', body: { name: 'Dark-Sky Society' } },
  ]);
});

test('a template is a copy that is opened, and this job stays as it is', async () => {
  const page = await brief();
  await page.press('Make a template of this job');
  await screen.findByText(/This is the template/);
  expect(page.asked.filter(({ method }) => method === 'POST')).toMatchObject([
    { path: '/api/jobs', body: { label: 'Template of Test job', document: { stage: 'template' } } },
  ]);
  expect(went).toEqual(['/jobs/the-template?at=lay-out']);
  expect(page.job()).toBe(page.before);
});

test('what was begun from a template can be freed from it', async () => {
  const page = await brief(makeJob([box('b', [10, 10, 20, 20])], { template: { job: 'the-template', revision: 1 } }));
  await page.press('Free it from its template');
  expect(page.job().template).toBeFalsy();
});
