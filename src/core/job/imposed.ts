import { isDied, pageName, pageNumberOf, type Blank, type BlankSurface } from '../format';
import {
  SIGNATURES,
  bookSignatures,
  cuttingProgramme,
  repeated,
  signatureSheet,
  takesSignature,
  type Gathering,
  type Layout,
  type Programme,
  type SheetRoom,
  type SignatureScheme,
  type SignatureSpacing,
  type WorkStyle,
} from '../impose';
import type { EdgeLengths, Rect } from '../layout';
import { counted, formatNumber, formatSize, type Mm } from '../measure';
import type { Size } from '../paper';
import type { Rules } from '../rules';
import { blankOf, rulesFor } from './blank-of';
import type { PrintedSignature } from './fold-signature';
import { printRun } from './recorded';
import type { Job, Piece, SheetOutput, SideName } from './schema';

/** A side of a piece on a sheet of the press. */
export interface ImposedSide {
  readonly surface: SideName;
  /** Its trim, mm from the top left corner of the sheet. */
  readonly trim: Rect;
  readonly quarters: 0 | 1 | 2 | 3;
  /** Seen so far beyond its trim, at each edge of `trim`, mm. */
  readonly bleed: EdgeLengths;
  /** How far what is printed is moved to its right, mm of the side: creep. */
  readonly shift: Mm;
  /** Of several jobs on a sheet, or of records: whose it is. Left out, the side is the job’s own. */
  readonly article?: Article;
}

/** What lies on a sheet with others. */
export interface Article {
  /** The guest that it is of, from 0; undefined for the job itself. */
  readonly guest: number | undefined;
  /** The record that fills it, from 0. */
  readonly record: number | undefined;
}

/** How often something lies on a form, how many of it come of the run, and how many are wanted. */
export interface ArticleCount extends Article {
  readonly name: string;
  readonly up: number;
  readonly printed: number;
  readonly wanted: number;
}

export interface ImposedFace {
  /** What the form is called: front, back, both; outer, inner. */
  readonly name: string;
  readonly sides: readonly ImposedSide[];
}

/** A sheet of the press with what lies on it. */
export interface ImposedSheet {
  readonly name: string;
  readonly size: Size;
  readonly room: SheetRoom;
  readonly work: WorkStyle;
  readonly faces: readonly ImposedFace[];
  /** Copies that a sheet gives. */
  readonly up: number;
  /** Sheets for the quantity of the job; undefined where none is set. */
  readonly run: number | undefined;
  /** Copies beyond the quantity. */
  readonly over: number | undefined;
  /** How the guillotine parts it; a signature is folded instead. */
  readonly cutting: { readonly layout: Layout; readonly programme: Programme } | undefined;
  /** Of a sheet that is folded: what it is, and its folds, mm on its outer form. */
  readonly signature: Pick<PrintedSignature, 'scheme' | 'pages' | 'creases'> | undefined;
  /** On the spine of a gathered signature, mm on its outer form: lower on each, so that a wrong place is seen. */
  readonly collating?: Rect;
  /** Share of the sheet that becomes pieces, 0 to 1. */
  readonly used: number;
  readonly working: readonly string[];
  /** Of several jobs on a sheet. */
  readonly counts?: readonly ArticleCount[];
}

/** What was decided, or follows: nothing of it is open. */
export type SheetDecided = {
  readonly [K in keyof Omit<SheetOutput, 'order' | 'guests' | 'forms'>]-?: NonNullable<SheetOutput[K]>;
};

export type Imposed =
  | { readonly ok: true; readonly sheets: readonly ImposedSheet[]; readonly how: SheetDecided }
  | { readonly ok: false; readonly message: string };

/** What is held at the foot of a sheet, mm [cp]; of digital presses the rim that stays white. */
const GRIPPER = 12;

/** What is cut off around a folded signature, at least, and milled off at a glued spine, mm [cp]. */
const [TRIMMED, MILLED] = [3, 3];

/** The sheet of the press as a job wants it, or as it is usual where the house prints. */
export const roomOf = (sheet: Size, own: SheetOutput | undefined, { rules, job }: Asked): SheetRoom => ({
  sheet,
  gripper: own?.gripper ?? ((job.house.press ?? 'offset') === 'offset' ? Math.max(GRIPPER, rim(rules)) : rim(rules)),
  rim: rim(rules),
});

