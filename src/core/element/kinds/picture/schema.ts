import { z } from 'zod';
import { Length } from '../../length';
import { Blend, Rgb, SolidPaint } from '../../paint';
import { PictureSlot } from '../../slot';
import { AtTrim, common, sha } from '../common';

/** How a picture sits in its frame. */
export const Fit = z.discriminatedUnion('mode', [
  z.strictObject({ mode: z.literal('fill') }).describe('Covers the frame; what sticks out is cropped.'),
  z.strictObject({ mode: z.literal('fit') }).describe('Wholly inside the frame.'),
  z
    .strictObject({ mode: z.literal('scale'), percent: z.number().min(1).max(5000) })
    .describe('At a scale of its size at the job’s resolution.'),
]);
export type Fit = z.infer<typeof Fit>;

const level = z.number().int().min(0).max(255);

/** What is done to a picture’s colours; its file stays as it is. */
export const Adjust = z.strictObject({
  grey: z.boolean().default(false).describe('Black and white.'),
  levels: z
    .strictObject({ black: level, white: level, gamma: z.number().min(0.1).max(10) })
    .refine((l) => l.black < l.white, { error: 'Black has to be darker than white.' })
    .nullable()
    .default(null)
    .describe('The tones that become black and white, 0 to 255, and the gamma between them; above 1 is lighter.'),
  clear: z
    .strictObject({ ...Rgb.shape, tolerance: z.number().min(0).max(100) })
    .nullable()
    .default(null)
    .describe('A colour made transparent: all within this distance of it (ΔE 1976).'),
  overlay: z
    .strictObject({ paint: SolidPaint, opacity: z.number().min(0).max(1), blend: Blend })
    .nullable()
    .default(null)
    .describe('A colour laid over it.'),
  ink: z
    .number()
    .min(100)
    .max(400)
    .optional()
    .describe('Most ink in total, percent; what has more is separated anew, with more black for the three colours.'),
});
export type Adjust = z.infer<typeof Adjust>;

const share = z.number().min(0).max(1);

const Framing = {
  fit: Fit.default({ mode: 'fill' }),
  focus: z
    .strictObject({ x: share, y: share })
    .default({ x: 0.5, y: 0.5 })
    .describe('The point of the picture that matters most, kept in view when it is cropped.'),
  offset: z
    .strictObject({ x: Length, y: Length })
    .default({ x: 0, y: 0 })
    .describe('The content moved within its frame.'),
  turn: z.number().min(-360).max(360).default(0).describe('The content turned within its frame, degrees clockwise.'),
  flip: z
    .strictObject({ across: z.boolean(), down: z.boolean() })
    .default({ across: false, down: false })
    .describe('The content mirrored.'),
};

/** A picture in its frame, or a frame that waits for one. */
export const Picture = z.strictObject({
  kind: z.literal('picture'),
  ...common,
  atTrim: AtTrim.default('bleeds'),
  picture: sha.nullable().describe('SHA-256 of the picture’s bytes; null for an empty frame.'),
  ...Framing,
  adjust: Adjust.prefault({}),
  wants: z.string().max(300).default('').describe('What belongs into the frame, while it is empty.'),
  column: z.string().max(200).optional().describe('Column of the job’s records that names the file of the picture.'),
  slot: PictureSlot.optional().describe('Open in jobs begun from a template.'),
  expects: z.enum(['picture', 'vector']).default('picture').describe('`vector`: a logo that should not be pixels.'),
});
export type PictureElement = z.infer<typeof Picture>;
