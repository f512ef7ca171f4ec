/** Search: every place is shown, what is replaced is replaced there and nowhere else, and undo gives back exactly. */
import { partOf, undone } from '@/testing/part';
import { screen, within } from '@testing-library/react';
import { elementsOn, plainText, type Job } from '@/core/job';
import { box, makeJob, words } from '@/testing/jobs';
import { Search } from './Search';

const NIGHT = { kind: 'process', c: 88, m: 78, y: 38, k: 36 } as const;

const JOB = makeJob([
  words('one', 'The moon is up.', [0, 0, 60, 10], { family: 'Lora' }),
  words('two', 'Two moons, one Moon.', [0, 20, 60, 10], { family: 'Oswald' }),
  { ...box('disc', [0, 40, 10, 10], { fill: NIGHT }), name: 'Moon of paper' },
]);

const closed: string[] = [];
const opened = async () => partOf(<Search onClose={() => closed.push('closed')} />, JOB);

const textsOf = (job: Job) =>
  job.pieces.flatMap((piece) =>
    elementsOn(piece, 'front').flatMap((e) => (e.kind === 'text' ? [plainText(e.paragraphs)] : [])),
  );

const places = () => within(screen.getByRole('list', { name: 'Places' })).getAllByRole('listitem');

async function find(user: Awaited<ReturnType<typeof opened>>['user'], text: string) {
  await user.click(screen.getByRole('textbox', { name: 'Find' }));
  await user.paste(text);
  await screen.findByRole('list', { name: 'Places' });
}

test('words are shown where they stand, and things that are called so; a press shows the place', async () => {
  const page = await opened();
  await find(page.user, 'moon');
  expect(screen.getByRole('status').textContent).toBe('3 places, 1 called so');
  expect(places().map((place) => place.textContent)).toEqual([
    'frontThe moon is up.Replace',
    'frontTwo moons, one Moon.Replace',
    'frontTwo moons, one Moon.Replace',
    'frontMoon of paper',
  ]);
  await page.user.click(within(places()[3] ?? document.body).getByRole('button', { name: /Moon of paper/ }));
  expect(page.store.getState().selection).toEqual(['disc']);
});

test('one place is replaced, then all that are left; undo gives back exactly', async () => {
  const page = await opened();
  await find(page.user, 'moon');
  await page.user.click(screen.getByRole('textbox', { name: 'Replace by' }));
  await page.user.paste('star');
  await page.user.click(within(places()[1] ?? document.body).getByRole('button', { name: 'Replace' }));
  expect(textsOf(page.job())).toEqual(['The moon is up.', 'Two stars, one Moon.']);
  await page.user.click(screen.getByRole('checkbox', { name: 'as it is written' }));
  await page.user.click(screen.getByRole('button', { name: 'Replace all' }));
  expect(textsOf(page.job())).toEqual(['The star is up.', 'Two stars, one Moon.']);
  await undone(page, JOB);
});

test('what is nowhere is said, and Escape closes', async () => {
  const page = await opened();
  await page.user.click(screen.getByRole('textbox', { name: 'Find' }));
  await page.user.paste('comet');
  expect(await screen.findByText('Nothing here says so, or is called so.')).toBeTruthy();
  await page.user.keyboard('{Escape}');
  expect(closed).toEqual(['closed']);
});

test('a family is replaced wherever type is set in it', async () => {
  const page = await opened();
  await page.user.click(screen.getByRole('button', { name: 'Type' }));
  await page.choose('Family', 'Oswald · 1');
  await page.choose('replace by', 'Jost');
  await page.user.click(screen.getByRole('button', { name: 'Replace everywhere' }));
  expect(JSON.stringify(page.job())).toContain('Jost');
  expect(JSON.stringify(page.job())).not.toContain('Oswald');
  await undone(page, JOB);
});

test('a colour is replaced wherever it is laid', async () => {
  const page = await opened();
  await page.user.click(screen.getByRole('button', { name: 'Colours' }));
  await page.choose('Colour', '88 78 38 36');
  expect(places().map((place) => place.textContent)).toEqual(['frontMoon of paper']);
  await page.write('replace by', '0 14 78 0');
  await page.user.click(screen.getByRole('button', { name: 'Replace everywhere' }));
  const [piece] = page.job().pieces;
  expect(piece && elementsOn(piece, 'front')[2]).toMatchObject({ fill: { m: 14, y: 78 } });
  await undone(page, JOB);
});
