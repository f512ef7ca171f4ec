import { z } from 'zod';
import { SolidPaint } from '../../paint';
import { common, sha } from '../common';

/** Paths brought in from a drawing. */
export const Vector = z.strictObject({
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
export type VectorElement = z.infer<typeof Vector>;
