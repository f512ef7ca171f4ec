import { z } from 'zod';

const percent = z.number().min(0).max(100);
const byte = z.number().int().min(0).max(255);

/** What an area or a line is coloured with, as the designer decided it. */
export const Paint = z
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
export type Paint = z.infer<typeof Paint>;

export const BLACK: Paint = { kind: 'process', c: 0, m: 0, y: 0, k: 100 };
