import { SLUG_FACE } from '../core/compose';
import { itemsWithin, linePath, rectPath, type Item, type Path } from '../core/drawing';
import { pageName, pageNumberOf } from '../core/format';
import { creepAt, printersSpreads, type SpreadSheet } from '../core/impose';
import { usualDesk, type DeskOutput } from '../core/job';
import { IDENTITY, multiply, scaling, translation, type Matrix, type Rect } from '../core/layout';
import { counted, formatNumber, ptToMm, type Mm } from '../core/measure';
import { noteItems, type Face } from '../core/type';
import type { Form, PdfPage, PlacedForm } from '../paint/pdf';
import { CannotExport } from './cannot-export';
import type { Desk, DeskSide } from './desk';
import { deskPdf } from './desk-pdf';
import type { OutputFile, Progress } from './file';

const INK = { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: false } as const;
const [LINE_PT, WORDS_PT, NUMBER_PT] = [0.5, 11, 9];

/** A booklet for a desk printer: two pages to a side of its sheets, and on a page before them what to do. */
export function spreadsFile(desk: Desk, at: Date, progress: Progress): Promise<OutputFile> {
  const { job } = desk;
  const pages = desk.sides.filter(({ surface }) => pageNumberOf(surface.name) !== undefined);
  const [first] = pages;
  if (first?.blank.bound !== 'saddle')
    throw new CannotExport('Only a booklet that is stitched through its fold is printed in spreads.');
  const sheets = printersSpreads(pages.length);
  const laid = layoutOf(first, job.output.desk ?? usualDesk(job), first.rules.thickness.value);
  const forms = new Map(pages.map((side) => [side.surface.name, { side, form: formOf(side) }]));
  const half = (page: number | undefined, isLeft: boolean, isTurned: boolean): readonly PlacedForm[] => {
    const found = page === undefined ? undefined : forms.get(pageName(page));
    return page !== undefined && found ? [placed(found, page, { laid, isLeft, isTurned, count: pages.length })] : [];
  };
  const made = () => [
    wordsPage(desk, laid, sheets),
    ...sheets.flatMap(({ front, back }, i) => [
      sheetPage(laid, [...half(front[0], true, false), ...half(front[1], false, false)], `sheet ${i + 1}, front`),
      sheetPage(
        laid,
        [...half(back[0], true, laid.isLong), ...half(back[1], false, laid.isLong)],
        `sheet ${i + 1}, back`,
      ),
    ]),
  ];
  return deskPdf(desk, at, progress, { what: 'spreads', pages: made });
}

/** How a spread lies on its sheet. */
interface Laid {
  readonly sheet: { readonly width: Mm; readonly height: Mm };
  /** Of the pages; less than 1 where a spread is larger than what the printer prints. */
  readonly scale: number;
  readonly trim: Rect;
  /** The printer turns sheets about their long edge: their backs stand on their heads. */
  readonly isLong: boolean;
  readonly caliper: Mm;
}

function layoutOf({ surface }: DeskSide, { sheet, edge, flip }: DeskOutput, caliper: Mm): Laid {
  const size = { width: Math.max(sheet.width, sheet.height), height: Math.min(sheet.width, sheet.height) };
  const { trim } = surface.boxes;
  const fits = Math.min((size.width - 2 * edge) / (2 * trim.width), (size.height - 2 * edge) / trim.height);
  return { sheet: size, scale: Math.min(1, fits), trim, isLong: flip === 'long', caliper };
}

interface DrawnPage {
  readonly side: DeskSide;
  readonly form: Form;
}

const formOf = ({ surface, drawing }: DeskSide): Form => ({
  parts: [{ items: itemsWithin(drawing, surface.boxes.trim) }],
  region: surface.boxes.bleed,
});

interface Half {
  readonly laid: Laid;
  readonly isLeft: boolean;
  readonly isTurned: boolean;
  readonly count: number;
}

