/** A round on the sheet: what is chosen is marked and taken back, handed in, told, mended; sums, and what is kept. */
import { partOf } from '@/testing/part';
import { answering } from '@/testing/answers';
import { box, makeJob } from '@/testing/jobs';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { Learner, type Fault, type Mark } from '@/core/practice';
import type { OpenRound, RoundResult } from '../shell/api';
import { Answers } from './Answers';
import { ElementFacts } from './ElementFacts';
import { Marking } from './Marking';
import { Progress } from './Progress';
import { RoundProvider } from './round';
import Sums from './Sums';

const PANEL = box('panel', [10, 20, 60, 40]);
const JOB = makeJob([PANEL]);

const round: OpenRound = { id: 'r', learner: 'Wren', piece: 'Flyer', level: 1, faults: 1, job: JOB };

/** The marking, with what was marked beneath it. */
function Marked({ onHandIn }: { readonly onHandIn: () => void }) {
  const [marks, setMarks] = useState<readonly Mark[]>([]);
  const handIn = () => {
    onHandIn();
    return Promise.resolve();
  };
  return (
    <RoundProvider value={{ round, marks, setMarks, handIn, isHandingIn: false }}>
      <Marking />
      <pre>{JSON.stringify(marks)}</pre>
    </RoundProvider>
  );
}

const marks = () => JSON.parse(document.querySelector('pre')?.textContent ?? '[]') as readonly Mark[];

/** Finds what is wrong by a part of its name. */
async function call(part: string, title: string): Promise<void> {
  const field = screen.getByRole('combobox', { name: 'is' });
  act(() => field.focus());
  fireEvent.change(field, { target: { value: part } });
  fireEvent.click(await screen.findByRole('option', { name: title }));
}

describe('marking', () => {
  test('what is chosen is called by its name, once, and can be taken back', async () => {
    const page = await partOf(<Marked onHandIn={() => undefined} />, JOB, ['panel']);
    expect(screen.getByRole('status').textContent).toBe('Chosen: “panel”');
    expect(screen.getByRole('button', { name: 'Mark it' })).toHaveProperty('disabled', true);
    for (let i = 0; i < 2; i += 1) {
      await call('stops at', 'Stops at the trim');
      await page.press('Mark it');
    }
    expect(marks()).toEqual([{ side: 'front', element: 'panel', rule: 'bleed' }]);
    await page.press('Take back: Stops at the trim');
    expect(marks()).toEqual([]);
  });

  test('with nothing chosen one speaks of the side or the piece', async () => {
    const page = await partOf(<Marked onHandIn={() => undefined} />, JOB);
    await call('less bleed', 'Less bleed than the house wants');
    await page.press('Mark it');
    expect(marks()).toEqual([{ side: 'front', element: null, rule: 'bleed-narrow' }]);
  });

  test('sent anyway, it is handed in', async () => {
    const handIn = jest.fn();
    const page = await partOf(<Marked onHandIn={handIn} />, JOB);
    await page.press('Send it anyway');
    expect(handIn).toHaveBeenCalledTimes(1);
  });
});

const FAULT: Fault = {
  rule: 'bleed',
  side: 'front',
  elements: ['panel'],
  did: '“panel” was taken back to the trim.',
  message: 'Stops at the trim on the left edge.',
  why: 'The knife wanders.',
  severity: 'fault',
  fixes: [{ label: 'Let it bleed', change: { kind: 'element', element: { ...PANEL, name: 'mended' } } }],
};

describe('answers', () => {
  const result: RoundResult = {
    faults: [FAULT],
    marks: [{ side: 'front', element: 'panel', rule: 'trap' }],
    outcomes: ['seen'],
    wrong: [{ side: 'front', element: 'panel', rule: 'kit' }],
    reprint: { house: 'Corner', total: 157.5, currency: '£' },
  };

  test('each is told with its reason and its price, is shown, mended, and put back', async () => {
    const page = await partOf(<Answers result={result} />, JOB);
    const words = screen.getByRole('region', { name: 'Answers' }).textContent;
    expect(words).toContain('0 of 1 fault found.');
    expect(words).toContain('printed anew: £ 157.50 at Corner');
    expect(words).toContain('Stops at the trim: seen, and called something else or not pointed at');
    expect(words).toContain('“panel” was taken back to the trim. Stops at the trim on the left edge.');
    expect(words).toContain('Nothing is wrong where you marked Differs from its kit (“panel”).');
    await page.press('Show');
    expect(page.store.getState().selection).toEqual(['panel']);
    await page.press('Let it bleed');
    const name = () => page.job().pieces[0]?.surfaces['front']?.[0]?.name;
    expect(name()).toBe('mended');
    await page.press('As it was');
    await waitFor(() => expect(name()).toBe('panel'));
    expect(screen.queryByRole('button', { name: 'As it was' })).toBeNull();
  });

  test('all found, it could be sent; what only looks wrong is not printed anew', async () => {
    await partOf(<Answers result={{ ...result, outcomes: ['found'], wrong: [] }} />, JOB);
    expect(screen.getByRole('status').textContent).toBe('1 of 1 fault found. It could be sent.');
    const note = { ...FAULT, severity: 'note' } as const;
    await partOf(<Answers result={{ ...result, faults: [note], outcomes: ['missed'] }} />, JOB);
    expect(screen.getAllByRole('status').at(-1)?.textContent).toContain('printed, and not be as it should');
  });
});

