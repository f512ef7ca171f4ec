/**
 * A value with what lies in it changed, at any depth; what nothing changes in stays the same object.
 * @param change another value, or the very one that it is given: then what lies in it is looked at
 */
export function mapWithin<T>(value: T, change: (value: unknown, under: string) => unknown): T {
  const walk = (v: unknown, under: string): unknown => {
    const other = change(v, under);
    if (other !== v) return other;
    if (Array.isArray(v)) {
      const list = v.map((item) => walk(item, under));
      return list.every((item, i) => item === v[i]) ? v : list;
    }
    if (typeof v !== 'object' || v === null) return v;
    const entries = Object.entries(v);
    const walked = entries.map(([key, inner]) => [key, walk(inner, key)] as const);
    return walked.every(([, next], i) => next === entries[i]?.[1]) ? v : Object.fromEntries(walked);
  };
  return walk(value, '') as T;
}
