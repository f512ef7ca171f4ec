import { extentOf } from '../element';
import type { Figure } from '../figure';
import type { EdgeLengths } from '../layout';
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

const edgeList = (e: EdgeLengths): readonly Mm[] => [e.top, e.right, e.bottom, e.left];

/** What the figures of a piece are worked out from. */
interface Known extends Solved {
  readonly finished: Size;
  readonly commons: PieceCommons;
  readonly context: FormatContext;
}

/** The figures of every piece, with those of its kind in their places. */
export function commonFigures(
  plan: Plan,
  solved: Solved,
  commons: PieceCommons,
  context: FormatContext,
): readonly Figure[] {
  const known: Known = { ...solved, finished: plan.finished, commons, context };
  const own = (group: Figure['group']) => (plan.figures ?? []).filter((f) => f.group === group);
  return [
    finishedFigure(known),
    ...own('size'),
    ...(isFlat(known) || own('size').some((f) => f.id === 'flat') ? [] : [flatFigure(known)]),
    ...edgeFigures(known),
    ...own('panels'),
    ...gridFigures(solved.first, commons, context.write),
    ...own('on the sheet'),
    ...sheetFigures(solved.sheets, context),
    ...pictureFigures(known),
    ...own('picture and ink'),
    ...outputFigures(known),
    ...own('output'),
  ];
}

/** Lengths that differ by less are one, mm. */
const NOTHING = 1e-6;

const isFlat = ({ finished, flat }: Known): boolean =>
  Math.abs(finished.width - flat.width) < NOTHING && Math.abs(finished.height - flat.height) < NOTHING;

function finishedFigure(known: Known): Figure {
  const { finished, context } = known;
  const { write } = context;
  return {
    id: 'finished',
    group: 'size',
    name: 'Finished',
    value: [finished.width, finished.height],
    unit: 'mm',
    working: [`${isFlat(known) ? 'given' : 'as held'}: ${write(finished.width)} × ${write(finished.height)}`],
    rule: isFlat(known) ? FLAT_RULE : 'What is left in the hand',
    measured: { kind: 'box', box: 'trim' },
  };
}

function flatFigure({ finished, flat, scale, context: { write } }: Known): Figure {
  return {
    id: 'flat',
    group: 'size',
    name: scale === 1 ? 'Flat' : 'Drawn',
    value: [flat.width, flat.height],
    unit: 'mm',
    working:
      scale === 1
        ? [`opened out: ${write(flat.width)} × ${write(flat.height)}`]
        : [`at 1:${scale}: ${write(finished.width)} ÷ ${scale} × ${write(finished.height)} ÷ ${scale}`],
    rule: 'The trimmed size that is printed',
    measured: { kind: 'box', box: 'trim' },
  };
}

/** What lies beyond and within the trim. */
function edgeFigures({ withBleed, scale, first, context }: Known): readonly Figure[] {
  const { rules, write } = context;
  const { trim, bleed, safe } = first.boxes;
  const eachEdge = (edges: readonly Mm[]) => `each edge: ${edges.map(write).join(', ')} (top, right, bottom, left)`;
  const sum = (name: string, parts: readonly Mm[], whole: Mm) =>
    `${name} = ${parts.map(write).join(' + ')} = ${write(whole)}`;
  const [left, right] = [trim.x - bleed.x, bleed.x + bleed.width - (trim.x + trim.width)];
  const [top, bottom] = [trim.y - bleed.y, bleed.y + bleed.height - (trim.y + trim.height)];
  return [
    {
      id: 'with-bleed',
      group: 'size',
      name: 'With bleed',
      value: [withBleed.width * scale, withBleed.height * scale],
      unit: 'mm',
      working: [
        ...(scale === 1 ? [] : [`drawn at 1:${formatNumber(scale)}:`]),
        sum('width', [left, trim.width, right], withBleed.width),
        sum('height', [top, trim.height, bottom], withBleed.height),
      ],
      rule: 'Trim plus the bleed on both sides',
      measured: { kind: 'box', box: 'bleed' },
    },
    ruledFigure(edgesRuled(rules.bleed), {
      id: 'bleed',
      group: 'size',
      name: 'Bleed',
      unit: 'mm',
      working: [eachEdge(edgeList(rules.bleed.value))],
      measured: { kind: 'box', box: 'bleed' },
    }),
    ruledFigure(edgesRuled(rules.safe), {
      id: 'safe',
      group: 'size',
      name: 'Safe margin',
      unit: 'mm',
      working: [eachEdge(edgeList(rules.safe.value)), `safe area = ${write(safe.width)} × ${write(safe.height)}`],
      measured: { kind: 'box', box: 'safe' },
    }),
  ];
}

