/** Fields of an element that name another one of its side, or a table as a grid. */
const REFERENCES: ReadonlySet<string> = new Set(['element', 'elements', 'clipTo', 'after', 'shape', 'grid']);

/**
 * A value with every element that it refers to named otherwise; its own id stays.
 * @param rename the other name; the same where the reference stays
 */
export function mapRefs<T>(value: T, rename: (id: string) => string): T {
  const walk = (v: unknown, under: string): unknown => {
    if (typeof v === 'string') return REFERENCES.has(under) ? rename(v) : v;
    if (Array.isArray(v)) {
      const list = v.map((item) => walk(item, under));
      return list.every((item, i) => item === v[i]) ? v : list;
    }
    if (typeof v !== 'object' || v === null) return v;
    const entries = Object.entries(v);
    const renamed = entries.map(([key, inner]) => [key, walk(inner, key)] as const);
    return renamed.every(([, next], i) => next === entries[i]?.[1]) ? v : Object.fromEntries(renamed);
  };
  return walk(value, '') as T;
}
