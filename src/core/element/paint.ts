import { z } from 'zod';

const percent = z.number().min(0).max(100);
const byte = z.number().int().min(0).max(255);

export const Rgb = z.strictObject({ r: byte, g: byte, b: byte });

/** One colour all over, as the designer decided it. */
export const SolidPaint = z
  .discriminatedUnion('kind', [
    z
      .strictObject({ kind: z.literal('process'), c: percent, m: percent, y: percent, k: percent })
      .describe('A build of the four process inks, percent of dot area each.'),
    z.strictObject({ kind: z.literal('paper') }).describe('The bare paper: knocks out everything beneath.'),
    z
      .strictObject({ kind: z.literal('rgb'), r: byte, g: byte, b: byte })
      .describe('sRGB, converted through the output profile.'),
  ])
  .describe('A colour: a process build, the paper, or sRGB.');
export type SolidPaint = z.infer<typeof SolidPaint>;

export const GradientStop = z.strictObject({
  at: percent.describe('Where along the gradient, percent.'),
  paint: SolidPaint,
  opacity: z.number().min(0).max(1).default(1),
});
export type GradientStop = z.infer<typeof GradientStop>;

/** Colour that changes along a line or outward from a point, mixed as builds. */
export const Gradient = z.strictObject({
  kind: z.literal('gradient'),
  shape: z.enum(['linear', 'radial']).default('linear'),
  angle: z
    .number()
    .min(-360)
    .max(360)
    .default(90)
    .describe('Degrees clockwise: 0 runs to the right, 90 down. A radial one has none.'),
  length: z
    .number()
    .min(1)
    .max(1000)
    .default(100)
    .describe('Percent: of the box across that angle, or of half its diagonal for a radial one.'),
  centre: z
    .strictObject({ x: z.number().min(-5).max(5), y: z.number().min(-5).max(5) })
    .default({ x: 0.5, y: 0.5 })
    .describe('Its middle, as a share of the box.'),
  stops: z.array(GradientStop).min(2).max(50),
}); // prettier-ignore
export type Gradient = z.infer<typeof Gradient>;

/** What an area is filled with. */
export const Paint = z.discriminatedUnion('kind', [...SolidPaint.options, Gradient]);
export type Paint = z.infer<typeof Paint>;

export const BLACK: SolidPaint = { kind: 'process', c: 0, m: 0, y: 0, k: 100 };

/** How something mixes with what lies beneath (ISO 32000-1, 11.3.5). */
export const BLENDS = [
  'normal', 'multiply', 'screen', 'overlay', 'darken', 'lighten', 'color-dodge', 'color-burn',
  'hard-light', 'soft-light', 'difference', 'exclusion',
] as const; // prettier-ignore
export const Blend = z.enum(BLENDS);
export type Blend = z.infer<typeof Blend>;
