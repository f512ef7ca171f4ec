import type { Effect } from './effect';
import type { Element } from './element';
import { elementKind } from './kinds';
import type { ChangePaint, SolidPaint } from './paint';
import type { StyleBook } from './type-style';

/** The element with each of its paints replaced. @param change gives the paint itself where it may stay */
export function repaint(element: Element, book: StyleBook, change: ChangePaint): Element {
  const effects = element.effects.map((effect): Effect =>
    'paint' in effect ? { ...effect, paint: change(effect.paint) } : effect,
  );
  return elementKind(element.kind).repaint({ ...element, effects }, book, change);
}

/** The paints of an element, of its words and cells too, each once for every place where it is said. */
export function paintsOf(element: Element, book: StyleBook): readonly SolidPaint[] {
  const found: SolidPaint[] = [];
  repaint(element, book, (paint) => {
    found.push(paint);
    return paint;
  });
  return found;
}
