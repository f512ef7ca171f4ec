import { z } from 'zod';

const percent = z.number().min(0).max(100);
const byte = z.number().int().min(0).max(255);

export const Rgb = z.strictObject({ r: byte, g: byte, b: byte });

const overprint = z
  .boolean()
  .optional()
  .describe('Laid over what is beneath, or knocking it out. Left out, by rule: black type and lines overprint.');

const build = { c: percent, m: percent, y: percent, k: percent };

const inkName = z.string().min(1).max(60);

/** How much of a spot ink of the job. */
export const SpotShare = z.strictObject({
  ink: inkName.describe('Name of a spot ink of the job.'),
  tint: percent.default(100).describe('Percent.'),
});
export type SpotShare = z.infer<typeof SpotShare>;

/** A colour as its inks say it, without a name for its use. */
export const PlainPaint = z.discriminatedUnion('kind', [
  z
    .strictObject({ kind: z.literal('process'), ...build, overprint })
    .describe('A build of the four process inks, percent of dot area each.'),
  z.strictObject({ kind: z.literal('paper') }).describe('The bare paper: knocks out everything beneath.'),
  z
    .strictObject({ kind: z.literal('rgb'), r: byte, g: byte, b: byte, overprint })
    .describe('sRGB, converted through the output profile.'),
  z
    .strictObject({
      kind: z.literal('spot'),
      c: percent.default(0),
      m: percent.default(0),
      y: percent.default(0),
      k: percent.default(0),
      spots: z.array(SpotShare).min(1).max(8),
      overprint,
    })
    .describe('One or more spot inks, alone or mixed with process inks.'),
]);
export type PlainPaint = z.infer<typeof PlainPaint>;

/** One colour all over, as the designer decided it. */
export const SolidPaint = z
  .discriminatedUnion('kind', [
    ...PlainPaint.options,
    z
      .strictObject({
        kind: z.literal('swatch'),
        swatch: inkName.describe('Name of a swatch of the job.'),
        tint: percent.default(100).describe('Percent of each of its inks.'),
        overprint,
      })
      .describe('A colour of the job by its name.'),
  ])
  .describe('A colour: a process build, spot inks, the paper, sRGB, or one of the job’s named colours.');
export type SolidPaint = z.infer<typeof SolidPaint>;
/** Gives another paint, or the paint itself where it may stay. */
export type ChangePaint = (paint: SolidPaint) => SolidPaint;

/** How a spot ink behaves beyond its hue. */
export const SPOT_FINISHES = ['plain', 'metallic', 'fluorescent', 'pastel'] as const;

/**
 * Names that mean something else in a file for the press: the process plates, every plate, none (ISO 32000-1, 8.6.6.4).
 */
const TAKEN = ['cyan', 'magenta', 'yellow', 'black', 'all', 'none'];

/** Why an ink cannot be called so; undefined when it can. */
export const whyNoInkName = (name: string): string | undefined =>
  TAKEN.includes(name.trim().toLowerCase())
    ? `No spot ink can be called “${name}”: a press takes that name for ` +
      `${/^(all|none)$/i.test(name.trim()) ? 'every plate, or for none' : 'a process plate'}. Choose another.`
    : undefined;

/** An ink of a plate of its own, mixed before it comes to the press. */
export const SpotInk = z
  .strictObject({
    name: inkName
      .refine((name) => whyNoInkName(name) === undefined, { error: ({ input }) => whyNoInkName(String(input)) })
      .describe('As the plate is called.'),
    finish: z.enum(SPOT_FINISHES).default('plain'),
    ...build,
    lab: z
      .strictObject({
        L: z.number().min(0).max(100),
        a: z.number().min(-160).max(160),
        b: z.number().min(-160).max(160),
      })
      .optional()
      .describe('As it was measured, CIE L*a*b* D50.'),
  })
  .describe('c, m, y and k show it where it is not printed as itself.');
export type SpotInk = z.infer<typeof SpotInk>;

/** A colour named for its use: “headings”, not “dark blue”. */
export const Swatch = z.strictObject({ name: inkName, paint: PlainPaint });
export type Swatch = z.infer<typeof Swatch>;

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
});
export type Gradient = z.infer<typeof Gradient>;

/** What an area is filled with. */
export const Paint = z.discriminatedUnion('kind', [...SolidPaint.options, Gradient]);
export type Paint = z.infer<typeof Paint>;

export const BLACK: SolidPaint = { kind: 'process', c: 0, m: 0, y: 0, k: 100 };

/** How something mixes with what lies beneath (ISO 32000-1, 11.3.5). */
export const BLENDS = [
  'normal',
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'color-dodge',
  'color-burn',
  'hard-light',
  'soft-light',
  'difference',
  'exclusion',
] as const;
export const Blend = z.enum(BLENDS);
export type Blend = z.infer<typeof Blend>;
