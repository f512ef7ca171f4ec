import { choice, count } from '../parameter';
import { Impossible } from '../parameter';
import type { Point } from '../geometry';
import type { Mm } from '../measure';
import { lineStyles, styleOf } from './line-styles';
import { boxed, disc, level, words, type Mark } from './mark';
import { middleBaseline, parts, star } from './parts';
import { definePrintable } from './printable';
import { moonPicture } from './moon-picture';

/** Numbers, each beside as many pictures: to count, and to write the number again. */
export const counting = definePrintable({
  kind: 'counting',
  group: 'handwriting',
  presets: [
    {
      id: 'counting',
      title: 'Counting pictures',
      about: 'So many stars beside each number, and room to write it.',
      decisions: {},
    },
  ],
  parameters: {
    from: count('From', '1', '', 0, 100),
    to: count('To', '10', '', 1, 100),
    picture: choice('Picture', 'star', 'What is counted.', {
      star: 'stars',
      moon: 'moons',
      planet: 'planets',
      box: 'squares',
    }),
    write: count('To write', '3', 'Boxes to write the number into.', 0, 12),
    fill: choice('Drawn', 'outline', 'To be coloured in, or full.', { outline: 'as an outline', full: 'full' }),
    style: lineStyles('Lines', 'solid 0.8pt ink', 'Dash, weight, colour.'),
  },
  solve: (d, box, { lettering, write }) => {
    if (d.to < d.from) throw new Impossible('to', `Counting to ${d.to} cannot begin at ${d.from}.`);
    const numbers = Array.from({ length: d.to - d.from + 1 }, (_, i) => d.from + i);
    const rows = parts(box.height, numbers.length);
    const row = rows[0]?.size ?? 0;
    const face = lettering('title', false);
    const figure = row * 0.66;
    const lead = face.width('88') * figure * 1.15;
    const side = row * 0.7;
    const tail = d.write * (side + row * 0.12);
    const room = box.width - lead - tail - row * 0.3;
    if (room < row * 0.5)
      throw new Impossible('write', 'No room is left for the pictures: fewer boxes to write in, or a wider box.');
    const style = styleOf(d.style);
    const fill = d.fill === 'full' ? style.role : null;
    const marks = numbers.flatMap((n, i): readonly Mark[] => {
      const y = rows[i]?.start ?? 0;
      const boxes = Array.from({ length: d.write }, (_, b) =>
        boxed(
          {
            x: box.width - tail + b * (side + row * 0.12) + row * 0.12,
            y: y + (row - side) / 2,
            width: side,
            height: side,
          },
          { ...style, weightPt: style.weightPt * 0.6, role: 'pale' },
        ),
      );
      return [
        words(String(n), { x: lead * 0.5, y: middleBaseline(y, row, figure, face) }, figure, {
          face: 'title',
          align: 'centre',
        }),
        ...evenly(n, { x: lead, y: y + row * 0.08, width: room, height: row * 0.84 }).flatMap(({ at, radius }) =>
          picture(d.picture, at, radius, fill, style),
        ),
        ...boxes,
        ...(i > 0 ? [level(y, 0, box.width, { role: 'pale', weightPt: 0.3, dash: 'dotted' })] : []),
      ];
    });
    return {
      marks,
      findings: [
        {
          id: 'row',
          name: 'A row',
          value: row,
          unit: 'mm',
          working: [`${write(box.height)} ÷ ${numbers.length} = ${write(row)}`],
          rule: 'Equal rows',
        },
      ],
      tracks: {
        columns: [
          { start: 0, size: lead },
          { start: lead, size: room },
        ],
        rows,
      },
    };
  },
});

type Picture = 'star' | 'moon' | 'planet' | 'box';

function picture(
  what: Picture,
  at: Point,
  radius: Mm,
  fill: 'ink' | 'pale' | 'accent' | 'tint' | 'paper' | null,
  style: Parameters<typeof disc>[2] & object,
): readonly Mark[] {
  switch (what) {
    case 'star':
      return [star(at, radius, fill, style)];
    case 'box':
      return [
        boxed(
          { x: at.x - radius * 0.8, y: at.y - radius * 0.8, width: radius * 1.6, height: radius * 1.6 },
          style,
          fill,
        ),
      ];
    case 'moon':
      return moonPicture(at, radius * 0.9, fill ? 60 : 120, style);
    case 'planet':
      return [
        disc(at, radius * 0.6, style, fill),
        { kind: 'shape', path: ringPath(at, radius), fill: null, stroke: style },
      ];
  }
}

/** The ring of a planet, seen from a little above. */
const ringPath = (
  { x, y }: Point,
  r: Mm,
): readonly (readonly ['M', number, number] | readonly ['C', number, number, number, number, number, number])[] => [
  ['M', x - r * 0.55, y - r * 0.1],
  ['C', x - r * 1.25, y + r * 0.25, x - r * 0.8, y + r * 0.45, x, y + r * 0.22],
  ['C', x + r * 0.9, y - r * 0.05, x + r * 1.25, y - r * 0.42, x + r * 0.5, y - r * 0.3],
];

/** So many places in a box, in rows as equal as can be, as large as they can be. */
function evenly(
  n: number,
  box: { readonly x: Mm; readonly y: Mm; readonly width: Mm; readonly height: Mm },
): readonly { readonly at: Point; readonly radius: Mm }[] {
  if (n === 0) return [];
  let best = { rows: 1, side: 0 };
  for (let rows = 1; rows <= n; rows += 1) {
    const side = Math.min(box.height / rows, box.width / Math.ceil(n / rows));
    if (side > best.side + 1e-9) best = { rows, side };
  }
  const { rows, side } = best;
  const across = Math.ceil(n / rows);
  return Array.from({ length: n }, (_, i) => {
    const r = Math.floor(i / across);
    return {
      at: { x: box.x + side * ((i % across) + 0.5), y: box.y + (box.height - rows * side) / 2 + side * (r + 0.5) },
      radius: side * 0.4,
    };
  });
}
