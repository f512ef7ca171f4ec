import { SYMBOLOGY } from '../../../code';
import { asItIs, defineElementKind, none, wordless } from '../define';
import type { CodeElement } from './schema';

export const code = defineElementKind<CodeElement>({
  ...wordless,
  title: ({ symbology }) => SYMBOLOGY[symbology].title,
  content: 'filling',
  bleeds: () => false,
  file: none,
  repaint: (element, _, change) => ({
    ...element,
    paint: change(element.paint),
    ground: element.ground && change(element.ground),
  }),
  // A code that is turned over is no code.
  onLeftPage: asItIs,
  flipped: asItIs,
  difference: (was, is) => (was.content === is.content ? undefined : `says “${is.content}”, not “${was.content}”`),
});
