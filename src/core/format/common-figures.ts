import { extentOf } from '../element';
import type { Figure } from '../figure';
import { formatNumber, pixels, type Mm } from '../measure';
import type { Size } from '../paper';
import { eyePpi } from '../rules';
import type { BlankSurface, SheetFit } from './blank';
import type { PieceCommons } from './piece-commons';
import type { FormatContext, Plan } from './format';

interface Solved {
  readonly flat: Size;
  readonly withBleed: Size;
  readonly scale: number;
  readonly first: BlankSurface;
  readonly sheets: readonly SheetFit[];
}

/** Why a flat sheet is as large finished as it is flat. */
const FLAT_RULE = 'The designer’s decision; a flat sheet is finished at its flat size';

const edgeList = (e: { top: Mm; right: Mm; bottom: Mm; left: Mm }): readonly Mm[] => [e.top, e.right, e.bottom, e.left];

/** The figures of every piece, with those of its kind in their places. */
export function commonFigures(
  plan: Plan,
  { flat, withBleed, scale, first, sheets }: Solved,
  commons: PieceCommons,
  context: FormatContext,
): readonly Figure[] {
  const { rules, write } = context;
  const { finished } = plan;
  const own = plan.figures ?? [];
  const [bleed, safe, ppi] = [rules.bleed.value, rules.safe.value, rules.ppi.value];
  const { boxes } = first;
  const isFlat = Math.abs(finished.width - flat.width) < 1e-6 && Math.abs(finished.height - flat.height) < 1e-6;
  const size: Figure[] = [
    {
      id: 'finished',
      group: 'size',
      name: 'Finished',
      value: [finished.width, finished.height],
      unit: 'mm',
      working: [`${isFlat ? 'given' : 'as held'}: ${write(finished.width)} × ${write(finished.height)}`],
      rule: isFlat ? FLAT_RULE : 'What is left in the hand',
      measured: { kind: 'box', box: 'trim' },
    },
    ...own.filter((f) => f.group === 'size'),
    ...(isFlat || own.some((f) => f.id === 'flat')
      ? []
      : [
          {
            id: 'flat',
            group: 'size' as const,
            name: scale === 1 ? 'Flat' : 'Drawn',
            value: [flat.width, flat.height],
            unit: 'mm' as const,
            working:
              scale === 1
                ? [`opened out: ${write(flat.width)} × ${write(flat.height)}`]
                : [`at 1:${scale}: ${write(finished.width)} ÷ ${scale} × ${write(finished.height)} ÷ ${scale}`],
            rule: 'The trimmed size that is printed',
            measured: { kind: 'box', box: 'trim' } as const,
          },
        ]),
    {
      id: 'with-bleed',
      group: 'size',
      name: 'With bleed',
      value: [withBleed.width * scale, withBleed.height * scale],
      unit: 'mm',
      working: [
        ...(scale === 1 ? [] : [`drawn at 1:${formatNumber(scale)}:`]),
        `width = ${write(boxes.trim.x - boxes.bleed.x)} + ${write(boxes.trim.width)} + ` +
          `${write(boxes.bleed.x + boxes.bleed.width - boxes.trim.width)} = ${write(withBleed.width)}`,
        `height = ${write(boxes.trim.y - boxes.bleed.y)} + ${write(boxes.trim.height)} + ` +
          `${write(boxes.bleed.y + boxes.bleed.height - boxes.trim.height)} = ${write(withBleed.height)}`,
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
  const eye = eyePpi(commons.readingDistance);
  return [
    ...size,
    ...own.filter((f) => f.group === 'panels'),
    ...gridFigures(first, commons, write),
    ...own.filter((f) => f.group === 'on the sheet'),
    ...sheetFigures(sheets, context),
    ruledFigure('ppi', 'picture and ink', 'Resolution', 'ppi', ppi, rules.ppi, rules.ppi.computed, {
      working: [
        `25.4 ÷ (${formatNumber(commons.readingDistance)} mm × tan 1′) = ${formatNumber(eye, 0)} ppi at ` +
          'reading distance',
        `rounded up to 50, at most 300: ${rules.ppi.computed} ppi`,
      ],
    }),
    {
      id: 'pixels',
      group: 'picture and ink',
      name: `At ${formatNumber(ppi, 0)} ppi`,
      value: [pixels(withBleed.width * scale, ppi), pixels(withBleed.height * scale, ppi)],
      unit: 'px',
      working: [
        `round(${formatNumber(withBleed.width * scale)} mm ÷ 25.4 × ${ppi}) = ` +
          `${pixels(withBleed.width * scale, ppi)}`,
        `round(${formatNumber(withBleed.height * scale)} mm ÷ 25.4 × ${ppi}) = ` +
          `${pixels(withBleed.height * scale, ppi)}`,
        `trimmed: ${pixels(flat.width * scale, ppi)} × ${pixels(flat.height * scale, ppi)} px`,
      ],
      rule: 'A picture to the bleed needs this many pixels',
    },
    ruledFigure(
      'inkLimit',
      'picture and ink',
      'Ink limit',
      '%',
      rules.inkLimit.value,
      rules.inkLimit,
      rules.inkLimit.computed,
      {
        working: [`C + M + Y + K at any point ≤ ${rules.inkLimit.value} %`],
      },
    ),
    ...own.filter((f) => f.group === 'picture and ink'),
    ruledFigure(
      'minTypePt',
      'output',
      'Smallest type',
      'pt',
      rules.minTypePt.value,
      rules.minTypePt,
      rules.minTypePt.computed,
      {
        working: [
          `one ink on paper: ${rules.minTypePt.value} pt`,
          `reversed or in several inks: ${rules.minReversedTypePt.value} pt`,
        ],
      },
    ),
    ruledFigure(
      'minLinePt',
      'output',
      'Thinnest line',
      'pt',
      rules.minLinePt.value,
      rules.minLinePt,
      rules.minLinePt.computed,
      {
        working: [`positive: ${rules.minLinePt.value} pt`, `reversed or in a tint: ${2 * rules.minLinePt.value} pt`],
      },
    ),
    ruledFigure(
      'markOffset',
      'output',
      'Mark offset',
      'mm',
      rules.markOffset.value,
      rules.markOffset,
      rules.markOffset.computed,
      {
        working: [
          `widest bleed ${write(Math.max(...edgeList(bleed)))}, at least 3 mm`,
          `max = ${write(rules.markOffset.computed)}`,
        ],
        measured: { kind: 'marks' },
      },
    ),
    ...own.filter((f) => f.group === 'output'),
  ];
}

function gridFigures(first: BlankSurface, { grid }: PieceCommons, write: (mm: Mm) => string): readonly Figure[] {
  const { boxes } = first;
  const found: Figure[] = [];
  const { area, columns, rows } = boxes.grid;
  const across = extentOf(grid.gutter, boxes.measures);
  const down = extentOf(grid.rowGutter, boxes.measures);
  const inside = grid.margins ? 'inside the margins' : 'the safe area';
  if (columns.length > 1 && !grid.columnWidths) {
    const width = columns[0]?.size ?? 0;
    found.push({
      id: 'column-width',
      group: 'grid',
      name: 'Column',
      value: width,
      unit: 'mm',
      working: [
        `(${write(area.width)} − ${columns.length - 1} × ${write(across)}) ÷ ${columns.length} = ${write(width)}`,
      ],
      rule: `Equal columns across ${inside}`,
      measured: { kind: 'columns' },
    });
  }
  if (rows.length > 1 && !grid.rowHeights) {
    const height = rows[0]?.size ?? 0;
    found.push({
      id: 'row-height',
      group: 'grid',
      name: 'Row',
      value: height,
      unit: 'mm',
      working: [
        `(${write(area.height)} − ${rows.length - 1} × ${write(down)}) ÷ ${rows.length} ` + `= ${write(height)}`,
      ],
      rule: `Equal rows down ${inside}`,
    });
  }
  return found;
}

/** How many up, and where one lies when it is centred, on each sheet. */
const sheetFigures = (sheets: readonly SheetFit[], { write, rules }: FormatContext): readonly Figure[] =>
  sheets.map((fit, i) => ({
    id: `sheet-${i + 1}`,
    group: 'on the sheet',
    name: `Up on ${fit.sheet}`,
    value: fit.up,
    unit: 'count',
    working:
      fit.why === undefined
        ? [
            `${fit.across} across × ${fit.down} down on ${write(fit.width)} × ${write(fit.height)} = ${fit.up}`,
            `${formatNumber(fit.used * 100, 0)} % of the sheet is piece`,
            `one, centred: ${write(fit.left)} from the left, ${write(fit.top)} from the top`,
          ]
        : [`none: ${fit.why}`],
    rule: `Bleed within what can be printed (${write(rules.unprintable.value)} rim), marks within the sheet`,
    measured: { kind: 'sheet', sheet: i },
  }));

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
