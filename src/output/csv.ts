/** Rows as a file that any table program reads (RFC 4180). */
export const csvOf = (rows: readonly (readonly string[])[]): Uint8Array =>
  new TextEncoder().encode(rows.map((row) => `${row.map(quoted).join(',')}\r\n`).join(''));

const quoted = (cell: string): string => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell);
