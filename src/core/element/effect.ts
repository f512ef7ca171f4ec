import { z } from 'zod';
import { Extent, Length } from './length';
import { Blend, SolidPaint } from './paint';

const opacity = z.number().min(0).max(1);

/** What is done around or to a finished element. Blur lengths are twice the standard deviation of the Gaussian. */
export const Effect = z.discriminatedUnion('effect', [
  z.strictObject({
    effect: z.literal('shadow'),
    dx: Length.default(1),
    dy: Length.default(1),
    blur: Extent.default(2),
    spread: Extent.default(0).describe('How far it is grown before it is blurred.'),
    paint: SolidPaint,
    opacity: opacity.default(0.6),
    blend: Blend.default('multiply'),
  }),
  z.strictObject({
    effect: z.literal('glow'),
    blur: Extent.default(3),
    spread: Extent.default(0.5),
    paint: SolidPaint,
    opacity: opacity.default(0.8),
    blend: Blend.default('normal'),
  }),
  z.strictObject({ effect: z.literal('blur'), blur: Extent.default(1) }),
  z
    .strictObject({ effect: z.literal('soft-edge'), blur: Extent.default(2) })
    .describe('Fades out toward its edge, inside it.'),
  z
    .strictObject({ effect: z.literal('outline'), width: Extent.default(1), paint: SolidPaint })
    .describe('A band around it.'),
]);
export type Effect = z.infer<typeof Effect>;
export type EffectKind = Effect['effect'];
export type EffectOf<K extends EffectKind> = Extract<Effect, { effect: K }>;
