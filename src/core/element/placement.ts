import { z } from 'zod';

/** Largest length a job may hold, mm: twenty metres. */
export const LONGEST = 20_000;

export const length = z.number().min(-LONGEST).max(LONGEST);
export const extent = z.number().min(0).max(LONGEST);

/** A length in mm, or a share of the box it is measured in. */
export const Len = z
  .union([length, z.strictObject({ percent: z.number().min(-1000).max(1000) })])
  .describe('Millimetres, or a percentage of the box on that axis.');
export type Len = z.infer<typeof Len>;

export const AXIS_KEYS = ['start', 'centre', 'end', 'size'] as const;
export type AxisKey = (typeof AXIS_KEYS)[number];

/** Two of four facts on one axis; the other two are solved. */
export const Axis = z
  .strictObject({
    start: Len.optional().describe('From the box’s left or top edge inward.'),
    centre: Len.optional().describe('From the box’s centre to the element’s centre.'),
    end: Len.optional().describe('From the box’s right or bottom edge inward.'),
    size: Len.optional().describe('Width or height.'),
  })
  .refine((axis) => AXIS_KEYS.filter((key) => axis[key] !== undefined).length === 2, {
    error: 'Give exactly two of start, centre, end and size.',
  });
export type Axis = z.infer<typeof Axis>;

const track = z.number().int().min(1).max(100);

/** The named box an element stands against. */
export const BoxRef = z.discriminatedUnion('box', [
  z.strictObject({ box: z.enum(['trim', 'bleed', 'safe']) }),
  z
    .strictObject({ box: z.literal('columns'), from: track, to: track })
    .describe('A span of columns, first and last counted from 1.'),
  z
    .strictObject({ box: z.literal('rows'), from: track, to: track })
    .describe('A span of rows, first and last counted from 1.'),
  z
    .strictObject({ box: z.literal('cells'), columns: z.tuple([track, track]), rows: z.tuple([track, track]) })
    .describe('A span of columns crossed with a span of rows.'),
  z
    .strictObject({ box: z.literal('panel'), panel: z.string().min(1).max(60) })
    .describe('A panel of the surface, by name.'),
]); // prettier-ignore
export type BoxRef = z.infer<typeof BoxRef>;

export const Placement = z.strictObject({
  against: BoxRef,
  x: Axis,
  y: Axis,
  rotate: z.number().min(-360).max(360).default(0).describe('Degrees clockwise about the centre.'),
});
export type Placement = z.infer<typeof Placement>;
