import { asItIs, defineElementKind, none, wordless } from '../define';
import type { PageElement } from './schema';

export const page = defineElementKind<PageElement>({
  ...wordless,
  title: () => 'PDF page',
  content: 'in proportion',
  bleeds: ({ beyond }) => beyond !== 'nothing',
  file: (element) => element.document,
  repaint: asItIs,
  onLeftPage: asItIs,
  flipped: asItIs,
  difference: none,
});
