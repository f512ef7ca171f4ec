import { z } from 'zod';

/** Largest length a job may hold, mm: twenty metres. */
export const LONGEST = 20_000;

/** Schemas of numbers that are lengths: what grows when a piece is copied larger. */
export const LENGTHS = z.registry<{ readonly per: 'mm' | 'pt' }>();

const plain = z.number().min(-LONGEST).max(LONGEST).register(LENGTHS, { per: 'mm' });

/** Plain millimetres, not negative. */
export const extent = z.number().min(0).max(LONGEST).register(LENGTHS, { per: 'mm' });

/** Points, within bounds. */
export const points = (least: number, most: number) => z.number().min(least).max(most).register(LENGTHS, { per: 'pt' });

/** Name by which the job keeps a measure; what people call it is its `name`. */
export const measureId = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[\w-]+$/);

/** A named measure of the job, used where a length could stand: `times` × measure + `plus`. */
export const MeasureRef = z.strictObject({
  measure: measureId,
  times: z.number().min(-1000).max(1000).optional(),
  plus: plain.optional().describe('mm'),
});
export type MeasureRef = z.infer<typeof MeasureRef>;

/** Millimetres, or a named measure; may be negative. */
export const Length = z.union([plain, MeasureRef]).describe('Millimetres, or a named measure of the job.');
export type Length = z.infer<typeof Length>;

/** Millimetres not below zero, or a named measure. */
export const Extent = z
  .union([extent, MeasureRef])
  .describe('Millimetres, not negative, or a named measure of the job.');
export type Extent = z.infer<typeof Extent>;

/** A length, or a share of the box it is measured in. */
export const Len = z
  .union([plain, MeasureRef, z.strictObject({ percent: z.number().min(-1000).max(1000) })])
  .describe('Millimetres, a named measure, or a percentage of the box on that axis.');
export type Len = z.infer<typeof Len>;

/** The job’s named measures by id, mm. */
export type Measures = Readonly<Record<string, number>>;

/** A length in mm. A measure that the job does not have counts as nothing; reading a job refuses those. */
export const mmOf = (length: Length, measures: Measures): number =>
  typeof length === 'number' ? length : (measures[length.measure] ?? 0) * (length.times ?? 1) + (length.plus ?? 0);

/** An extent in mm: what a measure makes negative is nothing. */
export const extentOf = (extent: Extent, measures: Measures): number => Math.max(0, mmOf(extent, measures));

export const isMeasureRef = (value: unknown): value is MeasureRef =>
  typeof value === 'object' && value !== null && 'measure' in value;
