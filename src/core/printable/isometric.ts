import { length } from '../parameter';
import type { Mm } from '../measure';
import { lineStyles, styleOf } from './line-styles';
import { line, upright, type LineStyle, type Mark } from './mark';
import { definePrintable } from './printable';

const TAN30 = Math.tan(Math.PI / 6);

/** Triangles with equal sides: upright lines, and lines at 30° both ways. */
export const isometric = definePrintable({
  kind: 'isometric',
  group: 'grids',
  presets: [{ id: 'isometric', title: 'Isometric', about: 'Equal triangles, for drawing in space.', decisions: {} }],
  parameters: {
    spacing: length('Side', ['8 mm', '1/4 in'], 'Of each triangle.', { least: 1, most: 200 }),
    style: lineStyles('Lines', 'solid 0.25pt pale', 'Dash, weight, colour.'),
  },
  solve: (d, box, { write }) => {
    const style = styleOf(d.style);
    const step = d.spacing * Math.cos(Math.PI / 6);
    const columns = Math.floor(box.width / step + 1e-9);
    const first = (box.width - columns * step) / 2;
    const uprights = Array.from({ length: columns + 1 }, (_, i) => upright(first + i * step, 0, box.height, style));
    const slopes = [1, -1].flatMap((slope) => sloping(slope, d.spacing, first, box, style));
    return {
      marks: [...uprights, ...slopes],
      findings: [
        {
          id: 'across',
          name: 'Triangles across',
          value: columns,
          unit: 'count',
          working: [
            `${write(d.spacing)} × cos 30° = ${write(step)}`,
            `floor(${write(box.width)} ÷ ${write(step)}) = ${columns}`,
          ],
          rule: 'Upright lines a triangle’s height apart',
          stops: { axis: 'x', stops: [0, first, box.width - first, box.width] },
        },
      ],
    };
  },
});

/** Lines at 30° through every corner, cut off at the box. */
function sloping(
  slope: number,
  side: Mm,
  first: Mm,
  { width, height }: { readonly width: Mm; readonly height: Mm },
  style: LineStyle,
): readonly Mark[] {
  const rise = slope * TAN30;
  // At the first upright line they stand a side apart; `at` is their height there.
  const at = (n: number) => n * side;
  const [from, to] =
    slope > 0 ? [-(width * TAN30) / side - 1, height / side + 1] : [-1, (height + width * TAN30) / side + 1];
  const marks: Mark[] = [];
  for (let n = Math.floor(from); n <= to; n += 1) {
    const y = (x: Mm) => at(n) + (x - first) * rise;
    const x = (level: Mm) => first + (level - at(n)) / rise;
    const [a, b] = [Math.max(0, Math.min(x(0), x(height))), Math.min(width, Math.max(x(0), x(height)))];
    if (b - a > 0.05) marks.push(line({ x: a, y: clamp(y(a), height) }, { x: b, y: clamp(y(b), height) }, style));
  }
  return marks;
}

const clamp = (y: Mm, height: Mm): Mm => Math.min(Math.max(y, 0), height);
