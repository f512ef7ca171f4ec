import { formatNumber, mmPer, type JobUnit, type Mm } from '../measure';

/** A line of a ruler. */
export interface Tick {
  /** From the ruler’s origin, mm. */
  readonly at: Mm;
  /** In the ruler’s unit, at the longer lines. */
  readonly label: string | undefined;
}

/** Apart by so much at least: lines, and those with a number, px. */
const [LINES, NUMBERS] = [6, 44];

const decimal = [-2, -1, 0, 1, 2, 3].flatMap((power) => [1, 2, 5].map((digit) => digit * 10 ** power));
const halved = [1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 3, 6, 12, 24, 36, 72, 144];
const dozens = [1 / 4, 1 / 2, 1, 2, 3, 6, 12, 24, 48, 96, 192];

/** Steps that a ruler of each unit may go in. */
const STEPS: Readonly<Record<JobUnit, readonly number[]>> = {
  mm: decimal,
  cm: decimal,
  pt: decimal,
  in: halved,
  pica: dozens,
};

/**
 * The lines of a ruler between two places, as fine as there is room for.
 * @param from mm from its origin
 * @param to likewise
 * @param scale pixels to a millimetre
 */
export function rulerTicks(from: Mm, to: Mm, scale: number, unit: JobUnit): readonly Tick[] {
  const per = mmPer(unit, 300);
  const steps = STEPS[unit];
  const coarsest = steps.at(-1) ?? 1;
  const line = steps.find((step) => step * per * scale >= LINES) ?? coarsest;
  const isMultiple = (step: number) => Math.abs(step / line - Math.round(step / line)) < 1e-9;
  const number = steps.find((step) => step * per * scale >= NUMBERS && isMultiple(step)) ?? coarsest;
  const every = Math.max(1, Math.round(number / line));
  const [first, last] = [Math.ceil(from / (line * per)), Math.floor(to / (line * per))];
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i): Tick => {
    const n = first + i;
    return { at: n * line * per, label: n % every === 0 ? formatNumber(n * line) : undefined };
  });
}
