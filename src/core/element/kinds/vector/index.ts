import { asItIs, defineElementKind, none, wordless } from '../define';
import type { VectorElement } from './schema';

export const vector = defineElementKind<VectorElement>({
  ...wordless,
  title: () => 'Drawing',
  content: 'in proportion',
  bleeds: () => false,
  file: ({ drawing }) => drawing,
  repaint: (element, _, change) => ({
    ...element,
    recolour: element.recolour.map(({ from, to }) => ({ from, to: change(to) })),
  }),
  onLeftPage: asItIs,
  flipped: asItIs,
  difference: none,
});
