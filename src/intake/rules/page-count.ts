import { counted } from '../../core/measure';
import type { IntakeRule } from '../rule';

/** As many pages as were ordered. */
export const pageCountRule: IntakeRule = {
  id: 'page-count',
  title: 'Other pages than ordered',
  wish: () => 'One page of the file for each side that is printed.',
  look: ({ file, order }) =>
    order.pages === undefined || order.pages === file.pages.length
      ? []
      : [
          {
            weight: 'fault',
            found: `The file has ${counted(file.pages.length, 'page')}; ${counted(order.pages, 'side')} were ordered.`,
          },
        ],
};
