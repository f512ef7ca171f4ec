import type { ComponentType } from 'react';
import { cellAt } from './cell-at';
import type { Element, ElementKind, ElementOf } from '@/core/job';
import type { NamedTracks, Point } from '@/core/layout';
import type { JobState } from '../open-job/store';
import { CodeFields } from './CodeFields';
import { LineFields, ShapeFields } from './ShapeFields';
import { PictureFields } from './PictureFields';
import { PrintableFields } from './PrintableFields';
import { TableFields } from './table/TableFields';
import { TextFields } from './text/TextFields';
import { PageFields, VectorFields } from './VectorFields';

/** How a kind of element is worked on. */
interface ElementHandling<E> {
  /** Its own facts on the slip. */
  readonly Fields: ComponentType<{ readonly element: E }>;
  /** What a double click goes into; null where there is nothing within. */
  readonly enter: ((element: E, where: Entered) => void) | null;
}

/** Where a double click met an element. */
interface Entered {
  readonly state: Pick<JobState, 'type' | 'frame' | 'editPath' | 'chooseCells'>;
  /** Columns and rows that it lays into its box. */
  readonly tracks: NamedTracks | undefined;
  /** On the side, mm. */
  readonly at: Point;
}

const HANDLING: { readonly [K in ElementKind]: ElementHandling<ElementOf<K>> } = {
  shape: { Fields: ShapeFields, enter: ({ id }, { state }) => state.editPath(id) },
  line: { Fields: LineFields, enter: null },
  picture: { Fields: PictureFields, enter: ({ id }, { state }) => state.frame(id) },
  vector: { Fields: VectorFields, enter: null },
  page: { Fields: PageFields, enter: null },
  text: { Fields: TextFields, enter: ({ id }, { state }) => state.type(id) },
  table: {
    Fields: TableFields,
    enter: (table, { state, tracks, at }) => {
      if (!tracks) return;
      const place = cellAt(table, tracks, at);
      state.chooseCells({ from: place, to: place });
    },
  },
  printable: { Fields: PrintableFields, enter: null },
  code: { Fields: CodeFields, enter: null },
};

/** How elements of a kind are worked on: it is given elements of that kind only. */
export const handlingOf = (kind: ElementKind): ElementHandling<Element> => HANDLING[kind] as ElementHandling<Element>;
