import Papa from 'papaparse';

/** Words in rows, as a spreadsheet saves them. */
export type RowsReading =
  { readonly ok: true; readonly rows: readonly (readonly string[])[] } | { readonly ok: false; readonly problem: string };

export const MOST_DATA_ROWS = 5000;

/**
 * Reads comma-, semicolon- or tab-separated values (RFC 4180, the separator found by itself). Empty rows are left out.
 * @param most rows that are wanted
 */
export function readRows(text: string, most = MOST_DATA_ROWS): RowsReading {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  // A single column has no separator to be found; that is no fault.
  const [fault] = errors.filter((e) => e.type !== 'Delimiter');
  if (fault) {
    const where = `Row ${(fault.row ?? 0) + 1}`;
    return { ok: false, problem: `${where} begins a cell with a quotation mark and does not end it. Mend it in the spreadsheet.` };
  }
  if (data.length === 0) return { ok: false, problem: 'There is nothing in it.' };
  if (data.length > most) return { ok: false, problem: `It has ${data.length} rows; at most ${most} are taken.` };
  return { ok: true, rows: data.map((row) => row.map((cell) => cell.trim().replace(/\r\n?/g, '\n'))) };
}
