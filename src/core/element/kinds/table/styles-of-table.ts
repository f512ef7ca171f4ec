import type { CellChanges } from '../../cell';
import { stylesInParagraphs } from '../../paragraph';
import type { TableElement } from './schema';

/** Ids of the styles that a table names: its own, those of its cells wherever they are said, those of their words. */
export function stylesOfTable(table: TableElement): readonly string[] {
  const said: readonly CellChanges[] = [
    table.cells,
    table.header.cells,
    ...table.columns.map((c) => c.cells),
    ...table.rows.flatMap((r) => [r.cells, ...r.content.map((c) => c.cell)]),
  ];
  const cells = table.rows.flatMap((r) => r.content);
  const named = [table.style, ...said.map((s) => s.style), ...cells.map((c) => c.named)];
  return [
    ...named.filter((id): id is string => typeof id === 'string'),
    ...cells.flatMap((c) => stylesInParagraphs(c.paragraphs)),
  ];
}