const rim = (rules: Rules): Mm => rules.unprintable.value;

export interface Asked {
  readonly job: Job;
  readonly piece: Piece;
  readonly blank: Blank;
  readonly rules: Rules;
}

/** Why a piece is laid on no sheet with others; undefined where it can be. */
export function whyAlone({ blank }: Pick<Asked, 'blank'>): string | undefined {
  if (blank.scale !== 1) return 'A piece that is drawn to scale is printed by itself, not on a sheet with others.';
  if (blank.byItself !== undefined) return blank.byItself;
  return blank.surfaces.some(({ repeats }) => repeats)
    ? 'Its labels lie on a sheet or a web of their own already: the press file has it.'
    : undefined;
}

/** What is known of a piece that is to be laid on a sheet. */
export const askedOf = (job: Job, piece: Piece): Asked => ({
  job,
  piece,
  blank: blankOf(job, piece),
  rules: rulesFor(job, piece),
});

/**
 * A piece on the sheets of the press: repeated and cut apart, or the signatures of a book.
 * @returns in words why it cannot be
 */
export function imposedAlone(job: Job, piece: Piece): Imposed {
  const asked = askedOf(job, piece);
  const { blank } = asked;
  const alone = whyAlone(asked);
  if (alone !== undefined) return { ok: false, message: alone };
  const work = job.output.sheet?.work;
  if (job.records && (work === 'turn' || work === 'tumble'))
    return {
      ok: false,
      message: 'Records differ from copy to copy, and one form for both passes prints them alike. Print it sheetwise.',
    };
  const bound = blank.bound;
  if (bound !== 'saddle' && bound !== 'perfect') return asRepeat(asked, blank.surfaces);
  const pages = blank.surfaces.filter(({ name }) => pageNumberOf(name) !== undefined);
  const book = asBook(asked, pages, bound === 'saddle' ? 'nested' : 'gathered');
  // A cover of its own is printed by itself.
  const cover = blank.surfaces.filter(({ name }) => pageNumberOf(name) === undefined);
  if (cover.length === 0 || !book.ok) return book;
  const covers = asRepeat(asked, cover);
  return covers.ok ? { ...book, sheets: [...book.sheets, ...covers.sheets] } : covers;
}

/** A sheet of paper with its two sides, or with one. */
export interface LeafOf {
  readonly front: BlankSurface;
  readonly back: BlankSurface | undefined;
}

/** Leaves of a piece: two sides after one another that are of one size. What shows another side again has none. */
export function leavesOf(surfaces: readonly BlankSurface[]): readonly LeafOf[] {
  const own = surfaces.filter(({ repeats }) => !repeats);
  return own.flatMap((front, i): readonly LeafOf[] => {
    if (i % 2 === 1 && isBack(own[i - 1], front)) return [];
    const next = own[i + 1];
    return [{ front, back: next && isBack(front, next) ? next : undefined }];
  });
}

const isBack = (front: BlankSurface | undefined, back: BlankSurface): boolean =>
  front !== undefined &&
  Math.abs(front.boxes.trim.width - back.boxes.trim.width) < 1e-6 &&
  Math.abs(front.boxes.trim.height - back.boxes.trim.height) < 1e-6;

export const bleedOf = ({ bleed }: Blank): Mm => Math.max(bleed.top, bleed.right, bleed.bottom, bleed.left);

