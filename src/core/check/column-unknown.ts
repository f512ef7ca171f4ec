import { columnsOf } from '../job';
import { columnKey, columnsNamed } from '../records';
import { plainText, textsIn, type Element, type StyleBook } from '../element';
import { framed, type Report, type Rule } from './rule';

/** What an element says where records fill it. */
function wordsIn(element: Element, book: StyleBook): string {
  if (element.kind === 'code') return element.content;
  return textsIn(element, book)
    .map(({ paragraphs }) => plainText(paragraphs))
    .join('\n');
}

/** Names between braces that no record fills are printed as they stand. */
export const columnUnknownRule: Rule = {
  id: 'column-unknown',
  title: 'No such column',
  why: 'A name between braces that is no column of the records stays as it is, on every copy.',
  check: (subject) => {
    const { job, book } = subject;
    if (!job.records) return [];
    const known = new Set(columnsOf(job).map(columnKey));
    const own = (column: string | undefined) => (column === undefined || known.has(columnKey(column)) ? [] : [column]);
    return framed(subject).flatMap(({ element, frame }): readonly Report[] => {
      const unknown = [
        ...columnsNamed(wordsIn(element, book)).flatMap(own),
        ...(element.kind === 'picture' ? own(element.column) : []),
      ];
      if (unknown.length === 0) return [];
      const names = [...new Set(unknown)].map((column) => `{${column}}`).join(', ');
      const message = `${names}: the records have no such column. They have ${columnsOf(job).join(', ')}.`;
      return [{ severity: 'warning', element: element.id, where: frame.rect, message }];
    });
  },
};
