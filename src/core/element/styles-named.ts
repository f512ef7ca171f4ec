import type { CellChanges } from './cell';
import type { Element } from './element';
import type { Paragraph } from './paragraph';

type Named = string | null | undefined;

const inParagraphs = (paragraphs: readonly Paragraph[]): readonly Named[] =>
  paragraphs.flatMap((p) => [p.style, ...p.runs.map((r) => r.style)]);

/** Ids of the styles that an element names: of type, and of cells. */
export function stylesNamed(element: Element): readonly string[] {
  const isGiven = (id: Named): id is string => typeof id === 'string';
  if (element.kind === 'text') return [element.style, ...inParagraphs(element.paragraphs)].filter(isGiven);
  if (element.kind !== 'table') return [];
  const said: readonly CellChanges[] = [
    element.cells,
    element.header.cells,
    ...element.columns.map((c) => c.cells),
    ...element.rows.flatMap((r) => [r.cells, ...r.content.map((c) => c.cell)]),
  ];
  const cells = element.rows.flatMap((r) => r.content);
  return [
    element.style,
    ...said.map((s) => s.style),
    ...cells.flatMap((c) => [c.named, ...inParagraphs(c.paragraphs)]),
  ].filter(isGiven);
}
