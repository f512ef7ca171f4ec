import { Impossible, choice, length, solvedCount } from '../parameter';
import { lineStyles, styleOf } from './line-styles';
import { level, words, type Mark } from './mark';
import { linesOf, parts, tickBox } from './parts';
import { definePrintable } from './printable';
import { rowsOfWords } from './typed';

/** Labels, each with a line to write on; or with boxes to choose from. */
export const fields = definePrintable({
  kind: 'fields',
  group: 'lists',
  presets: [
    {
      id: 'fields',
      title: 'Name and date',
      about: 'Labels with a rule each, equally spaced.',
      decisions: {},
      piece: { kind: 'worksheet', size: 'A6 landscape' },
    },
    {
      id: 'choices',
      title: 'Fields with choices',
      about: 'A rule to write on, or boxes to choose from.',
      decisions: {
        fields: 'Name\nGroup\nInstrument: naked eye / binoculars / telescope\nWhere: in class / at home',
        across: '1',
      },
      piece: { kind: 'worksheet', size: 'A6 landscape' },
    },
  ],
  parameters: {
    fields: rowsOfWords(
      'Fields',
      'Name\nDate\nPlace',
      'One a line. After a colon, choices parted by strokes get a box each: Where: class / home.',
    ),
    across: solvedCount('Side by side', 'Fields in a row; left out, all of them.', 1, 12),
    row: length('Row', ['9 mm', '3/8 in'], 'Height of a row of fields.', { least: 3, most: 100 }),
    gap: length('Between fields', ['6 mm', '1/4 in'], '', { most: 100 }),
    size: length('Size of labels', ['3.2 mm', '9 pt'], 'Of the letters.', { least: 1, most: 30 }),
    stand: choice('Stand', 'middle', 'Where the rows are in the box.', {
      top: 'at the top',
      middle: 'in the middle',
      spread: 'spread over the height',
    }),
    style: lineStyles('Lines', 'solid 0.5pt ink', 'Dash, weight, colour.'),
  },
  solve: (d, box, { write, lettering }) => {
    const entries = linesOf(d.fields).map((line) => {
      const [label = '', choices = ''] = line.split(/:\s*/, 2);
      return {
        label,
        choices: choices
          .split('/')
          .map((c) => c.trim())
          .filter(Boolean),
      };
    });
    const across = Math.min(d.across ?? Math.max(1, entries.length), Math.max(1, entries.length));
    const rows = Math.ceil(entries.length / across);
    const columns = parts(box.width, across, across > 1 ? d.gap : 0);
    const step = d.stand === 'spread' && rows > 0 ? box.height / rows : d.row;
    const top = d.stand === 'middle' ? (box.height - rows * step) / 2 : 0;
    const letters = lettering('text', false);
    const style = styleOf(d.style);
    const longest = Math.max(
      0,
      ...entries.map(
        ({ label, choices }) => letters.width([label, ...choices].join(' ')) * d.size + choices.length * d.size * 2,
      ),
    );
    if (longest > (columns[0]?.size ?? 0))
      throw new Impossible(
        'fields',
        `The longest field takes ${write(longest)} of ${write(columns[0]?.size ?? 0)}: fewer side by side, ` +
          'or smaller labels.',
      );
    if (rows * step > box.height + 1e-6)
      throw new Impossible(
        'fields',
        `${rows} rows of ${write(step)} are higher than ${write(box.height)}: lower rows, or more fields side by side.`,
      );
    const marks = entries.flatMap(({ label, choices }, i): Mark[] => {
      const at = columns[i % across] ?? { start: 0, size: box.width };
      const y = top + Math.floor(i / across) * step + step * 0.72;
      const after = at.start + letters.width(`${label} `) * d.size;
      const end = at.start + at.size;
      const name = words(label, { x: at.start, y }, d.size);
      if (choices.length === 0) return [name, level(y + d.size * 0.12, Math.min(after, end), end, style)];
      const side = d.size * 1.05;
      const taken = choices.reduce((sum, c) => sum + side * 1.4 + letters.width(c) * d.size, 0);
      const gap = Math.max(d.size * 0.4, (end - after - taken) / choices.length);
      let x = after + d.size * 0.4;
      return [
        name,
        ...choices.flatMap((c): Mark[] => {
          const mark = [
            tickBox('square', { x, y: y - side * 0.86, width: side, height: side }, style),
            words(c, { x: x + side * 1.4, y }, d.size),
          ];
          x += side * 1.4 + letters.width(c) * d.size + gap;
          return mark;
        }),
      ];
    });
    return {
      marks,
      findings: [
        {
          id: 'fields',
          name: 'Fields',
          value: entries.length,
          unit: 'count',
          working: [
            `${across} side by side: (${write(box.width)} − ${across - 1} × ` +
              `${write(across > 1 ? d.gap : 0)}) ÷ ${across} = ${write(columns[0]?.size ?? 0)} each`,
            `${rows} rows of ${write(step)}`,
          ],
          rule: 'Equally wide, in their order',
        },
      ],
      tracks: { columns, rows: Array.from({ length: rows }, (_, i) => ({ start: top + i * step, size: step })) },
    };
  },
});
