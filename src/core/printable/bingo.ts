import { choice, count, length } from '../parameter';
import { Impossible } from '../parameter';
import { lineStyles, styleOf } from './line-styles';
import { boxed, words, type Mark } from './mark';
import { brokenLines, linesOf, middleBaseline, parts, sizeFor, star } from './parts';
import { definePrintable } from './printable';
import { shuffled } from './shuffled';
import { phrase, rowsOfWords } from './typed';

/** A card with words or numbers in another order on every page. */
export const bingo = definePrintable({
  kind: 'bingo',
  group: 'forms',
  presets: [
    {
      id: 'bingo',
      title: 'Bingo card',
      about: 'Numbers by column, a free middle; every page is another card.',
      decisions: {},
      piece: { kind: 'postcard' },
    },
    {
      id: 'sky-bingo',
      title: 'Word bingo',
      about: 'Your own words, shuffled for each card.',
      decisions: {
        words:
          'Moon\nVenus\nJupiter\nMars\nSaturn\nPleiades\nOrion\nGreat Bear\nPole Star\nMilky Way\nMeteor\n' +
          'Satellite\nSirius\nVega\nCassiopeia\nOwl',
        cells: '4',
        free: 'no',
        title: 'Sky bingo',
      },
      piece: { kind: 'postcard' },
    },
  ],
  parameters: {
    title: phrase('Title', 'Bingo', 'Above the card; left out, none.'),
    cells: count('Boxes', '5', 'Across and down.', 2, 10),
    words: rowsOfWords(
      'Words',
      '',
      'One a line, as many as there are boxes or more. Left out, numbers 1 to 15 in the first column, 16 to ' +
        '30 in the second, and so on.',
    ),
    free: choice('Middle', 'yes', 'A star in the middle box, where there is one.', {
      yes: 'free',
      no: 'like the others',
    }),
    seed: count('Series', '1', 'Another number gives other cards.', 1, 999_999),
    head: length('Head', ['16 mm', '5/8 in'], 'For the title.', { most: 200, when: (v) => v['title'] !== '' }),
    style: lineStyles('Lines', 'solid 0.8pt ink', 'Dash, weight, colour.'),
  },
  solve: (d, box, { lettering, turn, write }) => {
    const head = d.title === '' ? 0 : d.head;
    const side = Math.min(box.width, box.height - head);
    if (side <= 5) throw new Impossible('head', 'The head leaves no room for the card.');
    const left = (box.width - side) / 2;
    const cells = parts(side, d.cells);
    const cell = cells[0]?.size ?? 0;
    const typed = linesOf(d.words);
    const all = d.cells * d.cells;
    const isFree = d.free === 'yes' && d.cells % 2 === 1;
    if (typed.length > 0 && typed.length < all - (isFree ? 1 : 0))
      throw new Impossible(
        'words',
        `${all - (isFree ? 1 : 0)} boxes and ${typed.length} words: give more words, or have fewer boxes.`,
      );
    const seed = d.seed * 1000 + turn.index;
    const order = typed.length > 0 ? shuffled(typed, seed) : columnsOfNumbers(d.cells, seed);
    const [face, letters] = [lettering('title', false), lettering('text', false)];
    const style = styleOf(d.style);
    let next = 0;
    const middle = (d.cells - 1) / 2;
    const marks = cells.flatMap((row, r) =>
      cells.flatMap((column, c): readonly Mark[] => {
        const rect = { x: left + column.start, y: head + row.start, width: cell, height: cell };
        const frame = boxed(rect, style);
        if (isFree && r === middle && c === middle)
          return [frame, star({ x: rect.x + cell / 2, y: rect.y + cell / 2 }, cell * 0.3, 'accent', null)];
        const text = typed.length > 0 ? (order[next++] ?? '') : (order[c * d.cells + r] ?? '');
        if (typed.length === 0) {
          const size = cell * 0.46;
          return [
            frame,
            words(text, { x: rect.x + cell / 2, y: middleBaseline(rect.y, cell, size, face) }, size, {
              face: 'title',
              align: 'centre',
            }),
          ];
        }
        const size = Math.min(cell * 0.2, sizeFor(text.split(' '), cell * 0.88, cell * 0.2, letters));
        const lines = brokenLines(text, cell * 0.9, size, letters);
        const top = rect.y + (cell - lines.length * size * 1.2) / 2;
        return [
          frame,
          ...lines.map((l, i) =>
            words(
              l,
              { x: rect.x + cell / 2, y: middleBaseline(top + i * size * 1.2, size * 1.2, size, letters) },
              size,
              { align: 'centre' },
            ),
          ),
        ];
      }),
    );
    const size = sizeFor([d.title || ' '], side, head * 0.62, face);
    return {
      marks: [
        ...(head > 0
          ? [
              words(d.title, { x: box.width / 2, y: middleBaseline(0, head * 0.9, size, face) }, size, {
                face: 'title',
                align: 'centre',
              }),
            ]
          : []),
        ...marks,
      ],
      findings: [
        {
          id: 'box',
          name: 'A box',
          value: cell,
          unit: 'mm',
          working: [`${write(side)} ÷ ${d.cells} = ${write(cell)}`],
          rule: 'The largest square card in its box',
        },
      ],
      tracks: {
        columns: cells.map((c) => ({ start: left + c.start, size: c.size })),
        rows: cells.map((c) => ({ start: head + c.start, size: c.size })),
      },
    };
  },
});

/** Fifteen numbers to a column, some of them on the card, column by column. */
function columnsOfNumbers(columns: number, seed: number): readonly string[] {
  return Array.from({ length: columns }, (_, c) =>
    shuffled(
      Array.from({ length: 15 }, (__, i) => c * 15 + i + 1),
      seed * 31 + c,
    )
      .slice(0, columns)
      .sort((a, b) => a - b)
      .map(String),
  ).flat();
}
