import { z } from 'zod';
import { Paint } from './paint';
import { Placement, extent } from './placement';

export const Stroke = z.strictObject({
  paint: Paint,
  widthPt: z.number().min(0.01).max(500),
  dash: z.enum(['solid', 'dashed', 'dotted']).default('solid'),
});
export type Stroke = z.infer<typeof Stroke>;

const id = z.string().min(1).max(64).regex(/^[\w-]+$/); // prettier-ignore
const sha = z.string().regex(/^[0-9a-f]{64}$/);

const common = {
  id,
  name: z.string().max(200).default(''),
  placement: Placement,
  opacity: z.number().min(0).max(1).default(1),
};

/** Whether an edge that lies on the trim runs out into the bleed, or stops at the trim. */
const atTrim = z.enum(['bleeds', 'stops']).default('bleeds');

const Rectangle = z.strictObject({
  kind: z.literal('rectangle'),
  ...common,
  atTrim,
  fill: Paint.nullable(),
  stroke: Stroke.nullable().default(null),
  radius: extent.default(0).describe('Corner radius, mm.'),
});

const Ellipse = z.strictObject({
  kind: z.literal('ellipse'),
  ...common,
  fill: Paint.nullable(),
  stroke: Stroke.nullable().default(null),
});

const Line = z.strictObject({
  kind: z.literal('line'),
  ...common,
  stroke: Stroke,
  slope: z.enum(['down', 'up']).default('down').describe('From which corner of its box it runs.'),
});

/** How a picture sits in its frame. */
export const Fit = z.discriminatedUnion('mode', [
  z.strictObject({ mode: z.literal('fill') }).describe('Covers the frame; what sticks out is cropped.'),
  z.strictObject({ mode: z.literal('fit') }).describe('Wholly inside the frame.'),
  z
    .strictObject({ mode: z.literal('scale'), percent: z.number().min(1).max(5000) })
    .describe('At a scale of its size at the job’s resolution.'),
]); // prettier-ignore
export type Fit = z.infer<typeof Fit>;

const share = z.number().min(0).max(1);

const Picture = z.strictObject({
  kind: z.literal('picture'),
  ...common,
  atTrim,
  picture: sha.nullable().describe('SHA-256 of the picture’s bytes; null for an empty frame.'),
  fit: Fit.default({ mode: 'fill' }),
  focus: z
    .strictObject({ x: share, y: share })
    .default({ x: 0.5, y: 0.5 })
    .describe('The point of the picture that matters most, kept in view when it is cropped.'),
});

const inset = z.strictObject({ top: extent, right: extent, bottom: extent, left: extent });

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
  paint: Paint,
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
  inset: inset.default({ top: 0, right: 0, bottom: 0, left: 0 }),
  language: z.string().max(20).nullable().default(null).describe('BCP 47; null is the job’s.'),
});

export const Element = z.discriminatedUnion('kind', [Rectangle, Ellipse, Line, Picture, Text]);
export type Element = z.infer<typeof Element>;
export type ElementKind = Element['kind'];
export type ElementOf<K extends ElementKind> = Extract<Element, { kind: K }>;
