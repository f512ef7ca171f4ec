/** A list with a record in the place of the one of its id; at its end where there is none. */
export const putRecord = <R extends { readonly id: string }>(list: readonly R[], record: R): R[] =>
  list.some(({ id }) => id === record.id) ? list.map((r) => (r.id === record.id ? record : r)) : [...list, record];

/** A list without the record of an id. */
export const withoutRecord = <R extends { readonly id: string }>(list: readonly R[], id: string): R[] =>
  list.filter((r) => r.id !== id);

/** A list with the record of an id where another one stands, which gives way. */
export function movedRecord<R extends { readonly id: string }>(list: readonly R[], id: string, to: string): R[] {
  const [from, there] = [id, to].map((one) => list.findIndex((r) => r.id === one));
  const moved = list[from ?? -1];
  if (!moved || there === undefined || there < 0) return [...list];
  return withoutRecord(list, id).toSpliced(there, 0, moved);
}
