import { readRows, type RowsReading } from '../../core/data';
import { MOST_RECORDS, type DataAsset } from '../../core/job';
import { dataAsset } from '../../core/records';

/** Text as spreadsheets save it: in UTF-8, or in the letters of their system where it is none. */
function textOf(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** The rows of a file of records, the first one naming the columns. */
export const rowsOfFile = (bytes: Uint8Array): RowsReading => readRows(textOf(bytes), { rows: MOST_RECORDS + 1 });

/** Reads a file of records (RFC 4180, or with semicolons or tabs). */
export function readDataFile(
  name: string,
  bytes: Uint8Array,
): { readonly ok: true; readonly asset: DataAsset } | { readonly ok: false; readonly problem: string } {
  const read = rowsOfFile(bytes);
  return read.ok ? dataAsset(name, read.rows) : { ok: false, problem: `“${name}”: ${read.problem}` };
}
