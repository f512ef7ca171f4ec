import type { Path } from '../geometry';
import { Impossible, length } from '../parameter';
import { lineStyles, styleOf } from './line-styles';
import { definePrintable } from './printable';

/** Whole hexagons, point upward, in the middle of the box. */
export const hexagons = definePrintable({
  kind: 'hexagons',
  group: 'grids',
  presets: [{ id: 'hexagons', title: 'Hexagons', about: 'Honeycomb, whole cells only.', decisions: {} }],
  parameters: {
    side: length('Side', ['6 mm', '1/4 in'], 'Of each hexagon.', { least: 1, most: 200 }),
    style: lineStyles('Lines', 'solid 0.35pt pale', 'Dash, weight, colour.'),
  },
  solve: (d, box, { write }) => {
    const [wide, step] = [Math.sqrt(3) * d.side, 1.5 * d.side];
    // Every second row stands half a cell further right.
    const columns = Math.floor(box.width / wide - 0.5 + 1e-9);
    const rows = Math.floor((box.height - 0.5 * d.side) / step + 1e-9);
    if (columns < 1 || rows < 1) throw new Impossible('side', 'Not one hexagon fits: give a shorter side.');
    const left = (box.width - (columns + 0.5) * wide) / 2;
    const top = (box.height - (rows * step + 0.5 * d.side)) / 2;
    const path = Array.from({ length: rows }, (_, r) =>
      Array.from({ length: columns }, (_, c): Path => {
        const x = left + c * wide + (r % 2 === 1 ? wide / 2 : 0);
        const y = top + r * step;
        const [q, h, s] = [wide / 2, d.side / 2, d.side];
        return [
          ['M', x + q, y],
          ['L', x + wide, y + h],
          ['L', x + wide, y + h + s],
          ['L', x + q, y + 2 * s],
          ['L', x, y + h + s],
          ['L', x, y + h],
          ['Z'],
        ];
      }),
    ).flat(2);
    return {
      marks: [{ kind: 'shape', path, fill: null, stroke: styleOf(d.style) }],
      findings: [
        {
          id: 'cells',
          name: 'Hexagons',
          value: columns * rows,
          unit: 'count',
          working: [
            `across: floor(${write(box.width)} ÷ ${write(wide)} − 1/2) = ${columns}`,
            `down: floor((${write(box.height)} − ${write(d.side / 2)}) ÷ ${write(step)}) = ${rows}`,
          ],
          rule: '√3 sides wide, a row every one and a half sides',
        },
      ],
    };
  },
});
