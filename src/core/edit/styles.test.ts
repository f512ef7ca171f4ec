import {
  Element,
  cellLook,
  cellText,
  styleBook,
  tableOfWords,
  withCellStyle,
  withCells,
  type Job,
  type ParagraphLook,
  type TypeStyle,
} from '../job';
import { makeJob, words } from '../../testing/jobs';
import { addStyle, putStyle, usesOf, withoutCellStyle, withoutStyle } from './styles';

const style = (id: string, look: Partial<ParagraphLook>, basedOn: string | null = null): TypeStyle => ({
  of: 'paragraph',
  id,
  name: id,
  basedOn,
  next: null,
  look,
});
const STYLES = [
  style('base', { family: 'Lora', sizePt: 9 }),
  style('lead', { sizePt: 12 }, 'base'),
  style('note', { italic: true }, 'lead'),
];

const start = makeJob(
  [
    words('a', 'Moor and moon', [0, 0, 50, 20], {}, { style: 'lead', look: {} }),
    words(
      'b',
      '',
      [0, 30, 50, 20],
      {},
      {
        style: 'base',
        look: {},
        paragraphs: [{ style: 'note', runs: [{ text: 'first' }] }, { runs: [{ text: 'second' }] }],
      },
    ),
  ],
  { styles: STYLES },
);

const textOf = (job: Job, id: string) => {
  const found = job.pieces[0]?.surfaces['front']?.find(
    (e): e is Extract<Element, { kind: 'text' }> => e.id === id && e.kind === 'text',
  );
  if (!found) throw new Error(`no ${id}`);
  return found;
};
/** The whole look of every paragraph. */
const looks = (job: Job) =>
  ['a', 'b'].flatMap((id) => {
    const text = textOf(job, id);
    return text.paragraphs.map((p) => styleBook(job).paragraph(text, p));
  });

test('a base style changed, all that is based on it follows; what differs keeps its own', () => {
  const base = start.styles[0];
  if (!base) throw new Error('no style');
  const changed = putStyle(start, { ...base, look: { ...base.look, family: 'Jost', sizePt: 10 } });
  expect(looks(changed).map((l) => [l.family, l.sizePt, l.italic])).toEqual([
    ['Jost', 12, false],
    ['Jost', 12, true],
    ['Jost', 10, false],
  ]);
});

test.each(['base', 'lead', 'note'])('the style “%s” removed, everything looks as before', (id) => {
  const without = withoutStyle(start, id);
  expect(without.styles.some((s) => s.id === id)).toBe(false);
  expect(looks(without)).toEqual(looks(start));
});

test('a look becomes a style with what differs from the one it is in, and the text is in it', () => {
  const text = { ...textOf(start, 'a'), look: { align: 'centre' as const } };
  const made = addStyle(start, text, undefined);
  const added = made.styles.at(-1);
  expect(added).toMatchObject({ of: 'paragraph', basedOn: 'lead', look: { align: 'centre' } });
  expect(textOf(made, 'a')).toMatchObject({ style: added?.id, look: {} });
  expect(usesOf(made, 'lead')).toBe(2);
  expect(usesOf(made, added?.id ?? '')).toBe(1);
});

describe('in a table', () => {
  const plain = Element.parse({
    kind: 'table',
    id: 'table',
    style: 'base',
    placement: { against: { box: 'trim' }, x: { start: 0, size: 90 }, y: { start: 0, size: 'content' } },
    ...tableOfWords([
      ['Time', 'What'],
      ['20:30', 'Doors'],
    ]),
  });
  if (plain.kind !== 'table') throw new Error('no table');
  const [first, second] = [
    { row: 0, column: 0 },
    { row: 1, column: 1 },
  ];
  const styled = withCellStyle(
    withCells(plain, { from: second, to: second }, { style: 'note' }),
    { from: first, to: first },
    'head',
  );
  const job = makeJob([styled], {
    styles: STYLES,
    cellStyles: [
      { id: 'quiet', name: 'Quiet', basedOn: null, cell: { vertical: 'bottom' } },
      { id: 'head', name: 'Head', basedOn: 'quiet', cell: { fill: { kind: 'paper' }, look: { weight: 700 } } },
    ],
  });
  const tableOf = (of: Job) => {
    const found = of.pieces[0]?.surfaces['front']?.[0];
    if (found?.kind !== 'table') throw new Error('no table');
    return found;
  };
  const looks = (of: Job) =>
    [first, second].map((place) => {
      const book = styleBook(of);
      const text = cellText(tableOf(of), place, book);
      const { fill, vertical } = cellLook(tableOf(of), place, book);
      return { type: book.base(text), fill, vertical };
    });

  test('a type style taken out leaves every cell as it looked', () => {
    for (const id of ['base', 'lead', 'note']) expect(looks(withoutStyle(job, id))).toEqual(looks(job));
    expect(usesOf(job, 'note')).toBe(1);
  });

  test('a cell style taken out leaves its cells, and the styles based on it, as they looked', () => {
    for (const id of ['quiet', 'head']) expect(looks(withoutCellStyle(job, id))).toEqual(looks(job));
    expect(withoutCellStyle(job, 'head').cellStyles.map((s) => s.id)).toEqual(['quiet']);
    expect(usesOf(job, 'head')).toBe(1);
    expect(usesOf(job, 'quiet')).toBe(1);
  });
});
