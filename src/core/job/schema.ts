import { z } from 'zod';
import { JOB_UNITS } from '../measure';
import { Element } from './element';
import { extent } from './placement';

export const JOB_VERSION = 1;

const Edges = z.strictObject({ top: extent, right: extent, bottom: extent, left: extent });
export type Edges = z.infer<typeof Edges>;

const side = z.number().min(1).max(20_000);
const id = z.string().min(1).max(64).regex(/^[\w-]+$/); // prettier-ignore

export const Grid = z.strictObject({
  columns: z.number().int().min(1).max(100).default(1),
  gutter: extent.default(4),
  rows: z.number().int().min(1).max(100).default(1),
  rowGutter: extent.default(4),
});
export type Grid = z.infer<typeof Grid>;

export const SIDE_NAMES = ['front', 'back'] as const;
export type SideName = (typeof SIDE_NAMES)[number];

const elements = z.array(Element).max(10_000).default([]);

export const Flyer = z.strictObject({
  kind: z.literal('flyer'),
  id,
  name: z.string().max(200),
  size: z.strictObject({ width: side, height: side }).describe('Finished size, mm.'),
  sides: z.union([z.literal(1), z.literal(2)]).default(2),
  bleed: Edges.optional().describe('Overrides the bleed of the house rules.'),
  safe: Edges.optional().describe('Overrides the safe margins of the house rules.'),
  grid: Grid.default({ columns: 1, gutter: 4, rows: 1, rowGutter: 4 }),
  slug: extent.default(0).describe('Room for notes beyond the marks, at the foot, mm.'),
  surfaces: z
    .strictObject({ front: elements, back: elements })
    .default({ front: [], back: [] })
    .describe('Elements of each side, lowest first.'),
});
export type Flyer = z.infer<typeof Flyer>;

export const Piece = z.discriminatedUnion('kind', [Flyer]);
export type Piece = z.infer<typeof Piece>;

export const EMBEDDING = ['installable', 'editable', 'print'] as const;

export const PictureAsset = z.strictObject({
  kind: z.literal('picture'),
  name: z.string().max(255),
  format: z.enum(['jpeg', 'png', 'tiff', 'webp']),
  width: z.number().int().min(1).describe('Pixels, after the camera’s orientation is applied.'),
  height: z.number().int().min(1),
  colour: z.enum(['rgb', 'cmyk', 'grey']),
  profile: z.string().max(200).nullable().describe('The name of the profile it carries.'),
  alpha: z.boolean(),
});
export const FontAsset = z.strictObject({
  kind: z.literal('font'),
  name: z.string().max(255),
  family: z.string().max(100),
  weight: z.number().int().min(1).max(1000),
  italic: z.boolean(),
  postscript: z.string().max(100),
  embedding: z.enum(EMBEDDING).describe('What the font’s maker permits (OpenType OS/2 fsType).'),
});
export const Asset = z.discriminatedUnion('kind', [PictureAsset, FontAsset]);
export type Asset = z.infer<typeof Asset>;
export type PictureAsset = z.infer<typeof PictureAsset>;
export type FontAsset = z.infer<typeof FontAsset>;

export const STOCKS = ['coated', 'uncoated', 'newsprint'] as const;

/** What the house asks for. Whatever is left out follows the common rules, and says so. */
export const House = z.strictObject({
  name: z.string().max(200).default(''),
  minPpi: z.number().min(1).max(5000).optional().describe('Least effective resolution of a picture.'),
  inkLimit: z.number().min(100).max(400).optional().describe('Most C + M + Y + K at a point, %.'),
  minTypePt: z.number().min(1).max(100).optional(),
  minReversedTypePt: z.number().min(1).max(100).optional().describe('Also type in several inks.'),
  minLinePt: z.number().min(0.01).max(10).optional(),
  rgb: z.enum(['convert', 'refuse']).default('convert').describe('Whether RGB may be left to the export.'),
}); // prettier-ignore
export type House = z.infer<typeof House>;

export const PROFILES = ['coated-fogra39', 'uncoated-fogra29'] as const;
export type ProfileName = (typeof PROFILES)[number];

export const Output = z.strictObject({
  profile: z.enum(PROFILES).optional().describe('Output profile; left out, it follows the stock.'),
  marks: z
    .strictObject({
      corner: z.boolean().default(true),
      centre: z.boolean().default(true),
      register: z.boolean().default(true),
      colourBar: z.boolean().default(true),
      slugLine: z.boolean().default(true),
    })
    .default({ corner: true, centre: true, register: true, colourBar: true, slugLine: true }),
  markOffset: extent.optional().describe('From the trim to the marks, mm; never less than the bleed.'),
  previewPixels: z.number().int().min(100).max(10_000).default(1600).describe('Longest side of a preview picture.'),
}); // prettier-ignore
export type Output = z.infer<typeof Output>;

export const STAGES = ['brief', 'in work', 'checked', 'sent'] as const;

export const Job = z.strictObject({
  format: z.literal('yellow-sheet-job'),
  version: z.literal(JOB_VERSION),
  id,
  name: z.string().min(1, 'A job needs a name.').max(200),
  client: z.string().max(200).default(''),
  stage: z.enum(STAGES).default('brief'),
  due: z.iso.date().nullable().default(null),
  quantity: z.number().int().min(1).max(100_000_000).nullable().default(null),
  notes: z.string().max(10_000).default(''),
  stock: z
    .strictObject({
      name: z.string().max(200).default(''),
      kind: z.enum(STOCKS).default('coated'),
      grammage: z.number().min(10).max(2000).nullable().default(null).describe('g/m²'),
    })
    .default({ name: '', kind: 'coated', grammage: null }),
  house: House.default({ name: '', rgb: 'convert' }),
  unit: z.enum(JOB_UNITS).default('mm').describe('What a bare number means.'),
  step: z.number().min(0.001).max(100).default(0.5).describe('Nudge and rounding step, mm.'),
  language: z.string().max(20).default('en-GB'),
  readingDistance: z
    .number()
    .min(50)
    .max(100_000)
    .default(300)
    .describe('From which it is looked at, mm; decides the needed resolution.'),
  ppi: z.number().min(1).max(5000).optional().describe('Overrides the needed resolution.'),
  pieces: z.array(Piece).min(1).max(100),
  assets: z.record(z.string().regex(/^[0-9a-f]{64}$/), Asset).default({}),
  output: Output.prefault({}),
});
/** What the designer decided, and nothing that can be computed. */
export type Job = z.infer<typeof Job>;
