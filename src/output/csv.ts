import { writeRows } from '../core/data';

/** Rows as a file that any table program reads. */
export const csvOf = (rows: readonly (readonly string[])[]): Uint8Array => new TextEncoder().encode(writeRows(rows));
