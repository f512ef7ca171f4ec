import Papa from 'papaparse';

/** Words in rows, as a spreadsheet saves them. */
export type RowsReading =
  | { readonly ok: true; readonly rows: readonly (readonly string[])[] }
  | { readonly ok: false; readonly problem: string };

/** How much is taken; what is larger is refused, and nothing of it is left out without a word. */
export interface DataBounds {
  readonly rows: number;
  readonly columns: number;
  /** Letters of a cell. */
  readonly letters: number;
}

export const DATA_BOUNDS: DataBounds = { rows: 5_000, columns: 1_000, letters: 20_000 };

/**
 * Reads comma-, semicolon- or tab-separated values (RFC 4180, the separator found by itself). Empty rows are left out.
 * @param bounds what is wanted of them; left out, as much as is taken anywhere
 */
export function readRows(text: string, bounds: Partial<DataBounds> = {}): RowsReading {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  // A single column has no separator to be found; that is no fault.
  const [fault] = errors.filter((e) => e.type !== 'Delimiter');
  if (fault) {
    const where = `Row ${(fault.row ?? 0) + 1}`;
    return wrong(`${where} begins a cell with a quotation mark and does not end it. Mend it in the spreadsheet.`);
  }
  if (data.length === 0) return wrong('There is nothing in it.');
  const beyond = beyondBounds(data, { ...DATA_BOUNDS, ...bounds });
  if (beyond !== undefined) return wrong(beyond);
  return { ok: true, rows: data.map((row) => row.map((cell) => cell.trim().replace(/\r\n?/g, '\n'))) };
}

const wrong = (problem: string): RowsReading => ({ ok: false, problem });

const figure = (count: number): string => count.toLocaleString('en-GB');

/** What there is too much of, in words. */
function beyondBounds(data: readonly (readonly string[])[], most: DataBounds): string | undefined {
  if (data.length > most.rows) return `It has ${figure(data.length)} rows; at most ${figure(most.rows)} are taken.`;
  for (const [r, row] of data.entries()) {
    if (row.length > most.columns)
      return `Row ${r + 1} has ${figure(row.length)} columns; at most ${figure(most.columns)} are taken.`;
    const c = row.findIndex((cell) => cell.length > most.letters);
    const long = row[c];
    if (long !== undefined)
      return (
        `Row ${r + 1}, column ${c + 1} has ${figure(long.length)} letters; ` +
        `at most ${figure(most.letters)} are taken in a cell.`
      );
  }
  return undefined;
}
