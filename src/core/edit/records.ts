/** A list with a record in the place of the one of its id; at its end where there is none. */
export const putRecord = <R extends { readonly id: string }>(list: readonly R[], record: R): R[] =>
  list.some(({ id }) => id === record.id) ? list.map((r) => (r.id === record.id ? record : r)) : [...list, record];

/** A list without the record of an id. */
export const withoutRecord = <R extends { readonly id: string }>(list: readonly R[], id: string): R[] =>
  list.filter((r) => r.id !== id);
