import { mapWithin } from './map-within';

/** Fields of an element that name another one of its side, or a table as a grid. */
const REFERENCES: ReadonlySet<string> = new Set(['element', 'elements', 'clipTo', 'after', 'shape', 'grid']);

/**
 * A value with every element that it refers to named otherwise; its own id stays.
 * @param rename the other name; the same where the reference stays
 */
export const mapRefs = <T>(value: T, rename: (id: string) => string): T =>
  mapWithin(value, (v, under) => (typeof v === 'string' && REFERENCES.has(under) ? rename(v) : v));
