/** Records on the sheet: where they come from, the one that is looked at, and what is wrong with others. */
import { onPage } from '@/testing/page';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { element, makeJob, words } from '@/testing/jobs';
import { handOf } from '@/testing/hand';
import { RecordList, RecordsHere } from './RecordList';

const counting = { from: 'count', first: 1, step: 1, count: 3, digits: 3 } as const;
const numbered = () =>
  makeJob([words('n', 'No. {number}', [5, 5, 60, 10])], { records: counting }, { size: { width: 85, height: 55 } });

test('copies are counted on from a button, as many as the job wants', async () => {
  const hand = handOf();
  const page = await onPage(<RecordList />, makeJob([], { quantity: 250 }));
  await hand.press('Records');
  await hand.press('Count on');
  expect(page.job().records).toEqual({ from: 'count', first: 1, step: 1, count: 250, digits: 3 });
  await hand.press('Copies alike');
  expect(page.job().records).toBeUndefined();
});

test('one record after the other is shown with what it says; or the names of the columns', async () => {
  const hand = handOf();
  const page = await onPage(<RecordList />, numbered());
  const said = screen.getByLabelText('What the record says');
  expect(said.textContent).toBe('number001');
  expect(screen.getByRole('button', { name: 'Record before' })).toHaveProperty('disabled', true);
  await hand.press('Next record');
  expect(said.textContent).toBe('number002');
  fireEvent.click(screen.getByRole('checkbox', { name: 'names of columns' }));
  expect(page.store.getState().record).toBeUndefined();
});

test('all are looked through; what is wrong with one is named and leads there', async () => {
  const hand = handOf();
  const code = element<'code'>({
    kind: 'code',
    id: 'ean',
    placement: { against: { box: 'trim' }, x: { start: 5, size: 40 }, y: { start: 15, size: 25 } },
    symbology: 'ean-13',
    content: '40063813339{number}',
  } as never);
  // Two digits more make thirteen: of these three numbers one ends in the right check digit.
  const records = { ...counting, first: 30, digits: 2 };
  const page = await onPage(<RecordsHere />, makeJob([code], { records }, { size: { width: 85, height: 55 } }));
  await hand.press('Look through all');
  await waitFor(() => expect(screen.getByText('✕ 2 things to see to:')).toBeTruthy());
  await hand.press(/^Record 3/);
  expect(page.store.getState()).toMatchObject({ record: 2, selection: ['ean'] });
});
