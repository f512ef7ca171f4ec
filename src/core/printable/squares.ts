import { ellipsePath, type Path } from '../geometry';
import type { Mm } from '../measure';
import { Impossible, choice, count, length } from '../parameter';
import { lineStyles, styleOf } from './line-styles';
import { level, upright, type LineStyle, type Mark } from './mark';
import { definePrintable, type Finding, type PrintableContext } from './printable';

interface Stops {
  readonly spacing: Mm;
  readonly count: number;
  /** From the edge of the box to the first line. */
  readonly first: Mm;
}

/** As many whole spaces as fit, what is left over halved between both edges; or the spacing that fills. */
function stopsIn(room: Mm, spacing: Mm, fill: boolean): Stops {
  const count = Math.floor(room / spacing + 1e-9);
  if (count < 1) throw new Impossible('spacing', 'Not one space fits: give a smaller spacing.');
  const solved = fill ? room / count : spacing;
  return { spacing: solved, count, first: (room - count * solved) / 2 };
}

/** Squares, dots or crosses at a spacing. */
export const squares = definePrintable({
  kind: 'squares',
  group: 'grids',
  presets: [
    { id: 'squared', title: 'Squared', about: 'Squares at a spacing, every fifth line heavier.', decisions: {} },
    {
      id: 'dotted',
      title: 'Dots',
      about: 'A dot at each corner of a square.',
      decisions: { pattern: 'dots', heavy: '0' },
    },
    {
      id: 'crosses',
      title: 'Crosses',
      about: 'A small cross at each corner.',
      decisions: { pattern: 'crosses', spacing: '10 mm', heavy: '0', dot: '1 mm', style: 'solid 0.4pt pale' },
    },
    {
      id: 'millimetre',
      title: 'Millimetre paper',
      about: 'Squares of 1 mm, every tenth line heavier.',
      decisions: { spacing: '1 mm', heavy: '10', style: 'solid 0.15pt pale', 'heavy-style': 'solid 0.4pt pale' },
    },
  ],
  parameters: {
    pattern: choice('Pattern', 'squares', 'What stands at the spacing.', {
      squares: 'squares',
      dots: 'dots',
      crosses: 'crosses',
    }),
    spacing: length('Spacing', ['5 mm', '1/4 in'], 'From line to line.', { least: 0.5, most: 200 }),
    fit: choice('Fit', 'keep', 'Keep the spacing and leave equal rims, or fill the width exactly.', {
      keep: 'keep the spacing',
      fill: 'fill the width',
    }),
    heavy: count('Heavier', '5', 'Every so many lines; 0 for none.', 0, 100),
    style: lineStyles('Lines', 'solid 0.3pt pale', 'Dash, weight, colour.'),
    'heavy-style': lineStyles('Heavier lines', 'solid 0.6pt pale', 'Dash, weight, colour.'),
    dot: length('Size of a mark', '0.5 mm', 'Of a dot, or of the arms of a cross.', {
      least: 0.1,
      most: 20,
      when: (v) => v['pattern'] !== 'squares',
    }),
  },
  solve: (d, box, context) => {
    const across = stopsIn(box.width, d.spacing, d.fit === 'fill');
    // Filled across; down, whole squares of that size, so that squares stay square.
    const down = stopsIn(box.height, across.spacing, false);
    const xs = Array.from({ length: across.count + 1 }, (_, i) => across.first + i * across.spacing);
    const ys = Array.from({ length: down.count + 1 }, (_, i) => down.first + i * down.spacing);
    const findings = findingsOf(across, down, box, context);
    const tracks = {
      columns: xs.slice(0, -1).map((start) => ({ start, size: across.spacing })),
      rows: ys.slice(0, -1).map((start) => ({ start, size: down.spacing })),
    };
    if (d.pattern === 'squares') {
      const [fine, heavy] = [styleOf(d.style), styleOf(d['heavy-style'])];
      const styled = (i: number): LineStyle => (d.heavy > 0 && i % d.heavy === 0 ? heavy : fine);
      const [left, right] = [xs[0] ?? 0, xs.at(-1) ?? 0];
      const [top, bottom] = [ys[0] ?? 0, ys.at(-1) ?? 0];
      const lines = [
        ...ys.map((y, i) => level(y, left, right, styled(i))),
        ...xs.map((x, i) => upright(x, top, bottom, styled(i))),
      ];
      // Fine lines beneath heavy ones.
      return {
        marks: [
          ...lines.filter((l) => 'style' in l && l.style === fine),
          ...lines.filter((l) => 'style' in l && l.style !== fine),
        ],
        findings,
        tracks,
      };
    }
    const style = styleOf(d.style);
    if (d.pattern === 'dots') {
      const r = d.dot / 2;
      const path: Path = ys.flatMap((y) =>
        xs.flatMap((x) =>
          ellipsePath({ x: within(x, r, box.width) - r, y: within(y, r, box.height) - r, width: d.dot, height: d.dot }),
        ),
      );
      return { marks: [{ kind: 'shape', path, fill: style.role, stroke: null }], findings, tracks };
    }
    const reach = (at: Mm, room: Mm) => [Math.max(0, at - d.dot), Math.min(room, at + d.dot)] as const;
    const marks = ys.flatMap((y) =>
      xs.flatMap((x): Mark[] => [level(y, ...reach(x, box.width), style), upright(x, ...reach(y, box.height), style)]),
    );
    return { marks, findings, tracks };
  },
});

const within = (at: Mm, half: Mm, room: Mm): Mm => Math.min(Math.max(at, half), room - half);

function findingsOf(
  across: Stops,
  down: Stops,
  box: { readonly width: Mm; readonly height: Mm },
  { write }: PrintableContext,
): readonly Finding[] {
  const one = (name: string, id: string, axis: 'x' | 'y', { spacing, count: n, first }: Stops, room: Mm): Finding => ({
    id,
    name,
    value: n,
    unit: 'count',
    working: [
      `floor(${write(room)} ÷ ${write(spacing)}) = ${n}`,
      `${n} × ${write(spacing)} + 2 × ${write(first)} = ${write(room)}`,
    ],
    rule: 'Whole spaces, the rest halved between both edges',
    stops: { axis, stops: [0, first, room - first, room] },
  });
  return [one('Squares across', 'across', 'x', across, box.width), one('Squares down', 'down', 'y', down, box.height)];
}
