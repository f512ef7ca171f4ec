import { COUNTED, type DataAsset, type Job, type Records } from '../job';
import { columnKey, type RecordValues } from './tokens';

/** The rows of a file as they were read, the first one naming the columns. */
export type Rows = readonly (readonly string[])[];

/** What differs from copy to copy. */
export interface RecordSet {
  /** As they are written. */
  readonly columns: readonly string[];
  readonly count: number;
  /** @param index from 0 */
  readonly at: (index: number) => RecordValues;
}

/** Records that are counted up. */
function counted({ first, step, count, digits }: Extract<Records, { from: 'count' }>): RecordSet {
  return {
    columns: [COUNTED],
    count,
    at: (index) => new Map([[COUNTED, String(first + index * step).padStart(digits, '0')]]),
  };
}

function fromRows([head = [], ...rows]: Rows): RecordSet {
  const keys = head.map(columnKey);
  return {
    columns: head,
    count: rows.length,
    at: (index) => new Map(keys.map((key, i) => [key, rows[index]?.[i] ?? ''])),
  };
}

/**
 * The records of a job.
 * @param rows what is in a file by its hash; undefined while it is not at hand
 * @returns undefined for a job whose copies are alike, and where its file is not at hand
 */
export function recordSet({ records }: Pick<Job, 'records'>, rows: (sha: string) => Rows | undefined) {
  if (!records) return undefined;
  if (records.from === 'count') return counted(records);
  const found = rows(records.file);
  return found && fromRows(found);
}

/** What is told of rows that are brought in, or why they are no records. */
export function dataAsset(
  name: string,
  rows: Rows,
): { readonly ok: true; readonly asset: DataAsset } | { readonly ok: false; readonly problem: string } {
  const [head = [], ...below] = rows;
  const blank = head.findIndex((column) => column === '');
  if (blank >= 0) return { ok: false, problem: `“${name}”: Column ${blank + 1} has no name in the first row.` };
  const long = head.find((column) => column.length > 200);
  if (long !== undefined) return { ok: false, problem: `“${name}”: A column is named with over 200 letters.` };
  const keys = head.map(columnKey);
  const twice = head.find((column, i) => keys.indexOf(columnKey(column)) < i);
  if (twice !== undefined) return { ok: false, problem: `“${name}” has two columns “${twice}”.` };
  if (below.length === 0)
    return { ok: false, problem: `“${name}” needs a row that names the columns, and at least one below it.` };
  const ragged = below.findIndex((row) => row.length > head.length);
  if (ragged >= 0)
    return {
      ok: false,
      problem: `“${name}”: Row ${ragged + 2} has ${below[ragged]?.length} cells; there are ${head.length} columns.`,
    };
  return { ok: true, asset: { kind: 'data', name: name.slice(0, 255), columns: [...head], rows: below.length } };
}

/** Which row of which file a record is, in words. @param index from 0 */
export function recordName({ records, assets }: Pick<Job, 'records' | 'assets'>, index: number): string {
  const name = `Record ${index + 1}`;
  if (records?.from !== 'file') return name;
  // The first row names the columns, and people count from one.
  return `${name} (row ${index + 2} of “${assets[records.file]?.name ?? 'the file'}”)`;
}
