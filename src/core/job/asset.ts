import { z } from 'zod';

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
export const DrawingAsset = z.strictObject({
  kind: z.literal('drawing'),
  name: z.string().max(255),
  width: z.number().positive().describe('As the file says, mm.'),
  height: z.number().positive(),
  shapes: z.number().int().min(1),
});
const side = z.number().min(0);
const Beyond = z.strictObject({ top: side, right: side, bottom: side, left: side });

export const DocumentAsset = z.strictObject({
  kind: z.literal('document'),
  name: z.string().max(255),
  pages: z
    .array(
      z.strictObject({
        width: z.number().positive(),
        height: z.number().positive(),
        beyond: Beyond.optional().describe('How far it goes on beyond that: to its bleed box, or to its paper, mm.'),
        unembedded: z
          .array(z.string().max(300))
          .max(1000)
          .optional()
          .describe('Fonts that the page is set in and does not carry.'),
      }),
    )
    .min(1)
    .max(10_000)
    .describe('Size of each page as it is shown: its trim box, or what it has instead, mm.'),
});
export const ProfileAsset = z
  .strictObject({
    kind: z.literal('profile'),
    name: z.string().max(255),
    about: z.string().max(200).describe('What the profile calls itself.'),
  })
  .describe('An output profile (ICC).');
export const DataAsset = z
  .strictObject({
    kind: z.literal('data'),
    name: z.string().max(255),
    columns: z.array(z.string().min(1).max(200)).min(1).max(200),
    rows: z.number().int().min(1).max(100_000).describe('Below the row that names the columns.'),
  })
  .describe('Rows of a spreadsheet (RFC 4180).');
export const Asset = z.discriminatedUnion('kind', [
  PictureAsset,
  FontAsset,
  DrawingAsset,
  DocumentAsset,
  ProfileAsset,
  DataAsset,
]);
export type Asset = z.infer<typeof Asset>;
export type DrawingAsset = z.infer<typeof DrawingAsset>;
export type DocumentAsset = z.infer<typeof DocumentAsset>;
export type PictureAsset = z.infer<typeof PictureAsset>;
export type ProfileAsset = z.infer<typeof ProfileAsset>;
export type FontAsset = z.infer<typeof FontAsset>;
export type DataAsset = z.infer<typeof DataAsset>;