function asRepeat(asked: Asked, surfaces: readonly BlankSurface[]): Imposed {
  const { job, blank } = asked;
  const own = job.output.sheet;
  const spacing = { bleed: bleedOf(blank), gutter: own?.gutter ?? 2 * bleedOf(blank) };
  const [work, stages, turns] = [own?.work ?? 'sheetwise', own?.stages ?? 3, own?.turns ?? true];
  const sheets: ImposedSheet[] = [];
  let room: SheetRoom | undefined;
  for (const leaf of leavesOf(surfaces)) {
    const { width, height } = leaf.front.boxes.trim;
    const sides = leaf.back ? 2 : 1;
    const tried = sheetsFor(asked).flatMap((size) => {
      const made = repeated({ width, height }, roomOf(size, own, asked), { work, sides, spacing, stages, turns });
      return made ? [made] : [];
    });
    const best = tried.reduce<(typeof tried)[number] | undefined>((a, b) => (a && a.used >= b.used ? a : b), undefined);
    if (!best) return { ok: false, message: whyNot(asked, { width, height }) };
    ({ room } = best);
    const up = best.up[0] ?? 0;
    const print = printRun(job);
    const run = print && Math.ceil(print.copies / up) * print.each;
    const { layout } = best;
    sheets.push({
      name: leaf.front.name,
      size: room.sheet,
      room,
      work,
      faces: best.faces.map(({ name, places }) => ({
        name,
        sides: places.map(({ of, trim, quarters, bleed }) => ({
          surface: of === 'back' && leaf.back ? leaf.back.name : leaf.front.name,
          trim,
          quarters,
          bleed,
          shift: 0,
        })),
      })),
      up,
      run,
      over: print && run !== undefined ? run * up - print.copies * print.each : undefined,
      cutting: isDied(leaf.front) ? undefined : { layout, programme: cuttingProgramme(room.sheet, layout) },
      signature: undefined,
      used: best.used,
      working: [
        ...repeatWorking(asked, best.used, { up, run, room, gutter: spacing.gutter }),
        ...(leaf.back ? [backWords(asked)] : []),
        ...(isDied(leaf.front) ? ['a die cuts the outlines: no cut of the guillotine goes through them'] : []),
      ],
    });
  }
  if (!room) return { ok: false, message: 'There is no side that could lie on a sheet.' };
  return { ok: true, sheets, how: howOf(room, { work, stages, turns, gutter: spacing.gutter, signature: 4 }) };
}

export function howOf(
  room: SheetRoom,
  how: { work: WorkStyle; stages: number; turns: boolean; gutter: Mm; signature: SignatureScheme['pages'] },
): SheetDecided {
  return { ...how, sheet: room.sheet, gripper: room.gripper };
}

/** Sheets that are tried: the one that is asked for, or those of the house, each way round. */
export function sheetsFor({ job, rules }: Asked): readonly Size[] {
  const own = job.output.sheet?.sheet;
  if (own) return [own];
  return rules.sheets.flatMap(({ width, height }) => [
    { width: Math.max(width, height), height: Math.min(width, height) },
    { width: Math.min(width, height), height: Math.max(width, height) },
  ]);
}

function whyNot({ job, rules }: Asked, piece: Size): string {
  const own = job.output.sheet?.sheet;
  const write = (size: Size) => formatSize(size, job.unit);
  const on = own ? `a sheet of ${write(own)}` : `any sheet of the house (${rules.sheets.map(write).join(', ')})`;
  return `${write(piece)} with its bleed does not fit on ${on}. Take a larger sheet.`;
}

function repeatWorking(
  { job }: Asked,
  used: number,
  { up, run, room, gutter }: { up: number; run: number | undefined; room: SheetRoom; gutter: Mm },
): readonly string[] {
  const lengths = (mm: Mm) => `${formatNumber(mm, 2)} mm`;
  const print = printRun(job);
  return [
    `${formatSize(room.sheet, job.unit)}, ${lengths(room.gripper)} held at its foot, ${lengths(room.rim)} white around`,
    `${counted(up, 'copy', 'copies')} a sheet, ${lengths(gutter)} apart: ${formatNumber(100 * used, 1)} % of it used`,
    ...(print && run !== undefined ? [runWords(print, up, run)] : []),
  ];
}

function runWords(
  { copies, each }: { readonly copies: number; readonly each: number },
  up: number,
  run: number,
): string {
  const sheets = `${copies} ÷ ${up} = ${counted(Math.ceil(copies / up), 'sheet')}`;
  const over = `${run * up - copies * each} over`;
  return each > 1 ? `${sheets}, each ${each} times: ${counted(run, 'sheet')}, ${over}` : `${sheets}, ${over}`;
}

/** How truly the back lies on the front. */
const backWords = ({ rules: { machines } }: Asked): string =>
  `the back falls on the front to ± ${formatNumber(machines.backing.value.drift, 2)} mm (${machines.backing.rule})`;

