import { z } from 'zod';
import { Edges, extent } from '../element';
import { COATINGS } from './coating';
import { HouseMachines, PRESSES } from './machine';
import { Prices } from './prices';
import { LINE_FORMS, PROCESSES } from './process';

export const STOCKS = ['coated', 'uncoated', 'newsprint'] as const;

export const PROFILES = ['coated-fogra39', 'uncoated-fogra29'] as const;
export type ProfileName = (typeof PROFILES)[number];

/** An output profile of a job: one that ships, or one that was brought in, by the SHA-256 of its file. */
export const ProfileKey = z.union([z.enum(PROFILES), z.templateLiteral(['icc-', z.string().regex(/^[0-9a-f]{64}$/)])]);
export type ProfileKey = z.infer<typeof ProfileKey>;

const SheetSize = z.strictObject({
  name: z.string().min(1, 'A sheet needs a name.').max(60),
  width: z.number().min(10).max(20_000),
  height: z.number().min(10).max(20_000),
});
export type SheetSize = z.infer<typeof SheetSize>;

/** The paper of a job, or a record of the paper shelf: what has to be known to fold, cut and weigh it. */
export const Stock = z.strictObject({
  name: z.string().max(200).default(''),
  kind: z.enum(STOCKS).default('coated'),
  grammage: z.number().min(10).max(2000).nullable().default(null).describe('g/m²'),
  thickness: z
    .number()
    .min(0.01)
    .max(10)
    .nullable()
    .default(null)
    .describe('Caliper of one sheet, mm; null is worked out from the weight.'),
  grain: z.enum(['long', 'short']).nullable().default(null).describe('Along the long or the short side of its sheet.'),
  white: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .nullable()
    .default(null)
    .describe('How white it is, sRGB.'),
  clear: z.literal(true).optional().describe('Film that one sees through: colours need white beneath them.'),
  opacity: z.number().min(0).max(100).optional().describe('As measured (ISO 2471), percent; left out, worked out.'),
  sheets: z.array(SheetSize).max(20).default([]).describe('The sizes it comes in, mm.'),
});
export type Stock = z.infer<typeof Stock>;

export const MARKS = ['corner', 'centre', 'register', 'colourBar', 'slugLine', 'fold'] as const;

const percent = z.number().min(0).max(100);
/** The build by which a plate is shown. */
const Shown = z.strictObject({ c: percent, m: percent, y: percent, k: percent });

const CoatingWishes = z.strictObject({
  spot: z.string().min(1).max(60).optional().describe('Name of the plate.'),
  shown: Shown.optional(),
  least: extent.optional().describe('Thinnest line and narrowest gap that it holds, mm.'),
  tolerance: extent.optional().describe('How far it may lie off the print, mm.'),
});

/** Days on which a house is closed. */
const ClosedSpan = z.strictObject({
  from: z.iso.date(),
  to: z.iso.date().describe('The last of them.'),
  why: z.string().max(100).default('closed'),
});
export type ClosedSpan = z.infer<typeof ClosedSpan>;

/** Standards that a house may hold files to (ISO 15930-7). */
export const STANDARDS = ['PDF/X-4'] as const;

const LineWishes = z.strictObject({
  form: z.enum(LINE_FORMS).optional(),
  spot: z.string().min(1).max(60).optional().describe('Name of the plate.'),
  shown: Shown.optional().describe('Build that shows it.'),
});

/** What a printer asks for. Whatever is left out follows common practice, and says so. */
export const House = z.strictObject({
  name: z.string().max(200).default(''),
  bleed: Edges.optional(),
  safe: Edges.optional(),
  unprintable: extent.optional().describe('Rim of its sheets that cannot be printed, mm.'),
  sheets: z.array(SheetSize).max(20).default([]).describe('The sheets it runs, mm.'),
  minPpi: z.number().min(1).max(5000).optional().describe('Least effective resolution of a picture.'),
  maxPpi: z.number().min(1).max(5000).optional().describe('Most that is of use.'),
  inkLimit: z.number().min(100).max(400).optional().describe('Most C + M + Y + K at a point, %.'),
  minTypePt: z.number().min(1).max(100).optional(),
  minReversedTypePt: z.number().min(1).max(100).optional().describe('Also type in several inks.'),
  minLinePt: z.number().min(0.01).max(10).optional(),
  rgb: z.enum(['convert', 'refuse']).default('convert').describe('Whether RGB may be left to the export.'),
  standard: z.enum(STANDARDS).optional().describe('What every file has to conform to, read from its bytes.'),
  profile: z.enum(PROFILES).optional(),
  lines: z.partialRecord(z.enum(PROCESSES), LineWishes).default({}).describe('How it wants process lines drawn.'),
  coatings: z.partialRecord(z.enum(COATINGS), CoatingWishes).optional().describe('How it wants coatings named.'),
  lineWeightPt: z.number().min(0.05).max(1, 'A process line is at most 1 pt.').optional(),
  marks: z.partialRecord(z.enum(MARKS), z.boolean()).default({}).describe('Marks it wants, or does not.'),
  markOffset: extent.optional(),
  trimTolerance: extent.optional().describe('How far the knife may wander, mm.'),
  foldTolerance: extent.optional().describe('How far the folder may wander, mm.'),
  press: z.enum(PRESSES).optional().describe('How it prints; left out, offset.'),
  machines: HouseMachines.optional().describe('What its machines are off by.'),
  allowance: z.enum(['even', 'shift', 'thickness']).optional().describe('How it wants panels to differ.'),
  region: z
    .string()
    .regex(/^[A-Z]{2}(-[A-Z0-9]{1,4})?$/, 'A region is a country such as GB, or a part of one such as GB-SCT.')
    .optional()
    .describe('Whose public holidays it keeps.'),
  closed: z.array(ClosedSpan).max(200).optional().describe('Days on which it is closed beside them.'),
  prices: Prices.optional().describe('What it asks.'),
  leadDays: z.number().int().min(0).max(365).optional().describe('Working days from files to delivery.'),
});
export type House = z.infer<typeof House>;
