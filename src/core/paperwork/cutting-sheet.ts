import { counted, formatNumber, formatSize, type JobUnit, type Mm } from '../measure';
import { cutLine, piecesIn, type Cut } from '../impose';
import type { ImposedSheet, Job } from '../job';
import { FIGURES, HEIGHT, MARGIN, SheetOf, WIDTH, together } from './sheet';

/** What the person at the guillotine is told of a sheet. */
export interface CuttingSheet {
  readonly job: string;
  readonly paper: string;
  readonly unit: JobUnit;
  readonly day: string;
  readonly sheet: ImposedSheet;
}

const WIDE = WIDTH - 2 * MARGIN;
/** Rows of the list on the first page, below the picture, and on those that follow. */
const [FIRST, NEXT] = [20, 46];
const ROW: Mm = 5;
/** Numbers that would stand nearer than this, mm. */
const NEAR: Mm = 5;
const [PICTURE_TOP, PICTURE_HIGH] = [52, 108];

const COLUMNS: readonly {
  readonly title: string;
  readonly x: Mm;
  readonly width: Mm;
  readonly of: (cut: Cut) => string;
}[] = [
  { title: 'cut', x: 0, width: 14, of: ({ number }) => String(number) },
  { title: 'pile', x: 16, width: 14, of: ({ pile }) => String(pile) },
  { title: 'turn', x: 34, width: 20, of: ({ turn }) => (turn === 0 ? '' : `${turn}°`) },
  { title: 'back gauge mm', x: 56, width: 36, of: ({ gauge }) => formatNumber(gauge, 2) },
  { title: 'in front of the knife', x: 104, width: 70, of: ({ front }) => inFront(front) },
];

/** What lies in front of the knife after a cut, in words. */
export const inFront = (front: Cut['front']): string =>
  front.is === 'pile' ? `pile ${front.number}` : `${formatNumber(front.width, 2)} mm fall off`;

/**
 * The programmes of the knife on pages: each sheet with its cuts numbered, and every cut with its figures.
 * @returns undefined where nothing is cut
 */
export function cuttingSheets(all: readonly CuttingSheet[]): Job | undefined {
  let number = 0;
  const pages = all.flatMap((told) => {
    const cuts = told.sheet.cutting?.programme.cuts ?? [];
    if (cuts.length === 0) return [];
    const rest = Array.from({ length: Math.ceil(Math.max(0, cuts.length - FIRST) / NEXT) }, (_, i) =>
      cuts.slice(FIRST + i * NEXT, FIRST + (i + 1) * NEXT),
    );
    return [
      firstPage(told, cuts.slice(0, FIRST), (number += 1)),
      ...rest.map((rows) => nextPage(told, rows, (number += 1))),
    ];
  });
  const [first, ...others] = pages;
  return first && together([first, ...others]);
}

const name = ({ job, sheet }: CuttingSheet): string => `Cutting, ${job}, ${sheet.name}`.slice(0, 120);

function firstPage(told: CuttingSheet, rows: readonly Cut[], number: number): Job {
  const { job, paper, day, sheet, unit } = told;
  const page = new SheetOf(number)
    .words(`Cutting · ${job}`, { x: MARGIN, y: MARGIN, width: WIDE - 40, height: 9 }, { sizePt: 16, weight: 700 })
    .words(day, { x: WIDTH - MARGIN - 40, y: MARGIN, width: 40, height: 7 }, { isSoft: true, align: 'right' })
    .words(
      [
        sheet.name,
        formatSize(sheet.size, unit),
        paper,
        sheet.run === undefined ? '' : counted(sheet.run, 'sheet'),
        counted(sheet.cutting?.programme.cuts.length ?? 0, 'cut'),
      ]
        .filter((part) => part !== '')
        .join(' · '),
      { x: MARGIN, y: 30, width: WIDE, height: 7 },
    )
    .words(
      'A guillotine is for trained people: clamp, guards and both hands on the machine, by the rules of the house.',
      { x: MARGIN, y: 38, width: WIDE, height: 7 },
      { sizePt: 9, isSoft: true },
    )
    .rule(MARGIN, 47, WIDE, 1);
  drawSheet(page, sheet);
  list(page, rows, PICTURE_TOP + PICTURE_HIGH + 8);
  return page.job('cutting', name(told), 'en-GB');
}

function nextPage(told: CuttingSheet, rows: readonly Cut[], number: number): Job {
  const page = new SheetOf(number).words(
    `${told.job}, ${told.sheet.name}, page ${number}`,
    { x: MARGIN, y: MARGIN, width: WIDE, height: 7 },
    { isSoft: true },
  );
  list(page, rows, MARGIN + 12);
  return page.job('cutting', name(told), 'en-GB');
}

/** The sheet to scale, seen from above with the gripper at its foot, each cut with its number at its end. */
function drawSheet(page: SheetOf, { size, cutting }: ImposedSheet): void {
  const k = Math.min(WIDE / size.width, PICTURE_HIGH / size.height);
  const left = MARGIN + (WIDE - size.width * k) / 2;
  const on = ({ x, y }: { readonly x: Mm; readonly y: Mm }) => ({ x: left + x * k, y: PICTURE_TOP + y * k });
  page.frame({ ...on({ x: 0, y: 0 }), width: size.width * k, height: size.height * k }, 0.8);
  if (!cutting) return;
  for (const { rect } of piecesIn(cutting.layout))
    page.frame({ ...on(rect), width: rect.width * k, height: rect.height * k }, 0.25);
  // Cuts on both sides of a gutter are told once: at the first of them.
  const told = new Set<string>();
  for (const cut of cutting.programme.cuts) {
    const [from] = cutLine(cut);
    const { x, y } = on(from);
    const key = `${Math.round(x / NEAR)} ${Math.round(y / NEAR)}`;
    if (told.has(key)) continue;
    told.add(key);
    page.words(String(cut.number), { x: x - 2, y: y - 1.5, width: 6, height: 3 }, { sizePt: 6, weight: 700 });
  }
}

function list(page: SheetOf, rows: readonly Cut[], top: Mm): void {
  for (const { title, x, width } of COLUMNS)
    page.words(title, { x: MARGIN + x, y: top, width, height: ROW }, { sizePt: 9, isSoft: true });
  page.rule(MARGIN, top + ROW, WIDE, 0.25);
  rows.forEach((cut, i) => {
    const y = Math.min(HEIGHT - MARGIN, top + ROW * (i + 1) + 1);
    for (const { x, width, of } of COLUMNS)
      page.words(of(cut), { x: MARGIN + x, y, width, height: ROW }, { sizePt: 9, family: FIGURES });
  });
}
