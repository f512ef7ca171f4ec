import { CUT_OFF, FIGURE, truncatedDensity, truncatedTail } from '../chance';
import type { Mm } from '../measure';

/** Steps of Simpson’s rule; an even number. */
const STEPS = 240;

/**
 * Chance that two plates lie so far off each other that a gap wider than what is seen opens on one side or another of
 * what they print edge on edge. Each is off by itself, across and along.
 * @param drift how far a plate is off, ± mm
 * @param seen  the narrowest gap that is seen, mm
 */
export function gapChance(drift: Mm, seen: Mm): number {
  if (drift === 0) return 0;
  const far = (seen * FIGURE) / drift;
  // One plate at x, the other further off than `far` to either side of it.
  const past = (x: number) => truncatedDensity(x) * (truncatedTail(x + far) + 1 - truncatedTail(x - far));
  const step = (2 * CUT_OFF) / STEPS;
  let sum = 0;
  for (let i = 0; i <= STEPS; i += 1)
    sum += past(-CUT_OFF + i * step) * (i === 0 || i === STEPS ? 1 : i % 2 === 1 ? 4 : 2);
  const oneWay = (sum * step) / 3;
  return 1 - (1 - oneWay) ** 2;
}
