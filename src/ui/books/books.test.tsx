/** The shop books: records are opened, changed, refused, kept, taken out and put back. */
import { shown } from '@/testing/page';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { House, Stock } from '@/core/shop';
import { answering } from '@/testing/answers';
import { handOf } from '@/testing/hand';
import { ShopBooks } from './ShopBooks';

const COPIER = Stock.parse({ name: 'Copier 75', kind: 'uncoated', grammage: 75, thickness: null, grain: 'long' });
const FLATBED = House.parse({ name: 'Flatbed Nine', bleed: { top: 3, right: 3, bottom: 3, left: 3 }, inkLimit: 300 });

function books(more: Readonly<Record<string, unknown>> = {}) {
  const asked = answering({
    '/api/papers': { records: [COPIER] },
    '/api/printers': { records: [FLATBED] },
    '/api/kits': { records: [] },
    'PUT /api/papers/Copier%2075': {},
    'DELETE /api/papers/Copier%2075': {},
    'PUT /api/papers/Rag%20300': {},
    'PUT /api/printers/Flatbed%20Nine': {},
    ...more,
  });
  const page = shown(<ShopBooks />);
  const changes = () => asked.filter(({ method }) => method !== 'GET');
  return { ...page, ...handOf(), changes };
}

const openRecord = async (page: ReturnType<typeof books>, name: string) => {
  await page.user.click(await screen.findByRole('button', { name }));
};

test('a paper is one row, and its facts are changed in a form', async () => {
  const page = books();
  const row = (await screen.findByRole('button', { name: 'Copier 75' })).closest('tr');
  expect([...(row?.cells ?? [])].map((cell) => cell.textContent)).toEqual([
    'Copier 75',
    'uncoated',
    '75 g/m²',
    'by weight',
    'long',
    '–',
  ]);
  await openRecord(page, 'Copier 75');
  await page.write('Weight', '80');
  await page.write('Thickness', '0.1');
  await page.choose('Grain', 'not known');
  await page.tick('clear film');
  await page.write('Sheets', 'SRA3; Roll: 1600 x 5000 mm');
  await page.press('Keep');
  await screen.findByText(/Copier 75 is in the book/);
  expect(page.changes()).toMatchObject([
    {
      method: 'PUT',
      path: '/api/papers/Copier%2075',
      body: {
        grammage: 80,
        thickness: 0.1,
        grain: null,
        clear: true,
        sheets: [
          { name: 'SRA3', width: 320, height: 450 },
          { name: 'Roll', width: 1600, height: 5000 },
        ],
      },
    },
  ]);
});

test('what cannot be read is refused at its field, and the record is not kept with it', async () => {
  const page = books();
  await openRecord(page, 'Copier 75');
  await page.write('Thickness', '40');
  expect(page.refusal('Thickness')).toContain('From 0.01 to 10 mm.');
  await page.write('Sheets', 'a large one');
  expect(page.refusal('Sheets')).toContain('a large one');
  await page.press('Keep');
  expect(page.changes()).toEqual([]);
});

test('a new paper needs a name', async () => {
  const page = books();
  await page.user.click(await screen.findByRole('button', { name: 'New paper' }));
  expect(screen.getByRole('button', { name: 'Keep' })).toHaveProperty('disabled', true);
  await page.user.type(screen.getByRole('textbox', { name: 'Name' }), 'Rag 300');
  await page.press('Keep');
  await screen.findByText(/Rag 300 is in the book/);
  expect(page.changes()).toMatchObject([{ method: 'PUT', path: '/api/papers/Rag%20300' }]);
});

test('one that is taken out can be put back as it was', async () => {
  const page = books();
  await openRecord(page, 'Copier 75');
  await page.press('Take out');
  await screen.findByText('Copier 75 was taken out.');
  await page.press('Put back');
  await waitFor(() => expect(page.changes().map(({ method }) => method)).toEqual(['DELETE', 'PUT']));
  expect(page.changes()[1]?.body).toEqual(COPIER);
});

test('what is left is not kept', async () => {
  const page = books();
  await openRecord(page, 'Copier 75');
  await page.write('Weight', '90');
  await page.press('Leave it');
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Keep' })).toBeNull());
  expect(page.changes()).toEqual([]);
});

test('what the server refuses is said, and the form stays', async () => {
  const page = books({ 'PUT /api/papers/Copier%2075': undefined });
  await openRecord(page, 'Copier 75');
  await page.press('Keep');
  await screen.findByText(/There is no such thing/);
  expect(screen.getByRole('button', { name: 'Keep' })).toBeTruthy();
});

