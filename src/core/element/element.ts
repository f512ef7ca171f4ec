import { z } from 'zod';
import { Effect } from './effect';
import { Form } from './forms';
import { Insets } from './grid';
import { ARTWORK } from './group';
import { Adjust, Framing } from './picture';
import { Extent, Length } from './length';
import { ParagraphChanges } from './look';
import { Blend, Paint, SolidPaint } from './paint';
import { Paragraph } from './paragraph';
import { Placement, elementId, id } from './placement';
import { PrintableFacts } from './printable';
import { Repeat } from './repeat';
import { PictureSlot, TextSlot } from './slot';
import { Stroke } from './stroke';
import { TableFacts, isWhole } from './table';

/** Longest name of an element, characters. */
export const LONGEST_NAME = 200;

const sha = z.string().regex(/^[0-9a-f]{64}$/);

const common = {
  id,
  name: z.string().max(LONGEST_NAME).default(''),
  placement: Placement,
  opacity: z.number().min(0).max(1).default(1),
  blend: Blend.default('normal'),
  layer: id.default(ARTWORK),
  group: id.nullable().default(null),
  clipTo: elementId.nullable().default(null).describe('A shape outside which it is not seen.'),
  effects: z.array(Effect).max(12).default([]),
  wrap: Extent.nullable()
    .default(null)
    .describe('Text of the same side keeps this far off its outline; null: it runs beneath.'),
  unprinted: z.literal(true).optional().describe('Only there for process lines and coatings to follow.'),
  repeat: z.array(Repeat).max(4).default([]).describe('Each is applied to what the one before gave.'),
};

/** Whether an edge that lies on the trim runs out into the bleed, or stops at the trim. */
const AtTrim = z.enum(['bleeds', 'stops']);
const atTrim = AtTrim.default('bleeds');

const Shape = z.strictObject({
  kind: z.literal('shape'),
  ...common,
  atTrim,
  shape: Form,
  fill: Paint.nullable(),
  stroke: Stroke.nullable().default(null),
});

const Line = z.strictObject({
  kind: z.literal('line'),
  ...common,
  stroke: Stroke,
  slope: z.enum(['down', 'up']).default('down').describe('From which corner of its box it runs.'),
});

const Picture = z.strictObject({
  kind: z.literal('picture'),
  ...common,
  atTrim,
  picture: sha.nullable().describe('SHA-256 of the picture’s bytes; null for an empty frame.'),
  ...Framing,
  adjust: Adjust.prefault({}),
  wants: z.string().max(300).default('').describe('What belongs into the frame, while it is empty.'),
  slot: PictureSlot.optional().describe('Open in jobs begun from a template.'),
  expects: z.enum(['picture', 'vector']).default('picture').describe('`vector`: a logo that should not be pixels.'),
});

/** Paths brought in from a drawing. */
const Vector = z.strictObject({
  kind: z.literal('vector'),
  ...common,
  drawing: sha.describe('SHA-256 of the drawing’s bytes.'),
  stretch: z.boolean().default(false).describe('Filling its box both ways instead of keeping its proportion.'),
  recolour: z
    .array(z.strictObject({ from: SolidPaint, to: SolidPaint }))
    .max(200)
    .default([])
    .describe('Colours of the drawing, replaced.'),
});

/** A page of a PDF, kept as it is. */
const Page = z.strictObject({
  kind: z.literal('page'),
  ...common,
  document: sha.describe('SHA-256 of the document’s bytes.'),
  page: z.number().int().min(1).max(10_000).default(1),
});

/** Type sized by what it has to fill; solved again whenever words or frame change. */
const TypeFit = z.discriminatedUnion('to', [
  z
    .strictObject({ to: z.literal('width'), by: z.enum(['tracking', 'size', 'scale']).default('size') })
    .describe('Each line made exactly as long as the frame is wide.'),
  z
    .strictObject({
      to: z.literal('frame'),
      least: z.number().min(10).max(100).default(90),
      most: z.number().min(100).max(1000).default(100),
    })
    .describe(
      'Sizes and leading reduced or enlarged together, between two percentages, until all words are in the frame.',
    ),
  z
    .strictObject({ to: z.literal('lines'), lines: z.number().int().min(1).max(100) })
    .describe('The largest size at which the words stay in so many lines and in the frame.'),
]);
export type TypeFit = z.infer<typeof TypeFit>;

/** Type set along the outline of a shape. */
const Along = z.strictObject({
  shape: elementId.describe('A shape of the same side.'),
  start: Length.default(0).describe('Where along the outline the words begin, mm; with `centre` from its top.'),
  side: z.enum(['outside', 'inside']).default('outside'),
  anchor: z
    .enum(['start', 'centre'])
    .default('centre')
    .describe('Whether they begin there or have their middle there.'),
});
export type Along = z.infer<typeof Along>;

/** One text frame. */
const Text = z.strictObject({
  kind: z.literal('text'),
  ...common,
  style: id.nullable().default(null).describe('The paragraph style of what says nothing itself.'),
  look: ParagraphChanges.default({}).describe('What differs from the style.'),
  paragraphs: z
    .array(Paragraph)
    .min(1)
    .max(20_000)
    .default([{ runs: [] }]),
  vertical: z
    .enum(['top', 'middle', 'bottom', 'spread'])
    .default('top')
    .describe('`spread`: paragraphs parted until the frame is full.'),
  inset: Insets.default({ top: 0, right: 0, bottom: 0, left: 0 }),
  columns: z.number().int().min(1).max(20).default(1),
  columnGap: Extent.default(4),
  balance: z.boolean().default(false).describe('Columns of about equal height.'),
  fit: TypeFit.nullable().default(null),
  along: Along.nullable().default(null),
  after: elementId
    .nullable()
    .default(null)
    .describe('The text frame whose overflow flows into this one; its own words then follow.'),
  slot: TextSlot.optional().describe('Open in jobs begun from a template.'),
  language: z.string().max(20).nullable().default(null).describe('BCP 47; null is the job’s.'),
});

/** Words in rows and columns; its cells are boxes that other elements can stand in. */
const Table = z
  .strictObject({ kind: z.literal('table'), ...common, ...TableFacts })
  .refine(isWhole, { error: 'Every row needs one cell for each column.' });

/** Content that works itself out in its box: rulings, lists, calendars, tracing. */
const Printable = z.strictObject({
  kind: z.literal('printable'),
  ...common,
  atTrim: AtTrim.default('stops'),
  ...PrintableFacts,
});

export const Element = z.discriminatedUnion('kind', [Shape, Line, Picture, Vector, Page, Text, Table, Printable]);
export type Element = z.infer<typeof Element>;
/** An element as it may be written: what has a usual value may be left out. */
export type ElementInput = z.input<typeof Element>;
export type PrintableElement = Extract<Element, { kind: 'printable' }>;
export type ElementKind = Element['kind'];
export type ElementOf<K extends ElementKind> = Extract<Element, { kind: K }>;
