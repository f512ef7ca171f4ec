import { mapLooks } from '../../map-looks';
import type { StyleBook } from '../../type-style';
import type { ChangePaint } from '../../paint';
import type { TextElement } from './schema';

/** A text with the paint of its type replaced, wherever it is said and wherever it comes from a style. */
export const repaintWords = (text: TextElement, book: StyleBook, change: ChangePaint): TextElement =>
  mapLooks(text, book, ({ paint }) => {
    const other = change(paint);
    return other === paint ? {} : { paint: other };
  });
