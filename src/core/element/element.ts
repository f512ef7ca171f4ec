import { z } from 'zod';
import { Effect } from './effect';
import { Form } from './form';
import { Insets } from './grid';
import { ARTWORK } from './group';
import { Adjust, Framing } from './picture';
import { Blend, Paint, SolidPaint } from './paint';
import { Placement, id } from './placement';
import { Repeat } from './repeat';
import { Stroke } from './stroke';

const sha = z.string().regex(/^[0-9a-f]{64}$/);

const common = {
  id,
  name: z.string().max(200).default(''),
  placement: Placement,
  opacity: z.number().min(0).max(1).default(1),
  blend: Blend.default('normal'),
  layer: id.default(ARTWORK),
  group: id.nullable().default(null),
  clipTo: id.nullable().default(null).describe('A shape outside which it is not seen.'),
  effects: z.array(Effect).max(12).default([]),
  repeat: z.array(Repeat).max(4).default([]).describe('Each is applied to what the one before gave.'),
};

/** Whether an edge that lies on the trim runs out into the bleed, or stops at the trim. */
const atTrim = z.enum(['bleeds', 'stops']).default('bleeds');

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

export const TextStyle = z.strictObject({
  family: z.string().min(1).max(100),
  weight: z.number().int().min(1).max(1000).default(400),
  italic: z.boolean().default(false),
  sizePt: z.number().min(0.5).max(5000),
  leadingPt: z
    .number()
    .min(0.5)
    .max(10_000)
    .nullable()
    .default(null)
    .describe('Baseline to baseline; null is 120 % of the size.'),
  tracking: z.number().min(-500).max(5000).default(0).describe('Thousandths of the size added after each letter.'),
  case: z.enum(['typed', 'upper', 'lower', 'title']).default('typed'),
  paint: SolidPaint,
  align: z.enum(['left', 'centre', 'right', 'justified']).default('left'),
  hyphenate: z.boolean().default(false),
}); // prettier-ignore
export type TextStyle = z.infer<typeof TextStyle>;

const Text = z.strictObject({
  kind: z.literal('text'),
  ...common,
  text: z.string().max(100_000).describe('Paragraphs, parted by line feeds.'),
  style: TextStyle,
  vertical: z.enum(['top', 'middle', 'bottom']).default('top'),
  inset: Insets.default({ top: 0, right: 0, bottom: 0, left: 0 }),
  language: z.string().max(20).nullable().default(null).describe('BCP 47; null is the job’s.'),
});

export const Element = z.discriminatedUnion('kind', [Shape, Line, Picture, Vector, Page, Text]);
export type Element = z.infer<typeof Element>;
/** An element as it may be written: what has a usual value may be left out. */
export type ElementInput = z.input<typeof Element>;
export type ElementKind = Element['kind'];
export type ElementOf<K extends ElementKind> = Extract<Element, { kind: K }>;
