/** Gives what was made before, while what it is made of is the same. */
export type Memo<T> = (name: string, from: readonly unknown[], make: () => T) => T;

/** Remembers the last thing made under each name, and what it was made of. */
export function memo<T>(): Memo<T> {
  const known = new Map<string, { readonly from: readonly unknown[]; readonly made: T }>();
  return (name, from, make) => {
    const before = known.get(name);
    if (before && isSame(before.from, from)) return before.made;
    const made = make();
    known.set(name, { from, made });
    return made;
  };
}

/** The same for things that are gone when nobody has them any more. */
export function weakMemo<T>(): (key: object, from: readonly unknown[], make: () => T) => T {
  const known = new WeakMap<object, { readonly from: readonly unknown[]; readonly made: T }>();
  return (key, from, make) => {
    const before = known.get(key);
    if (before && isSame(before.from, from)) return before.made;
    const made = make();
    known.set(key, { from, made });
    return made;
  };
}

const isSame = (one: readonly unknown[], two: readonly unknown[]): boolean =>
  one.length === two.length && one.every((value, i) => value === two[i]);