function pictureFigures({ flat, withBleed, scale, commons, context: { rules } }: Known): readonly Figure[] {
  const ppi = rules.ppi.value;
  const [width, height] = [withBleed.width * scale, withBleed.height * scale];
  const rounded = (mm: Mm) => `round(${formatNumber(mm)} mm ÷ 25.4 × ${ppi}) = ${pixels(mm, ppi)}`;
  return [
    ruledFigure(rules.ppi, {
      id: 'ppi',
      group: 'picture and ink',
      name: 'Resolution',
      unit: 'ppi',
      working: [
        `25.4 ÷ (${formatNumber(commons.readingDistance)} mm × tan 1′) = ` +
          `${formatNumber(eyePpi(commons.readingDistance), 0)} ppi at reading distance`,
        `rounded up to 50, at most 300: ${rules.ppi.computed} ppi`,
      ],
    }),
    {
      id: 'pixels',
      group: 'picture and ink',
      name: `At ${formatNumber(ppi, 0)} ppi`,
      value: [pixels(width, ppi), pixels(height, ppi)],
      unit: 'px',
      working: [
        rounded(width),
        rounded(height),
        `trimmed: ${pixels(flat.width * scale, ppi)} × ${pixels(flat.height * scale, ppi)} px`,
      ],
      rule: 'A picture to the bleed needs this many pixels',
    },
    ruledFigure(rules.inkLimit, {
      id: 'inkLimit',
      group: 'picture and ink',
      name: 'Ink limit',
      unit: '%',
      working: [`C + M + Y + K at any point ≤ ${rules.inkLimit.value} %`],
    }),
  ];
}

function outputFigures({ context: { rules, write } }: Known): readonly Figure[] {
  return [
    ruledFigure(rules.minTypePt, {
      id: 'minTypePt',
      group: 'output',
      name: 'Smallest type',
      unit: 'pt',
      working: [
        `one ink on paper: ${rules.minTypePt.value} pt`,
        `reversed or in several inks: ${rules.minReversedTypePt.value} pt`,
      ],
    }),
    ruledFigure(rules.minLinePt, {
      id: 'minLinePt',
      group: 'output',
      name: 'Thinnest line',
      unit: 'pt',
      working: [`positive: ${rules.minLinePt.value} pt`, `reversed or in a tint: ${2 * rules.minLinePt.value} pt`],
    }),
    ruledFigure(rules.markOffset, {
      id: 'markOffset',
      group: 'output',
      name: 'Mark offset',
      unit: 'mm',
      working: [
        `widest bleed ${write(Math.max(...edgeList(rules.bleed.value)))}, at least 3 mm`,
        `max = ${write(rules.markOffset.computed)}`,
      ],
      measured: { kind: 'marks' },
    }),
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

/** A value that a rule gives, unless the designer says another. */
interface RuledValue<V> {
  readonly value: V;
  readonly computed: V;
  readonly overridden: boolean;
  readonly rule: string;
}

const edgesRuled = ({ value, computed, overridden, rule }: RuledValue<EdgeLengths>): RuledValue<readonly Mm[]> => ({
  value: edgeList(value),
  computed: edgeList(computed),
  overridden,
  rule,
});

interface Overridable extends Pick<Figure, 'group' | 'name' | 'unit' | 'working'> {
  readonly id: NonNullable<Figure['overridable']>;
  readonly measured?: NonNullable<Figure['measured']>;
}

/** A figure that can be overridden. Named one by one: spread out they took a fifth of solving a blank. */
function ruledFigure(
  { value, computed, overridden, rule }: RuledValue<number | readonly number[]>,
  { id, group, name, unit, working, measured }: Overridable,
): Figure {
  const figure = { id, group, name, value, unit, working, rule, overridable: id };
  const shown = measured ? { ...figure, measured } : figure;
  return overridden ? { ...shown, override: { field: id, computed } } : shown;
}
