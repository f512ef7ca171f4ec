import { z } from 'zod';
import { Insets } from '../../grid';
import { Extent, Length } from '../../length';
import { ParagraphChanges } from '../../look';
import { Paragraph } from '../../paragraph';
import { elementId, id } from '../../placement';
import { TextSlot } from '../../slot';
import { common } from '../common';

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
export const Text = z.strictObject({
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
export type TextElement = z.infer<typeof Text>;
