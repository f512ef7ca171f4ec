import { z } from 'zod';
import { CellStyle, SolidPaint, SpotInk, Swatch, TypeStyle } from '../element';
import { Asset } from './asset';
import { NamedMeasure } from './named-measure';

const name = z.string().min(1).max(60);

/** What all pieces of a client have in common: kept in the shop books, and with each job as it took it. */
export const Kit = z.strictObject({
  name: z.string().max(200).default('').describe('The client’s.'),
  colours: z
    .array(z.strictObject({ name, paint: SolidPaint }))
    .max(100)
    .default([]),
  inks: z.array(SpotInk).max(30).optional().describe('Spot inks that its colours are printed with.'),
  swatches: z.array(Swatch).max(300).optional().describe('Colours by the names of their use.'),
  families: z.array(z.string().min(1).max(100)).max(20).default([]).describe('Families of type that may be used.'),
  logos: z
    .record(z.string().regex(/^[0-9a-f]{64}$/), Asset)
    .default({})
    .describe('Drawings and pictures by the SHA-256 of their bytes.'),
  measures: z.array(NamedMeasure).max(500).default([]),
  styles: z.array(TypeStyle).max(500).default([]),
  cellStyles: z.array(CellStyle).max(500).default([]),
});
export type Kit = z.infer<typeof Kit>;
