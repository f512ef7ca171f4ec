/** Rows as text that any table program reads (RFC 4180). */
export const writeRows = (rows: readonly (readonly (string | number)[])[]): string =>
  rows.map((row) => `${row.map((cell) => quoted(String(cell))).join(',')}\r\n`).join('');

const quoted = (cell: string): string => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell);
