import { z } from 'zod';
import { points } from './length';
import { SolidPaint, type ChangePaint } from './paint';

const pt = points(0.01, 2000);

export const Stroke = z.strictObject({
  paint: SolidPaint,
  widthPt: points(0.01, 500),
  dash: z.union([z.enum(['solid', 'dashed', 'dotted']), z.strictObject({ onPt: pt, offPt: pt })]).default('solid'),
  whole: z
    .boolean()
    .default(true)
    .describe('Dashes are stretched a little so that they end whole at every end of the line.'),
  align: z.enum(['centre', 'in', 'out']).default('centre').describe('On which side of a closed outline it lies.'),
  cap: z.enum(['butt', 'round', 'square']).default('butt'),
  join: z.enum(['miter', 'round', 'bevel']).default('miter'),
});
export type Stroke = z.infer<typeof Stroke>;

/** A stroke of another paint. */
export const repaintStroke = (stroke: Stroke, change: ChangePaint): Stroke => ({
  ...stroke,
  paint: change(stroke.paint),
});