test('what is chosen, in figures: its size, and how far it is from each trim', async () => {
  await partOf(<ElementFacts />, JOB, ['panel']);
  const facts = [...document.querySelectorAll('dt')].map((term) => [term.textContent, term.nextSibling?.textContent]);
  expect(facts).toEqual([
    ['Size', '60 × 40 mm'],
    ['From the top trim', '20 mm'],
    ['From the right trim', '78 mm'],
    ['From the bottom trim', '150 mm'],
    ['From the left trim', '10 mm'],
    ['Inks', '100 0 0 0'],
  ]);
});

test('a sum is answered in any unit, told with its working, counted, and followed by another', async () => {
  const asked = answering({ 'POST /api/practice/drills': {}, '/api/practice': { learners: [], pieces: [] } });
  const page = await partOf(<Sums name="Wren" drills={{ spine: { asked: 4, right: 3 } }} />, JOB);
  await page.choose('about', 'Spine of a book');
  const [question] = screen.getAllByRole('status');
  const [, pages = '', mm = ''] = /^(\d+) pages on paper ([\d.]+) mm thick/.exec(question?.textContent ?? '') ?? [];
  const answer = screen.getByRole('textbox', { name: 'answer' });
  fireEvent.change(answer, { target: { value: 'thick' } });
  await page.press('Answer');
  expect(page.refusal('answer')).not.toBe('');
  expect(asked).toEqual([]);
  // Leaves by their thickness, in inches.
  fireEvent.change(answer, { target: { value: `${((Number(pages) / 2) * Number(mm)) / 25.4} in` } });
  await page.press('Answer');
  expect(screen.getByRole('status', { name: 'Working' }).textContent).toContain('● Right');
  expect(asked[0]?.body).toEqual({ learner: 'Wren', kind: 'spine', isRight: true });
  expect(screen.getByText('3 of 4 right of this kind so far.')).toBeTruthy();
  await page.press('Next');
  expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'answer' }).value).toBe('');
});

test('how it goes: rounds, what comes again, and forgetting only after a second word', async () => {
  const asked = answering({ 'DELETE /api/practice/learners/Wren': {}, '/api/practice': { learners: [], pieces: [] } });
  const learner = Learner.parse({
    name: 'Wren',
    skills: [
      { rule: 'trap', efactor: 2.5, repetition: 0, interval: 1, on: '2027-01-01', due: '2027-01-02', met: 2, found: 1 },
    ],
    trials: [
      { at: '2027-01-01T10:00:00.000Z', piece: 'Flyer', level: 2, found: 1, seen: 0, missed: 1, wrong: 3 },
      { at: '2027-01-01T11:00:00.000Z', piece: 'Card', level: 2, found: 2, seen: 0, missed: 0, wrong: 0 },
    ],
  });
  const forgotten = jest.fn();
  const page = await partOf(<Progress learner={learner} onForgotten={forgotten} />, JOB);
  const rows = within(screen.getByRole('table', { name: 'Rounds' })).getAllByRole('row');
  expect(rows.map((row) => row.textContent.replace(/^.*?(Flyer|Card)/, '$1'))).toEqual([
    'WhenPieceLevelFoundSeenMissedWrongly marked',
    'Card22000',
    'Flyer21013',
  ]);
  expect(screen.getByText(/^Two inks that only touch: due .*; found 1 of 2 times$/)).toBeTruthy();
  expect(screen.getByText('75 % of the faults found, over all rounds.')).toBeTruthy();
  await page.press('Forget Wren');
  expect(asked).toEqual([]);
  await page.press('Forget');
  await waitFor(() => expect(forgotten).toHaveBeenCalledTimes(1));
});
