import { z } from 'zod';
import { Len } from './length';

export const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[\w-]+$/);

/** Names an element of the same side; on a page, what it shows of its layout is named by the item and the page. */
export const elementId = z
  .string()
  .min(1)
  .max(400)
  .regex(/^[\w@-]+$/);

const track = z.number().int().min(1).max(100);
const grid = elementId.optional().describe('A named grid; left out, the grid of the side.');

/** Which box of another element is meant. */
export const ELEMENT_PARTS = ['whole', 'visible', 'before', 'past'] as const;
export type ElementPart = (typeof ELEMENT_PARTS)[number];

/** The named box an element stands against. */
export const BoxRef = z.discriminatedUnion('box', [
  z.strictObject({ box: z.enum(['trim', 'bleed', 'safe', 'spread']) }),
  z
    .strictObject({ box: z.literal('columns'), from: track, to: track, grid })
    .describe('A span of columns, first and last counted from 1.'),
  z
    .strictObject({ box: z.literal('rows'), from: track, to: track, grid })
    .describe('A span of rows, first and last counted from 1.'),
  z
    .strictObject({ box: z.literal('cells'), columns: z.tuple([track, track]), rows: z.tuple([track, track]), grid })
    .describe('A span of columns crossed with a span of rows.'),
  z
    .strictObject({ box: z.literal('panel'), panel: z.string().min(1).max(60) })
    .describe('A panel of the surface, by name.'),
  z
    .strictObject({ box: z.literal('hole'), hole: z.number().int().min(1).max(1000) })
    .describe('A drilled hole, counted in reading order.'),
  z
    .strictObject({ box: z.literal('element'), element: elementId, part: z.enum(ELEMENT_PARTS).default('whole') })
    .describe(
      'Another element: whole, what is left of it after trimming, or the line at its near edge (before) or ' +
        'far edge (past).',
    ),
]);
export type BoxRef = z.infer<typeof BoxRef>;

export const AXIS_KEYS = ['start', 'centre', 'end', 'size'] as const;
export type AxisKey = (typeof AXIS_KEYS)[number];

/** Two of four facts on one axis; the other two are solved. */
export const Axis = z
  .strictObject({
    start: Len.optional().describe('From the box’s left or top edge inward.'),
    centre: Len.optional().describe('From the box’s centre to the element’s centre.'),
    end: Len.optional().describe('From the box’s right or bottom edge inward.'),
    size: z
      .union([Len, z.literal('content')])
      .optional()
      .describe('Width or height; `content` is what the text or picture takes.'),
    of: BoxRef.optional().describe('The box on this axis, where it is another than the placement’s.'),
  })
  .refine((axis) => AXIS_KEYS.filter((key) => axis[key] !== undefined).length === 2, {
    error: 'Give exactly two of start, centre, end and size.',
  });
export type Axis = z.infer<typeof Axis>;

export const Placement = z.strictObject({
  against: BoxRef,
  x: Axis,
  y: Axis,
  rotate: z.number().min(-360).max(360).default(0).describe('Degrees clockwise about the centre.'),
  shear: z
    .number()
    .min(-80)
    .max(80)
    .default(0)
    .describe('Degrees that upright lines lean to the right, about the centre.'),
});
export type Placement = z.infer<typeof Placement>;

/** The box of an axis. */
export const boxOfAxis = (placement: Placement, axis: 'x' | 'y'): BoxRef => placement[axis].of ?? placement.against;
