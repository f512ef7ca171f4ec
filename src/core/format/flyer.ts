import type { Figure } from '../figure';
import { Flyer, sidesOf, type Job } from '../job';
import { surfaceBoxes } from '../layout';
import { formatLength, formatNumber, pixels, type Mm } from '../measure';
import type { Size } from '../paper';
import { eyePpi, type Rules } from '../rules';
import type { Blank } from './blank';
import type { Format, ParameterValue } from './parameter';

const lengthIn = (value: ParameterValue | undefined): Mm | undefined =>
  value?.kind === 'length' ? value.mm : undefined;
const countIn = (value: ParameterValue | undefined): number | undefined =>
  value?.kind === 'count' ? value.count : undefined;
const edgesIn = (value: ParameterValue | undefined) => {
  const mm = lengthIn(value);
  return mm === undefined ? undefined : { top: mm, right: mm, bottom: mm, left: mm };
};

/** One flat sheet with one or two printed sides. */
export const flyer: Format = {
  kind: 'flyer',
  title: 'Flyer',
  about: 'One flat sheet, one or two sides.',
  parameters: [
    { name: 'size', label: 'Finished size', kind: 'size', help: 'Width x height, or a paper name.', default: 'A5' },
    { name: 'sides', label: 'Printed sides', kind: 'count', help: 'One or two.', default: '2', least: 1, most: 2 },
    { name: 'bleed', label: 'Bleed', kind: 'edges', help: 'Ink beyond the trim, at each edge.', default: '3 mm' },
    { name: 'safe', label: 'Safe margin', kind: 'edges', help: 'Kept clear of the knife, at each edge.', default: '5 mm' },
    { name: 'columns', label: 'Columns', kind: 'count', help: 'Across the safe area.', default: '1', least: 1, most: 100 },
    { name: 'gutter', label: 'Gutter', kind: 'length', help: 'Between columns.', default: '4 mm' },
    { name: 'rows', label: 'Rows', kind: 'count', help: 'Down the safe area.', default: '1', least: 1, most: 100 },
    { name: 'row-gutter', label: 'Row gutter', kind: 'length', help: 'Between rows.', default: '4 mm' },
    { name: 'slug', label: 'Slug', kind: 'length', help: 'Room for notes beyond the marks, at the foot.', default: '0 mm' },
  ], // prettier-ignore
  start: ({ id, values }) => {
    const bleed = edgesIn(values['bleed']);
    const safe = edgesIn(values['safe']);
    const size = values['size']?.kind === 'size' ? values['size'].size : { width: 148, height: 210 };
    return Flyer.parse({
      kind: 'flyer',
      id,
      name: 'Flyer',
      size,
      sides: countIn(values['sides']),
      ...(bleed && { bleed }),
      ...(safe && { safe }),
      grid: {
        columns: countIn(values['columns']),
        gutter: lengthIn(values['gutter']),
        rows: countIn(values['rows']),
        rowGutter: lengthIn(values['row-gutter']),
      },
      slug: lengthIn(values['slug']),
    });
  },
};

/** The blank of a flyer: its finished size is its flat size. */
export function flyerBlank(job: Job, piece: Flyer, rules: Rules): Blank {
  const bleed = rules.bleed.value;
  const safe = rules.safe.value;
  const boxes = surfaceBoxes(piece.size, bleed, safe, piece.grid);
  const withBleed = { width: boxes.bleed.width, height: boxes.bleed.height };
  const ppi = rules.ppi.value;
  const inPixels = (s: Size): Size => ({ width: pixels(s.width, ppi), height: pixels(s.height, ppi) });
  return {
    id: piece.id,
    name: piece.name,
    finished: piece.size,
    flat: piece.size,
    withBleed,
    bleed,
    safe,
    pixels: { ppi, finished: inPixels(piece.size), withBleed: inPixels(withBleed) },
    surfaces: sidesOf(piece).map((name) => ({
      name,
      panels: [{ name, ...boxes.trim }],
      processLines: [],
      boxes,
    })),
    figures: figures(job, piece, rules),
  };
}

