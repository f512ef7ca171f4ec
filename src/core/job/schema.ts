import { z } from 'zod';
import {
  ARTWORK,
  Edges,
  Element,
  Grid,
  Group,
  Guide,
  SpotInk,
  Swatch,
  Layer,
  Extent,
  NamedGrid,
  TypeStyle,
  CellStyle,
  extent,
  id,
  points,
} from '../element';
import { BaseLayout, Numbering, PageLayout } from './base-layout';
import { FOLD_LINES, Finishing } from '../finish';
import { FORMATS, type Format } from '../format';
import { Asset } from './asset';
import { LogEntry } from './log';
import { Proof } from './proof';
import { ScheduleSaid } from './schedule-said';
import { Kit } from './kit';
import { NamedMeasure } from './named-measure';
import { Records } from './records';
import { JOB_UNITS } from '../measure';
import { WORK_STYLES } from '../impose';
import { INTENTS } from '../colour';
import { House, ProfileKey, Stock } from '../shop';

export const JOB_VERSION = 4;

/** Name of a side or page of a piece: `front`, `inside`, `page 12`. */
export type SideName = string;

const elements = z.array(Element).max(10_000);

/** Level lines that the baselines of text stand on, across the sides of a piece. */
export const BaselineGrid = z.strictObject({
  first: Extent.describe('From the trim’s top edge, mm.'),
  stepPt: points(1, 1000),
});
export type BaselineGrid = z.infer<typeof BaselineGrid>;

/** What every piece has beside the decisions of its kind. */
const commons = {
  id,
  name: z.string().max(200),
  bleed: Edges.optional().describe('Overrides the bleed of the house or of common practice.'),
  safe: Edges.optional().describe('Overrides the safe margins of the house or of common practice.'),
  grid: Grid.default({ columns: 1, gutter: 4, rows: 1, rowGutter: 4 }),
  grids: z.array(NamedGrid).max(100).default([]).describe('Grids beside that of the side, laid into boxes.'),
  guides: z.array(Guide).max(500).default([]),
  baselineGrid: BaselineGrid.nullable().default(null),
  layers: z
    .array(Layer)
    .min(1)
    .max(100)
    .default([{ id: ARTWORK, name: 'Artwork', locked: false, hidden: false }])
    .describe('Sheets that elements lie on, lowest first.'),
  groups: z.array(Group).max(2000).default([]),
  bases: z.array(BaseLayout).max(200).default([]).describe('What recurs on pages.'),
  layouts: z
    .record(z.string().min(1).max(60), PageLayout)
    .default({})
    .describe('The base layout that a side or page follows, by its name.'),
  numbering: Numbering.prefault({}),
  slug: extent.default(0).describe('Room for notes beyond the marks, at the foot, mm.'),
  finish: z
    .record(z.string().min(1).max(60), z.array(Finishing).max(500))
    .optional()
    .describe('Lines and coatings of each side beyond those of its kind, in the order in which they are made.'),
  foldLines: z.enum(FOLD_LINES).optional().describe('Left out, for a die.'),
  surfaces: z
    .record(z.string().min(1).max(60), elements)
    .default({})
    .describe('Elements of each side or page by its name, lowest first.'),
};

/** A piece of a kind: what every piece has, and the decisions that its format declares, by their names. */
const pieceOfKind = (format: Format) =>
  z.strictObject({
    kind: z.literal(format.kind),
    ...commons,
    decisions: z.strictObject(format.shape).describe(`What is decided of a ${format.kind}; see docs/formats.md.`),
  });

const [firstFormat, ...otherFormats] = FORMATS;
if (!firstFormat) throw new Error('There is no format.');

export const Piece = z.discriminatedUnion('kind', [pieceOfKind(firstFormat), ...otherFormats.map(pieceOfKind)]);
export type Piece = z.infer<typeof Piece>;

const many = z.number().int().min(1).max(100).optional();

/** Several up on the sheets of a desk printer. */
export const DeskOutput = z.strictObject({
  sheet: z
    .strictObject({ width: z.number().min(50).max(2000), height: z.number().min(50).max(2000) })
    .describe('mm, either way round.'),
  edge: extent.describe('Rim that the printer leaves white, mm.'),
  gap: extent.describe('Between pieces, mm; 0 where one cut parts two.'),
  bleed: extent.default(0).describe('Kept around each piece, mm, where its neighbours leave room.'),
  fill: z.enum(['same', 'each']).describe('Every sheet full of one side, or the sides one after another.'),
  marks: z.boolean().describe('Marks to cut by.'),
  overlap: extent.default(10).describe('By how much the parts of a large piece overlap, to be glued, mm.'),
  flip: z.enum(['short', 'long']).optional().describe('Along which edge sheets are turned; left out, the short one.'),
  across: many.describe('Left out, as many as fit.'),
  down: many,
});
export type DeskOutput = z.infer<typeof DeskOutput>;

/** How records follow each other on sheets. */
export const RECORD_ORDERS = ['across', 'piles'] as const;
export type RecordOrder = (typeof RECORD_ORDERS)[number];

/** Another job that is printed on the same sheets. */
export const SheetGuest = z.strictObject({
  job: id,
  revision: z.number().int().min(1).describe('The state of it that is printed.'),
  name: z.string().max(200).describe('What it was called when it was taken in.'),
  quantity: z.number().int().min(1).max(100_000_000),
});
export type SheetGuest = z.infer<typeof SheetGuest>;

