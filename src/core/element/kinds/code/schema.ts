import { z } from 'zod';
import { QR_LEVELS, SYMBOLOGIES } from '../../../code';
import { BLACK, SolidPaint } from '../../paint';
import { common } from '../common';

/** A code that a machine reads. */
export const Code = z.strictObject({
  kind: z.literal('code'),
  ...common,
  symbology: z.enum(SYMBOLOGIES),
  content: z.string().max(4000).default('').describe('As typed: a check digit is added where it is missing.'),
  level: z.enum(QR_LEVELS).default('M').describe('How much of a QR code may be lost: 7, 15, 25 or 30 percent.'),
  paint: SolidPaint.default(BLACK),
  ground: SolidPaint.nullable()
    .default({ kind: 'paper' })
    .describe('Beneath it and its quiet zone; null: what lies there is seen.'),
  reduction: z
    .number()
    .min(0)
    .max(1)
    .default(0)
    .describe('By how much bars are drawn narrower, because ink makes them wider, mm.'),
  words: z.boolean().default(true).describe('What it says beneath its bars, for people.'),
});
export type CodeElement = z.infer<typeof Code>;