/** A page on its half of a sheet; nearer to the fold, the further inside it lies. */
function placed({ form, side }: DrawnPage, page: number, { laid, isLeft, isTurned, count }: Half): PlacedForm {
  const { sheet, scale, caliper } = laid;
  const { trim } = side.surface.boxes;
  const [width, height] = [trim.width * scale, trim.height * scale];
  const middle = { x: sheet.width / 2, y: sheet.height / 2 };
  const creep = creepAt(page, count, caliper) * scale;
  const x = isLeft ? middle.x - width + creep : middle.x - creep;
  const y = middle.y - height / 2;
  const there = multiply(
    translation(x, y),
    multiply(scaling(scale, scale, { x: 0, y: 0 }), translation(-trim.x, -trim.y)),
  );
  const half: Rect = { x: isLeft ? middle.x - width : middle.x, y, width, height };
  if (!isTurned) return { form, matrix: there, clip: half };
  const turn: Matrix = [-1, 0, 0, -1, sheet.width, sheet.height];
  const clip = { ...half, x: sheet.width - half.x - width, y: sheet.height - half.y - height };
  return { form, matrix: multiply(turn, there), clip };
}

function sheetPage({ sheet }: Laid, forms: readonly PlacedForm[], label: string): PdfPage {
  const whole: Rect = { x: 0, y: 0, ...sheet };
  return { parts: [{ placed: forms }], trim: whole, bleed: whole, sheet: whole, label };
}

/** What to do with the sheets, and what lies on each of them. */
function wordsPage({ fonts, job }: Desk, laid: Laid, sheets: readonly SpreadSheet[]): PdfPage {
  const { sheet, scale, isLong } = laid;
  const whole: Rect = { x: 0, y: 0, ...sheet };
  const face = fonts.set.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic);
  const words = [
    `${job.name}: ${counted(sheets.length, 'sheet')}, folded once and stitched through the fold.`,
    `1  Print from the second page on, on both sides, turned along the ${isLong ? 'long' : 'short'} edge, at 100 %` +
      `${scale < 1 ? ` (the pages are at ${formatNumber(100 * scale, 1)} % already, so that nothing is lost)` : ''}.`,
    '2  Lay the sheets on each other as they came, the first one below: its number stands in the list.',
    '3  Fold all of them together along the middle, first page outside, and press the fold with a bone folder.',
    '4  Stitch twice from outside, a quarter of the height from head and foot.',
    '5  Cut the fore edge with a fresh blade along a metal rule, on a mat, away from the hand.',
  ].join('\n');
  const items = face
    ? noteItems(
        { text: words, sizePt: WORDS_PT, at: { x: 15, y: 15 }, width: sheet.width - 30, ink: INK, from: 'words' },
        face,
      ).items
    : [];
  return {
    parts: [{ items: [...items, ...sheets.flatMap((one, i) => plan(one, i, sheet, face))] }],
    trim: whole,
    bleed: whole,
    sheet: whole,
    label: 'what to do',
  };
}

/** A sheet small, front and back: its fold, and the numbers of its pages. */
function plan(
  { front, back }: SpreadSheet,
  index: number,
  sheet: Laid['sheet'],
  face: Face | undefined,
): readonly Item[] {
  const [wide, high, gap] = [34, 12, 4];
  const columns = Math.max(1, Math.floor((sheet.width - 30 + gap) / (2 * wide + 3 * gap)));
  const x = 15 + (index % columns) * (2 * wide + 3 * gap);
  const y = 78 + Math.floor(index / columns) * (high + gap);
  const side = (pages: SpreadSheet['front'], left: Mm): readonly Item[] => [
    stroked(rectPath({ x: left, y, width: wide, height: high }), []),
    stroked(linePath({ x: left + wide / 2, y }, { x: left + wide / 2, y: y + high }), [1.5, 1.5]),
    ...pages.flatMap((page, i) =>
      face
        ? noteItems(
            {
              text: page === undefined ? '–' : String(page),
              sizePt: NUMBER_PT,
              at: { x: left + (i * wide) / 2, y: y + 4 },
              width: wide / 2,
              align: 'centre',
              ink: INK,
              from: 'plan',
            },
            face,
          ).items
        : [],
    ),
  ];
  return [...side(front, x), ...side(back, x + wide + gap)];
}

const stroked = (path: Path, dash: readonly Mm[]): Item => ({
  kind: 'path',
  from: 'plan',
  opacity: 1,
  matrix: IDENTITY,
  path,
  fill: null,
  stroke: { ink: INK, width: ptToMm(LINE_PT), dash, cap: 'butt' },
});
