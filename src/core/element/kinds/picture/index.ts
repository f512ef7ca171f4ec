import { asItIs, defineElementKind, wordless } from '../define';
import type { PictureElement } from './schema';

export const picture = defineElementKind<PictureElement>({
  ...wordless,
  title: () => 'Picture',
  content: 'in proportion',
  bleeds: ({ atTrim }) => atTrim === 'bleeds',
  file: (element) => element.picture ?? undefined,
  repaint: asItIs,
  onLeftPage: asItIs,
  flipped: (element) => ({ ...element, flip: { ...element.flip, across: !element.flip.across } }),
  difference: (was, is, fileName) =>
    was.picture === is.picture ? undefined : `shows ${fileName(is.picture)}, not ${fileName(was.picture)}`,
});
