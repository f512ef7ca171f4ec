import { z } from 'zod';
import { PRINTABLES, type Printable } from '../../../printable';
import { BLACK, SolidPaint } from '../../paint';
import { AtTrim, common } from '../common';

/** The decisions of a printable, by the names its kind gives them. */
export interface PrintableContent {
  readonly of: string;
  readonly [decision: string]: unknown;
}

const contentOf = (printable: Printable) => z.strictObject({ of: z.literal(printable.kind), ...printable.shape });

const [first, ...others] = PRINTABLES;
if (!first) throw new Error('There is no printable.');

export const PrintableContent: z.ZodType<PrintableContent> = z
  .discriminatedUnion('of', [contentOf(first), ...others.map(contentOf)])
  .describe('Its kind and its decisions.');

/** What its marks are coloured with. */
export const PrintableInks = z.strictObject({
  ink: SolidPaint.default(BLACK).describe('Words and main lines.'),
  pale: SolidPaint.default({ kind: 'process', c: 0, m: 0, y: 0, k: 55 }).describe(
    'Lines to write on, days of other months.',
  ),
  accent: SolidPaint.default({ kind: 'process', c: 0, m: 70, y: 80, k: 10 }).describe('Margin lines, holidays.'),
  tint: SolidPaint.default({ kind: 'process', c: 0, m: 0, y: 0, k: 10 }).describe('Areas.'),
});
export type PrintableInks = z.infer<typeof PrintableInks>;

const Typeface = z.strictObject({
  family: z.string().min(1).max(100),
  weight: z.number().int().min(1).max(1000),
});

/** What its words are set in. */
export const PrintableType = z.strictObject({
  text: Typeface.default({ family: 'Source Sans 3', weight: 400 }),
  title: Typeface.default({ family: 'Source Sans 3', weight: 700 }).describe('Names of months and headings.'),
});
export type PrintableType = z.infer<typeof PrintableType>;

/** Content that works itself out in its box: rulings, lists, calendars, tracing. */
export const PrintableKind = z.strictObject({
  kind: z.literal('printable'),
  ...common,
  atTrim: AtTrim.default('stops'),
  content: PrintableContent,
  inks: PrintableInks.prefault({}),
  type: PrintableType.prefault({}),
  language: z.string().max(20).nullable().default(null).describe('BCP 47; null is the job’s.'),
});
export type PrintableElement = z.infer<typeof PrintableKind>;
