import { overlaps } from '../../core/geometry';
import { trimOf, type IntakeRule } from '../rule';

/** Links and pop-ups are not printed; the rest may be (ISO 15930-7, 6.10, from memory). */
const HARMLESS = ['Link', 'Popup', 'TrapNet', 'PrinterMark'];

/** Remarks, stamps and fields that lie on the page. */
export const annotationsRule: IntakeRule = {
  id: 'annotations',
  title: 'Remarks on the page',
  wish: () => 'Nothing but the page itself within the bleed.',
  look: ({ file }) =>
    file.pages.flatMap((page, i) =>
      page.annotations
        .filter(({ kind, box }) => !HARMLESS.includes(kind) && overlaps(box, trimOf(page)))
        .slice(0, 1)
        .map(({ kind, box }) => ({
          weight: 'fault' as const,
          page: i + 1,
          box,
          found: `A “${kind || 'remark'}” lies on the page: it may print, or not.`,
        })),
    ),
};
