import { AXIS_KEYS, isMeasureRef, mmOf, type Axis, type AxisKey, type Len, type Measures } from '../element';
import type { Mm } from '../measure';

/** A stretch of one axis. */
export interface Span {
  readonly start: Mm;
  readonly size: Mm;
}

/** A length of an axis in mm. */
export const resolveLen = (len: Len, whole: Mm, measures: Measures): Mm =>
  typeof len === 'object' && 'percent' in len ? (whole * len.percent) / 100 : mmOf(len, measures);

/** What placing an axis needs beside its box. */
export interface AxisContext {
  readonly measures: Measures;
  /** What the content takes on this axis, mm; for elements whose size it gives. */
  readonly content: Mm;
}

/** The two facts that hold an axis, in the order start, centre, end, size. */
export function heldKeys(axis: Axis): readonly [AxisKey, AxisKey] {
  const [a, b] = AXIS_KEYS.filter((key) => axis[key] !== undefined);
  if (!a || !b) throw new RangeError('An axis needs two of start, centre, end and size.');
  return [a, b];
}

/**
 * Solves one axis of a placement against a box.
 *
 * With box [b, b + w] and an element [p, p + s]: start = p − b, end = (b + w) − (p + s),
 * centre = (p + s/2) − (b + w/2). Any two of start, centre, end, size give p and s.
 * @returns the element's span; its size is negative when the facts contradict (both edges past each other)
 */
export function solveAxis(axis: Axis, box: Span, { measures, content }: AxisContext): Span {
  const w = box.size;
  const of = (key: AxisKey): Mm => {
    const len = axis[key] ?? 0;
    return len === 'content' ? content : resolveLen(len, w, measures);
  };
  const pair = heldKeys(axis).join(' ');
  switch (pair) {
    case 'start size':
      return { start: box.start + of('start'), size: of('size') };
    case 'end size':
      return { start: box.start + w - of('end') - of('size'), size: of('size') };
    case 'centre size':
      return { start: box.start + w / 2 + of('centre') - of('size') / 2, size: of('size') };
    case 'start end':
      return { start: box.start + of('start'), size: w - of('start') - of('end') };
    case 'start centre':
      return { start: box.start + of('start'), size: 2 * (w / 2 + of('centre') - of('start')) };
    default: {
      // centre end
      const size = 2 * (w / 2 - of('centre') - of('end'));
      return { start: box.start + w - of('end') - size, size };
    }
  }
}

/** The value of each fact for a span in a box. */
export function factsOf(span: Span, box: Span): Readonly<Record<AxisKey, Mm>> {
  return {
    start: span.start - box.start,
    centre: span.start + span.size / 2 - (box.start + box.size / 2),
    end: box.start + box.size - span.start - span.size,
    size: span.size,
  };
}

/**
 * An axis with another fact in charge: it takes the place of its fellow, so that a size that held goes on holding.
 * What is centred keeps its size too: with an edge it would be stretched, or turned inside out.
 * @param facts where the element stands, for what was not in charge before
 */
export function withFact(
  axis: Axis,
  facts: Readonly<Record<AxisKey, Mm>>,
  key: AxisKey,
  value: NonNullable<Axis[AxisKey]>,
): Axis {
  const held = heldKeys(axis);
  const partner = held.includes(key)
    ? (held.find((other) => other !== key) ?? 'size')
    : key === 'centre' || (key !== 'size' && held.includes('size'))
      ? 'size'
      : held[0];
  return { [key]: value, [partner]: axis[partner] ?? facts[partner], ...(axis.of && { of: axis.of }) };
}

/** Two lengths closer than this are the same, mm. */
const SAME = 1e-6;

/**
 * Writes a new span back into a placement: the same two facts stay in charge, percentages stay percentages, and a
 * named measure or a size taken from the content stays while its value does, so that a drag does not undo the
 * designer’s decision of what holds the element.
 */
export function writeAxis(axis: Axis, span: Span, box: Span, context: AxisContext, keys = heldKeys(axis)): Axis {
  const facts = factsOf(span, box);
  const write = (key: AxisKey): NonNullable<Axis[AxisKey]> => {
    const before = axis[key];
    if (before === 'content' && Math.abs(context.content - facts[key]) < SAME) return before;
    if (isMeasureRef(before) && Math.abs(mmOf(before, context.measures) - facts[key]) < SAME) return before;
    const isShare = typeof before === 'object' && 'percent' in before && box.size > 0;
    const value = clean(isShare ? (facts[key] / box.size) * 100 : facts[key]);
    return isShare ? { percent: value } : value;
  };
  return { [keys[0]]: write(keys[0]), [keys[1]]: write(keys[1]), ...(axis.of && { of: axis.of }) };
}

/** Floats that differ from a shorter decimal by less than a millionth of a millimetre are that decimal. */
const clean = (n: number): number => {
  const short = Math.round(n * 1e6) / 1e6;
  return short === 0 ? 0 : short;
};
