/** What differs from copy to copy: columns named in words, codes and pictures, and the records that fill them. */
import { box, element, makeJob, picture, pictureFacts, words } from '../../testing/jobs';
import { elementsOf, plainText, type Element, type Job } from '../job';
import { columnKey, dataAsset, fillParagraphs, fillText, recordSet, withRecord } from '.';

const record = (said: Readonly<Record<string, string>>) =>
  new Map(Object.entries(said).map(([name, value]) => [columnKey(name), value]));

const named = (job: Job, id: string): Element => {
  const found = job.pieces.flatMap(elementsOf).find(({ element: e }) => e.id === id);
  if (!found) throw new Error(id);
  return found.element;
};

test('a column is named between braces, whatever its capitals; others stay', () => {
  const values = record({ Name: 'Ada Quill', Age: '36' });
  expect(fillText('{name} ({NAME}), {age}, {Guten Abend}, { name }, {', values)).toBe(
    'Ada Quill (Ada Quill), 36, {Guten Abend}, Ada Quill, {',
  );
});

test('words take the look of the name that they stand for, though that is made of several looks', () => {
  const bold = { weight: 700 };
  const paragraphs = [
    { runs: [{ text: 'Dear ' }, { text: '{na', look: bold }, { text: 'me}' }, { text: ', welcome' }] },
  ];
  expect(fillParagraphs(paragraphs, record({ name: 'Ada' }))).toEqual([
    { runs: [{ text: 'Dear ' }, { text: 'Ada', look: bold }, { text: ', welcome' }] },
  ]);
});

test('a line that held only names goes where they are empty; a line with other words stays', () => {
  const lines = ['{name}', '{title}', 'Phone {phone}'].map((text) => ({ runs: [{ text }] }));
  const filled = fillParagraphs(lines, record({ name: 'Ada', title: '', phone: '' }));
  expect(plainText(filled)).toBe('Ada\nPhone ');
  expect(plainText(fillParagraphs(lines.slice(1, 2), record({ title: '' })))).toBe('');
});

test('a value of several lines makes as many paragraphs', () => {
  const filled = fillParagraphs([{ runs: [{ text: '{address}!' }] }], record({ address: '1 Hill\nQuillrook' }));
  expect(plainText(filled)).toBe('1 Hill\nQuillrook!');
});

test('words, cells, codes and pictures of a job are filled; all else is the same object', () => {
  const sha = 'a'.repeat(64);
  const code = element<'code'>({
    kind: 'code',
    id: 'code',
    placement: box('b', [0, 0, 30, 30]).placement,
    symbology: 'qr',
    content: 'https://quillrook.example/{id}',
  });
  const job = makeJob(
    [
      box('ground', [0, 0, 90, 50]),
      words('name', '{name}', [5, 5, 50, 10]),
      code,
      picture('face', null, [60, 5, 20, 20], { column: 'photo' }),
    ],
    { assets: { [sha]: { ...pictureFacts(100, 100), name: 'Ada.png' } } },
  );
  const filled = withRecord(job, record({ name: 'Ada', id: '7', photo: 'ada.PNG' }));
  expect(named(filled, 'ground')).toBe(named(job, 'ground'));
  expect(named(filled, 'name')).toMatchObject({ paragraphs: [{ runs: [{ text: 'Ada' }] }] });
  expect(named(filled, 'code')).toMatchObject({ content: 'https://quillrook.example/7' });
  expect(named(filled, 'face')).toMatchObject({ picture: sha });
  const without = withRecord(job, record({ name: 'Ada', photo: 'eve.png' }));
  expect(named(without, 'face')).toMatchObject({ picture: null, wants: 'eve.png' });
  // What is typed keeps its names.
  const values = record({ name: 'Ada' });
  expect(named(withRecord(job, values, 'name'), 'name')).toBe(named(job, 'name'));
  expect(withRecord(job, undefined)).toBe(job);
  // Filled twice by the same record, it is the same: nothing is drawn again.
  expect(named(withRecord(job, values), 'name')).toBe(named(withRecord(job, values), 'name'));
});

test('numbers count on, filled up with noughts', () => {
  const set = recordSet({ records: { from: 'count', first: 98, step: 2, count: 3, digits: 4 } }, () => undefined);
  expect(set?.columns).toEqual(['number']);
  expect([0, 1, 2].map((i) => set?.at(i).get('number'))).toEqual(['0098', '0100', '0102']);
});

test.each([
  [[['Name', '']], 'Column 2 has no name'],
  [
    [
      ['Name', 'name'],
      ['a', 'b'],
    ],
    'two columns “name”',
  ],
  [[['Name']], 'at least one below it'],
  [[['Name'], ['a', 'b']], 'Row 2 has 2 cells; there are 1 columns'],
])('rows that are no records say why: %j', (rows, problem) => {
  const read = dataAsset('people.csv', rows);
  expect(read.ok ? '' : read.problem).toContain(problem);
});
