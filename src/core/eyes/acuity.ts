import { mmToPt, type Mm } from '../measure';

/** One minute of arc, as the tangent of its angle: what an eye of acuity 1.0 keeps apart (ISO 8596, from memory). */
const MINUTE = Math.tan(Math.PI / 180 / 60);

/** A letter of the chart is five times as high as the detail that it is told by (ISO 8596, from memory). */
const LETTER = 5;

/** Full width at half of its height, in standard deviations of a Gaussian. */
const HALF_WIDTH = 2 * Math.sqrt(2 * Math.LN2);

/** What runs together from a distance, mm. */
export const apartFrom = (distance: Mm): Mm => distance * MINUTE;

/** Standard deviation of the Gaussian that blurs from a distance, mm: as wide as what runs into one. */
export const blurFrom = (distance: Mm): Mm => apartFrom(distance) / HALF_WIDTH;

/** Height of capitals that are only just told apart from a distance, mm. */
export const capitalsFrom = (distance: Mm): Mm => distance * MINUTE * LETTER;

/** Height of capitals as a share of the size [cp]. */
const CAPITALS = 0.7;

/** The size of type that is only just told apart from a distance, pt. */
export const typeFrom = (distance: Mm): number => mmToPt(capitalsFrom(distance) / CAPITALS);
