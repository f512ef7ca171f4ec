import { z } from 'zod';
import { BoxRef, Length, SolidPaint, elementId, extent, id } from '../element';
import { COATINGS, PROCESSES } from '../shop';

const elements = z.array(elementId).min(1).max(500);
const path = z.string().min(1).max(400_000);
const way = z.enum(['upright', 'level']);

/** Where a process line runs. */
export const Course = z.discriminatedUnion('course', [
  z
    .strictObject({
      course: z.literal('straight'),
      way,
      against: BoxRef,
      at: Length.describe('From the box’s left or top edge, mm; negative from its right or foot.'),
    })
    .describe('Straight across a box.'),
  z
    .strictObject({ course: z.literal('divide'), way, against: BoxRef, into: z.number().int().min(2).max(100) })
    .describe('Straight lines that part a box equally.'),
  z
    .strictObject({
      course: z.literal('outline'),
      elements,
      offset: Length.default(0).describe('Outside the outline, mm; negative inside it.'),
    })
    .describe('Along the outline of elements.'),
  z
    .strictObject({
      course: z.literal('drawing'),
      path: path.describe('SVG path data, mm from the trimmed top-left corner.'),
    })
    .describe('As it was brought in.'),
]);
export type Course = z.infer<typeof Course>;

/** By what the shapes in a picture are told from their ground. */
export const TRACED_BY = ['clear', 'ground', 'dark', 'light'] as const;

/** What a coating covers. */
export const CoatSource = z.discriminatedUnion('from', [
  z.strictObject({ from: z.literal('elements'), elements }).describe('The outlines of elements, type included.'),
  z
    .strictObject({
      from: z.literal('picture'),
      element: elementId,
      by: z.enum(TRACED_BY).describe('What is not clear, not the colour of the corners, dark, or light.'),
      threshold: z.number().min(0).max(100).describe('How far off it has to be, percent.'),
      shapes: path.describe('The outlines found, SVG path data in shares of the picture.'),
    })
    .describe('The shapes in a picture.'),
  z.strictObject({ from: z.literal('paint'), paint: SolidPaint }).describe('Everything of one colour.'),
  z.strictObject({ from: z.literal('artwork') }).describe('Everything that is printed.'),
  z.strictObject({ from: z.literal('side') }).describe('The whole side with its bleed.'),
  z.strictObject({ from: z.literal('drawing'), path }).describe('As it was brought in, mm.'),
]);
export type CoatSource = z.infer<typeof CoatSource>;

/** What is done to the printed sheet: a line for a machine, a coating, or a note that all of it is coated. */
export const Finishing = z.discriminatedUnion('does', [
  z.strictObject({
    does: z.literal('line'),
    id,
    process: z.enum(PROCESSES),
    course: Course,
    past: extent.default(0).describe('How far a straight line runs past both ends, mm.'),
  }),
  z.strictObject({
    does: z.literal('coat'),
    id,
    coating: z.enum(COATINGS),
    of: CoatSource,
    spread: Length.default(0).describe('Outside the outline, mm; negative inside it (choke).'),
    knocksOut: z.literal(true).optional().describe('Cuts the print away beneath, which a coating should never do.'),
    tint: z
      .number()
      .min(1)
      .max(100)
      .optional()
      .describe('Percent; left out, 100, as a coating unit knows nothing between.'),
    strokePt: z.number().min(0.01).max(100).optional().describe('A line around its areas, which it should not have.'),
  }),
  z
    .strictObject({ does: z.literal('flood'), id, coating: z.enum(COATINGS) })
    .describe('The whole sheet: a note to the printer, without a plate.'),
]);
export type Finishing = z.infer<typeof Finishing>;
export type FinishingOf<K extends Finishing['does']> = Extract<Finishing, { does: K }>;

/** How folds reach the finisher: as lines for a die, or as ticks that instruct the folding machine. */
export const FOLD_LINES = ['die', 'instruction'] as const;