function asBook(asked: Asked, pages: readonly BlankSurface[], gathering: Gathering): Imposed {
  const { job, blank, rules } = asked;
  const own = job.output.sheet;
  const [first] = pages;
  if (!first) return { ok: false, message: 'The book has no pages.' };
  const { width, height } = first.boxes.trim;
  const bleed = bleedOf(blank);
  const spacing: SignatureSpacing = {
    trim: Math.max(TRIMMED, bleed),
    mill: gathering === 'gathered' ? MILLED : 0,
    bleed,
  };
  const schemes = [...SIGNATURES].reverse().filter((s) => s.pages <= (own?.signature ?? 32) && s.pages <= pages.length);
  for (const scheme of schemes) {
    const rooms = sheetsFor(asked).map((size) => roomOf(size, own, asked));
    const fitting = rooms.filter((room) => takesSignature(room, scheme, { width, height }, spacing));
    // The smallest sheet that takes it.
    const [room] = fitting.sort((a, b) => a.sheet.width * a.sheet.height - b.sheet.width * b.sheet.height);
    if (!room) continue;
    const book = { pages: pages.length, gathering, caliper: rules.thickness.value };
    const print = printRun(job);
    const run = print && print.copies * print.each;
    const signatures = bookSignatures(pages.length, scheme.pages, gathering);
    const sheets = signatures.map((signature, i): ImposedSheet => {
      const laid = signatureSheet(signature, room, { width, height }, spacing, book);
      const face = (name: 'outer' | 'inner'): ImposedFace => ({
        name,
        sides: laid[name].map(({ page, trim, quarters, bleed: kept, creep, spine }) => ({
          surface: pageName(page),
          trim,
          quarters,
          bleed: kept,
          shift: spine === 'left' ? -creep : creep,
        })),
      });
      const mark = gathering === 'gathered' ? collatingMark(face('outer').sides, signature.pages, i) : undefined;
      return {
        name: `signature ${i + 1}`,
        size: room.sheet,
        room,
        work: 'sheetwise',
        faces: [face('outer'), face('inner')],
        up: 1,
        run,
        over: run === undefined ? undefined : 0,
        cutting: undefined,
        signature: { ...signature, creases: laid.creases },
        ...(mark && { collating: mark }),
        used: (signature.scheme.pages / 2) * ((width * height) / (room.sheet.width * room.sheet.height)),
        working: [
          `${signature.scheme.pages} pages: ${signature.pages.join(', ')}`,
          ...(gathering === 'nested'
            ? [
                `creep ${formatNumber(Math.max(...laid.outer.map(({ creep }) => creep)), 2)} mm at most, ` +
                  'each page moved toward its fold',
              ]
            : [`${formatNumber(spacing.mill, 1)} mm milled off at the spine`]),
        ],
      };
    });
    const how = {
      work: 'sheetwise' as const,
      stages: 3,
      turns: false,
      gutter: 2 * spacing.trim,
      signature: scheme.pages,
    };
    return { ok: true, sheets, how: howOf(room, how) };
  }
  return { ok: false, message: whyNot(asked, { width: 2 * width, height }) };
}

/** A collating mark: how high it is, how wide at most, and how far below the one before it stands, mm [cp]. */
const COLLATING = { height: 8, width: 3, step: 9, from: 10 } as const;

/**
 * The mark on the spine of a signature, between its first and its last page.
 * @param index of the signature, from 0; after the foot of the spine marks begin again at its head
 */
function collatingMark(sides: readonly ImposedSide[], pages: readonly number[], index: number): Rect | undefined {
  const trimOf = (page: number) => sides.find(({ surface }) => surface === pageName(page))?.trim;
  const [first, last] = [trimOf(Math.min(...pages)), trimOf(Math.max(...pages))];
  if (!first || !last) return undefined;
  const [left, right] = first.x < last.x ? [first, last] : [last, first];
  const gap = right.x - left.x - left.width;
  const { height, step, from } = COLLATING;
  const steps = Math.max(1, Math.floor((left.height - 2 * from - height) / step) + 1);
  const width = Math.min(COLLATING.width, gap);
  if (width <= 0) return undefined;
  const x = left.x + left.width + gap / 2 - width / 2;
  return { x, y: left.y + from + (index % steps) * step, width, height };
}
