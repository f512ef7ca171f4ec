import { choice, count, length } from '../parameter';
import { Impossible } from '../parameter';
import { lineStyles, styleOf } from './line-styles';
import { boxed, upright, words, type Mark } from './mark';
import { linesOf, parts, sizeFor } from './parts';
import { definePrintable } from './printable';
import { phrase, rowsOfWords } from './typed';

/** Numbered tickets with a stub that tears off, in columns and rows. Numbers go on from page to page. */
export const tickets = definePrintable({
  kind: 'tickets',
  group: 'forms',
  presets: [
    { id: 'tickets', title: 'Tickets with stubs', about: 'Numbered twice, with a line to tear along.', decisions: {} },
    {
      id: 'cloakroom',
      title: 'Cloakroom numbers',
      about: 'Large numbers, three across.',
      decisions: { across: '3', down: '8', title: '', words: '', stub: '40', digits: '3' },
    },
  ],
  parameters: {
    across: count('Across', '2', 'Tickets in a row.', 1, 20),
    down: count('Down', '5', 'Rows.', 1, 40),
    title: phrase('Title', 'Meteor night', 'On the ticket.'),
    words: rowsOfWords('Words', '14 August 2027, from 21:30\nQuillrook observatory', 'Below the title, one a line.'),
    first: count('First number', '1', '', 0, 99_999_999),
    digits: count('Digits', '4', 'Filled with zeros.', 1, 8),
    stub: count('Stub', '28', 'Percent of the width; 0 for none.', 0, 60),
    gap: length('Between tickets', ['0 mm', '0 in'], '0 where one cut parts two.', { most: 40 }),
    edge: choice('Outline', 'cut', 'What is drawn around each.', { cut: 'a line to cut along', none: 'nothing' }),
    tear: lineStyles('Line to tear along', 'dotted 0.9pt ink', 'Dash, weight, colour.'),
    style: lineStyles('Outline drawn', 'solid 0.3pt pale', 'Dash, weight, colour.'),
  },
  solve: (d, box, { lettering, turn, write }) => {
    const columns = parts(box.width, d.across, d.gap);
    const rows = parts(box.height, d.down, d.gap);
    const [face, letters] = [lettering('title', false), lettering('text', false)];
    const each = d.across * d.down;
    const [width, height] = [columns[0]?.size ?? 0, rows[0]?.size ?? 0];
    if (width < 10 || height < 8)
      throw new Impossible('across', `A ticket would be ${write(width)} × ${write(height)}: have fewer.`);
    const stub = (width * d.stub) / 100;
    const pad = Math.min(3, height * 0.1);
    const lines = linesOf(d.words);
    const longest = Array.from({ length: d.digits }, () => '8').join('');
    const numberSize = sizeFor(
      [`No. ${longest}`],
      (stub > 0 ? stub : width) - 2 * pad,
      Math.min(height * 0.3, 9),
      face,
    );
    const main = width - stub;
    const size = Math.min(height * 0.2, 6);
    const titleSize = d.title === '' ? 0 : sizeFor([d.title], main - 2 * pad, size, face);
    const lineSize = lines.length > 0 ? sizeFor(lines, main - 2 * pad, size * 0.55, letters) : 0;
    const marks = rows.flatMap((row, r) =>
      columns.flatMap((column, c): readonly Mark[] => {
        const number = d.first + turn.index * each + r * d.across + c;
        const text = String(number).padStart(d.digits, '0');
        const [x, y] = [column.start + stub, row.start];
        return [
          ...(d.edge === 'cut' ? [boxed({ x: column.start, y, width, height }, styleOf(d.style))] : []),
          ...(stub > 0
            ? [
                upright(column.start + stub, y, y + height, styleOf(d.tear)),
                words(
                  `No. ${text}`,
                  { x: column.start + stub / 2, y: y + height / 2 + numberSize * 0.35 },
                  numberSize,
                  { face: 'title', align: 'centre' },
                ),
              ]
            : []),
          ...(d.title === ''
            ? []
            : [words(d.title, { x: x + pad, y: y + pad + titleSize * face.capHeight }, titleSize, { face: 'title' })]),
          ...lines.map((l, i) =>
            words(l, { x: x + pad, y: y + pad + titleSize * 1.25 + (i + 0.9) * lineSize * 1.3 }, lineSize),
          ),
          words(
            stub > 0 && d.title !== '' ? `No. ${text}` : text,
            { x: x + main - pad, y: y + height - pad },
            Math.min(numberSize, d.title === '' ? height * 0.5 : numberSize * 0.7),
            { face: 'title', align: 'right', role: d.title === '' ? 'ink' : 'accent' },
          ),
        ];
      }),
    );
    const firstNumber = d.first + turn.index * each;
    return {
      marks,
      findings: [
        {
          id: 'count',
          name: 'Tickets',
          value: each,
          unit: 'count',
          working: [`${d.across} × ${d.down} = ${each}`, `numbers ${firstNumber} to ${firstNumber + each - 1}`],
          rule: 'Columns times rows; the numbers go on from page to page',
        },
        {
          id: 'size',
          name: 'Width of one',
          value: width,
          unit: 'mm',
          working: [
            `(${write(box.width)} − ${d.across - 1} × ${write(d.gap)}) ÷ ${d.across} = ${write(width)}`,
            `(${write(box.height)} − ${d.down - 1} × ${write(d.gap)}) ÷ ${d.down} = ${write(height)} high`,
          ],
          rule: 'Equal parts with gaps between',
        },
      ],
      tracks: { columns, rows },
    };
  },
});