/** Several up on the sheets of the press. */
export const SheetOutput = z.strictObject({
  sheet: z
    .strictObject({ width: z.number().min(50).max(20_000), height: z.number().min(50).max(20_000) })
    .optional()
    .describe('mm, as it goes through the press: its foot is held. Left out, the one of the house that is used best.'),
  gripper: extent.optional().describe('At the foot, where it is held, mm.'),
  gutter: extent.optional().describe('Between trims, mm; 0 where one cut parts two. Left out, twice the bleed.'),
  work: z.enum(WORK_STYLES).default('sheetwise').describe('How the back is printed.'),
  stages: z.number().int().min(2).max(6).default(3).describe('How often cuts change their direction, at most.'),
  turns: z.boolean().default(true).describe('Whether pieces may lie turned by a quarter.'),
  signature: z
    .union([z.literal(4), z.literal(8), z.literal(16), z.literal(32)])
    .optional()
    .describe('Pages of the largest signature of a book; left out, the largest that the sheet takes.'),
  guests: z.array(SheetGuest).max(60).optional().describe('Other jobs that lie on the same sheets.'),
  forms: z
    .number()
    .int()
    .min(1)
    .max(6)
    .optional()
    .describe('Sets of plates that are made for jobs together, at most; left out, one.'),
  order: z
    .enum(RECORD_ORDERS)
    .optional()
    .describe('How records follow each other. Left out, across a sheet; `piles`: down through the pile, to be cut.'),
});
export type SheetOutput = z.infer<typeof SheetOutput>;

export const Output = z.strictObject({
  profile: ProfileKey.optional().describe('Output profile; left out, it follows the stock.'),
  intent: z.enum(INTENTS).optional().describe('How colours are taken to the press; left out, relative colorimetric.'),
  ownBlack: z.literal(true).optional().describe('Without black-point compensation.'),
  marks: z
    .strictObject({
      corner: z.boolean().default(true),
      centre: z.boolean().default(true),
      register: z.boolean().default(true),
      colourBar: z.boolean().default(true),
      slugLine: z.boolean().default(true),
      fold: z.boolean().default(true).describe('Ticks where it is folded, scored or perforated.'),
    })
    .default({ corner: true, centre: true, register: true, colourBar: true, slugLine: true, fold: true }),
  markOffset: extent.optional().describe('From the trim to the marks, mm; never less than the bleed.'),
  desk: DeskOutput.optional().describe('Left out, the usual desk sheet of who thinks in this unit.'),
  sheet: SheetOutput.optional().describe('Left out, as it is usual where the house prints.'),
  names: z
    .string()
    .min(1)
    .max(200)
    .optional()
    .describe('How the files of a hand-over are called: {client}, {job}, {what}, {revision}, {date}.'),
  previewPixels: z.number().int().min(100).max(10_000).default(1600).describe('Longest side of a preview picture.'),
});
export type Output = z.infer<typeof Output>;

export const STAGES = ['brief', 'in work', 'checked', 'sent', 'template'] as const;
export type Stage = (typeof STAGES)[number];

export const Job = z.strictObject({
  format: z.literal('yellow-sheet-job'),
  version: z.literal(JOB_VERSION),
  id,
  name: z.string().min(1, 'A job needs a name.').max(200),
  client: z.string().max(200).default(''),
  stage: z.enum(STAGES).default('brief').describe('`template`: not printed; jobs are begun from it.'),
  due: z.iso.date().nullable().default(null),
  schedule: ScheduleSaid.optional().describe('What was said of its days; left out, they follow from the due date.'),
  quantity: z.number().int().min(1).max(100_000_000).nullable().default(null),
  notes: z.string().max(10_000).default(''),
  previous: z
    .strictObject({ job: id, revision: z.number().int().min(1) })
    .nullable()
    .default(null)
    .describe('The job, and its state, that this one is the next version of.'),
  template: z
    .strictObject({ job: id, revision: z.number().int().min(1) })
    .optional()
    .describe('The template, and its state, that the job was begun from: all but its slots is fixed.'),
  proofs: z.array(Proof).max(200).optional().describe('Proofs that were made of it, the first one first.'),
  log: z.array(LogEntry).max(2000).optional().describe('What happened with it, written down by hand, the first first.'),
  stock: Stock.prefault({}),
  house: House.prefault({}).describe('The printer’s wishes; without a name, common practice with a few set by hand.'),
  unit: z.enum(JOB_UNITS).default('mm').describe('What a bare number means.'),
  step: z.number().min(0.001).max(100).default(0.5).describe('Nudge and rounding step, mm.'),
  language: z.string().max(20).default('en-GB'),
  readingDistance: z
    .number()
    .min(50)
    .max(100_000)
    .default(300)
    .describe('From which it is looked at, mm; decides the needed resolution.'),
  ppi: z.number().min(1).max(5000).optional().describe('Overrides the needed resolution.'),
  measures: z.array(NamedMeasure).max(500).default([]),
  inks: z.array(SpotInk).max(30).optional().describe('Spot inks that artwork is printed with.'),
  swatches: z.array(Swatch).max(300).optional().describe('Colours with names.'),
  kit: Kit.optional().describe('The client’s kit as the job took it.'),
  styles: z.array(TypeStyle).max(500).default([]).describe('Looks of type with names.'),
  cellStyles: z.array(CellStyle).max(500).default([]).describe('Looks of table cells with names.'),
  pieces: z.array(Piece).min(1).max(100),
  assets: z.record(z.string().regex(/^[0-9a-f]{64}$/), Asset).default({}),
  records: Records.optional().describe('What differs from copy to copy; left out, all copies are alike.'),
  output: Output.prefault({}),
});
/** What the designer decided, and nothing that can be computed. */
export type Job = z.infer<typeof Job>;
