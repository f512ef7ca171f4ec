import { pathLengths, type Path } from '../layout';
import type { Mm } from '../measure';

/**
 * Dash and gap stretched a little so that the line ends with a whole dash: an open line of length L takes n dashes and
 * n − 1 gaps, a closed one n of each. n is the nearest whole number; both keep their proportion.
 * @returns dash and gap for each sub-path; empty where the line is too short for more than one dash
 */
export function wholeDashes(path: Path, dash: Mm, gap: Mm): readonly (readonly Mm[])[] {
  return pathLengths(path).map(({ length, closed }) => {
    const period = dash + gap;
    const n = Math.round(closed ? length / period : (length + gap) / period);
    if (period <= 0 || n < (closed ? 1 : 2)) return [];
    const scale = length / (closed ? n * period : n * period - gap);
    return [dash * scale, gap * scale];
  });
}