test('a printer’s machines: common practice for how it prints, until it says of its own', async () => {
  const page = books();
  await page.press('Printers');
  await openRecord(page, 'Flatbed Nine');
  const machines = within(screen.getByRole('group', { name: 'Machines' }));
  const drift = () =>
    machines.getAllByRole('textbox', { name: /^is off by/ }).map((field) => (field as HTMLInputElement).value);
  // Cutter, die, back on front, plates, drill, hem: those of an offset house [cp].
  expect(drift()).toEqual(['0.3 mm', '0.5 mm', '0.5 mm', '0.1 mm', '0.5 mm', '8 mm']);
  await page.choose('It prints by', 'flexo');
  expect(drift()).toEqual(['0.3 mm', '0.8 mm', '0.5 mm', '0.3 mm', '0.5 mm', '8 mm']);
  const [, die] = machines.getAllByRole('textbox', { name: /^is off by/ });
  await page.user.clear(die ?? document.body);
  await page.user.type(die ?? document.body, '0.6{Enter}');
  await page.press('Keep');
  await screen.findByText(/Flatbed Nine is in the book/);
  expect(page.changes()[0]?.body).toMatchObject({ press: 'flexo', machines: { die: { drift: 0.6 } } });
});

test('a printer: what it asks for, and what is left to common practice', async () => {
  const page = books();
  await page.press('Printers');
  await openRecord(page, 'Flatbed Nine');
  await page.write('Bleed', '5');
  await page.write('Ink limit', '0');
  await page.write('Smallest type', '5');
  await page.choose('Panels differ', 'by a fixed shift');
  await page.choose('RGB colours', 'are not wanted');
  const marks = within(screen.getByRole('group', { name: 'Marks it wants' }));
  await page.user.click(marks.getByRole('checkbox', { name: 'colour bar' }));
  await page.press('Keep');
  await screen.findByText(/Flatbed Nine is in the book/);
  const [change] = page.changes();
  expect(change?.body).toMatchObject({
    bleed: { top: 5, right: 5, bottom: 5, left: 5 },
    minTypePt: 5,
    allowance: 'shift',
    rgb: 'refuse',
    marks: { colourBar: false },
  });
  expect(change?.body).not.toHaveProperty('inkLimit');
});

test('an empty book says how it is filled, and one that cannot be read asks again', async () => {
  const page = books({ '/api/papers': undefined });
  expect(await screen.findByText(/There is no such thing/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
  await act(async () => page.press('Client kits'));
  expect(await screen.findByText(/No kit yet/)).toBeTruthy();
});

test('what a printer asks, and when it is closed, are kept with it; what is taken back is not counted', async () => {
  const page = books();
  await page.press('Printers');
  await openRecord(page, 'Flatbed Nine');
  await page.write('Wide format, a square metre', '21.5', 'Prices');
  await page.write('Delivery', '12', 'Prices');
  await page.write('Delivery', '0', 'Prices');
  await page.write('Digital, a side in colour', '0.11', 'Prices');
  const setUp = document.querySelector<HTMLInputElement>('input[name="trim, set up"]');
  if (!setUp) throw new Error('no field');
  act(() => setUp.focus());
  fireEvent.change(setUp, { target: { value: '8' } });
  fireEvent.keyDown(setUp, { key: 'Enter' });
  const closed = page.field('Closed', 'Days on which it is closed');
  act(() => closed.focus());
  fireEvent.change(closed, { target: { value: 'Christmas' } });
  fireEvent.keyDown(closed, { key: 'Enter', ctrlKey: true });
  expect(page.refusal('Closed', 'Days on which it is closed')).toMatch(/A line is a day, or two, and why/);
  fireEvent.change(closed, { target: { value: '2026-12-24 to 2027-01-03 Works holiday' } });
  fireEvent.keyDown(closed, { key: 'Enter', ctrlKey: true });
  fireEvent.change(page.field('Holidays of', 'Days on which it is closed'), { target: { value: 'gb-sct' } });
  await page.press('Keep');
  await screen.findByText(/Flatbed Nine is in the book/);
  expect(page.changes()).toMatchObject([
    {
      body: {
        region: 'GB-SCT',
        closed: [{ from: '2026-12-24', to: '2027-01-03', why: 'Works holiday' }],
        prices: { currency: '£', square: 21.5, click: { colour: 0.11, black: 0 }, finish: { trim: { setUp: 8 } } },
      },
    },
  ]);
  expect(JSON.stringify(page.changes())).not.toContain('delivery');
});
