import { overlaps } from '../../core/geometry';
import { trimOf, type IntakeRule } from '../rule';

/** Pages on which nothing is printed. */
export const blankPageRule: IntakeRule = {
  id: 'blank-page',
  title: 'A blank page',
  wish: () => 'Blank pages only where they are meant.',
  look: ({ file }) =>
    file.pages.flatMap((page, i) =>
      file.painted.some((thing) => thing.page === i + 1 && overlaps(thing.box, trimOf(page)))
        ? []
        : [{ weight: 'warning' as const, page: i + 1, found: 'Nothing is printed on it.' }],
    ),
};