function figures(job: Job, piece: Flyer, rules: Rules): Figure[] {
  const { size, grid } = piece;
  const write = (mm: Mm) => formatLength(mm, job.unit, rules.ppi.value);
  const [bleed, safe, ppi] = [rules.bleed.value, rules.safe.value, rules.ppi.value];
  const boxes = surfaceBoxes(size, bleed, safe, grid);
  const found: Figure[] = [
    {
      id: 'finished',
      group: 'size',
      name: 'Finished',
      value: [size.width, size.height],
      unit: 'mm',
      working: [`given: ${write(size.width)} × ${write(size.height)}`],
      rule: 'The designer’s decision; a flat sheet is finished at its flat size',
      measured: { kind: 'box', box: 'trim' },
    },
    {
      id: 'with-bleed',
      group: 'size',
      name: 'With bleed',
      value: [boxes.bleed.width, boxes.bleed.height],
      unit: 'mm',
      working: [
        `width = ${write(bleed.left)} + ${write(size.width)} + ${write(bleed.right)} = ${write(boxes.bleed.width)}`,
        `height = ${write(bleed.top)} + ${write(size.height)} + ${write(bleed.bottom)} = ${write(boxes.bleed.height)}`,
      ],
      rule: 'Trim plus the bleed on both sides',
      measured: { kind: 'box', box: 'bleed' },
    },
    ruledFigure('bleed', 'size', 'Bleed', 'mm', edgeList(bleed), rules.bleed, edgeList(rules.bleed.computed), {
      working: [`each edge: ${edgeList(bleed).map(write).join(', ')} (top, right, bottom, left)`],
      measured: { kind: 'box', box: 'bleed' },
    }),
    ruledFigure('safe', 'size', 'Safe margin', 'mm', edgeList(safe), rules.safe, edgeList(rules.safe.computed), {
      working: [
        `each edge: ${edgeList(safe).map(write).join(', ')} (top, right, bottom, left)`,
        `safe area = ${write(boxes.safe.width)} × ${write(boxes.safe.height)}`,
      ],
      measured: { kind: 'box', box: 'safe' },
    }),
  ];
  if (grid.columns > 1) {
    const width = boxes.columns[0]?.size ?? 0;
    found.push({
      id: 'column-width',
      group: 'grid',
      name: 'Column',
      value: width,
      unit: 'mm',
      working: [
        `(${write(boxes.safe.width)} − ${grid.columns - 1} × ${write(grid.gutter)}) ÷ ${grid.columns} = ${write(width)}`,
      ],
      rule: 'Equal columns across the safe area',
      measured: { kind: 'columns' },
    });
  }
  if (grid.rows > 1) {
    const height = boxes.rows[0]?.size ?? 0;
    found.push({
      id: 'row-height',
      group: 'grid',
      name: 'Row',
      value: height,
      unit: 'mm',
      working: [
        `(${write(boxes.safe.height)} − ${grid.rows - 1} × ${write(grid.rowGutter)}) ÷ ${grid.rows} = ${write(height)}`,
      ],
      rule: 'Equal rows down the safe area',
    });
  }
  const eye = eyePpi(job.readingDistance);
  found.push(
    ruledFigure('ppi', 'picture and ink', 'Resolution', 'ppi', ppi, rules.ppi, rules.ppi.computed, {
      working: [
        `25.4 ÷ (${formatNumber(job.readingDistance)} mm × tan 1′) = ${formatNumber(eye, 0)} ppi at reading distance`,
        `rounded up to 50, at most 300: ${rules.ppi.computed} ppi`,
      ],
    }),
    {
      id: 'pixels',
      group: 'picture and ink',
      name: `At ${formatNumber(ppi, 0)} ppi`,
      value: [pixels(boxes.bleed.width, ppi), pixels(boxes.bleed.height, ppi)],
      unit: 'px',
      working: [
        `round(${formatNumber(boxes.bleed.width)} mm ÷ 25.4 × ${ppi}) = ${pixels(boxes.bleed.width, ppi)}`,
        `round(${formatNumber(boxes.bleed.height)} mm ÷ 25.4 × ${ppi}) = ${pixels(boxes.bleed.height, ppi)}`,
        `trimmed: ${pixels(size.width, ppi)} × ${pixels(size.height, ppi)} px`,
      ],
      rule: 'A picture to the bleed needs this many pixels',
    },
    ruledFigure('inkLimit', 'picture and ink', 'Ink limit', '%', rules.inkLimit.value, rules.inkLimit, rules.inkLimit.computed, {
      working: [`C + M + Y + K at any point ≤ ${rules.inkLimit.value} %`],
    }),
    ruledFigure('minTypePt', 'output', 'Smallest type', 'pt', rules.minTypePt.value, rules.minTypePt, rules.minTypePt.computed, {
      working: [
        `one ink on paper: ${rules.minTypePt.value} pt`,
        `reversed or in several inks: ${rules.minReversedTypePt.value} pt`,
      ],
    }),
    ruledFigure('minLinePt', 'output', 'Thinnest line', 'pt', rules.minLinePt.value, rules.minLinePt, rules.minLinePt.computed, {
      working: [`positive: ${rules.minLinePt.value} pt`, `reversed or in a tint: ${2 * rules.minLinePt.value} pt`],
    }),
    ruledFigure('markOffset', 'output', 'Mark offset', 'mm', rules.markOffset.value, rules.markOffset, rules.markOffset.computed, {
      working: [
        `widest bleed ${write(Math.max(...edgeList(bleed)))}, at least 3 mm`,
        `max = ${write(rules.markOffset.computed)}`,
      ],
      measured: { kind: 'marks' },
    }),
  ); // prettier-ignore
  return found;
}

const edgeList = (e: { top: Mm; right: Mm; bottom: Mm; left: Mm }): readonly Mm[] => [e.top, e.right, e.bottom, e.left];

function ruledFigure(
  id: NonNullable<Figure['overridable']>,
  group: Figure['group'],
  name: string,
  unit: Figure['unit'],
  value: Figure['value'],
  from: { readonly overridden: boolean; readonly rule: string },
  computed: Figure['value'],
  more: Pick<Figure, 'working' | 'measured'>,
): Figure {
  return {
    id,
    group,
    name,
    value,
    unit,
    rule: from.rule,
    overridable: id,
    ...(from.overridden && { override: { field: id, computed } }),
    ...more,
  };
}
