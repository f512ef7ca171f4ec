import type { Random } from './random';

/**
 * What a machine is off by is normal, with its figure (±) as two standard deviations, and never more than three of
 * them: what is further off is thrown away where it is made [cp]. Numbers here are in standard deviations.
 */

/** Standard deviations at which the distribution is cut off. */
export const CUT_OFF = 3;

/** A machine’s figure is so many standard deviations. */
export const FIGURE = 2;

/**
 * Half of the probability between −z and z: by its series, all of whose terms are positive (Abramowitz and Stegun,
 * 26.2.11).
 */
function fromMiddle(z: number): number {
  const x = Math.abs(z);
  let term = x;
  let sum = x;
  for (let n = 3; term > sum * 1e-17 && n < 1000; n += 2) {
    term *= (x * x) / n;
    sum += term;
  }
  return (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * sum;
}

/** Probability that a standard normal number is at most z; z up to 30 either way. */
export const normalCdf = (z: number): number => 0.5 + Math.sign(z) * fromMiddle(z);

const BEYOND = normalCdf(-CUT_OFF);
const WITHIN = 1 - 2 * BEYOND;

/** Probability that the number, cut off on both sides, is more than z. */
export function truncatedTail(z: number): number {
  if (z >= CUT_OFF) return 0;
  if (z <= -CUT_OFF) return 1;
  return (normalCdf(-z) - BEYOND) / WITHIN;
}

/** How densely the numbers lie at z. */
export const truncatedDensity = (z: number): number =>
  Math.abs(z) > CUT_OFF ? 0 : Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI) / WITHIN;

/** The z that is exceeded with a probability: the inverse of `truncatedTail`. @param tail 0 to 1 */
export function truncatedQuantile(tail: number): number {
  let [low, high] = [-CUT_OFF, CUT_OFF];
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (truncatedTail(middle) > tail) low = middle;
    else high = middle;
  }
  return high;
}

/** A number drawn from the distribution: Box and Muller (1958), drawn again where it lies beyond the cut. */
export function truncatedNormal(random: Random): number {
  for (;;) {
    const z = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    if (Math.abs(z) <= CUT_OFF) return z;
  }
}
