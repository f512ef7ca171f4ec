import type { CellChanges } from './cell';
import type { Effect } from './effect';
import type { Element, ElementOf } from './element';
import { mapSaid } from './map-cells';
import { mapTexts } from './texts-in';
import { mapLooks } from './map-looks';
import type { Paint, SolidPaint } from './paint';
import type { Stroke } from './stroke';
import type { StyleBook } from './type-style';

/** The element with each of its paints replaced. @param change gives the paint itself where it may stay */
export function repaint(element: Element, book: StyleBook, change: (paint: SolidPaint) => SolidPaint): Element {
  const effects = element.effects.map((effect): Effect =>
    'paint' in effect ? { ...effect, paint: change(effect.paint) } : effect,
  );
  const stroke = (s: Stroke): Stroke => ({ ...s, paint: change(s.paint) });
  switch (element.kind) {
    case 'shape':
      return {
        ...element,
        effects,
        fill: element.fill && repaintArea(element.fill, change),
        stroke: element.stroke && stroke(element.stroke),
      };
    case 'line':
      return { ...element, effects, stroke: stroke(element.stroke) };
    case 'text':
      return repaintWords({ ...element, effects }, book, change);
    case 'table':
      return repaintTable({ ...element, effects }, book, change);
    case 'vector':
      return { ...element, effects, recolour: element.recolour.map(({ from, to }) => ({ from, to: change(to) })) };
    case 'printable': {
      const { ink, pale, accent, tint } = element.inks;
      return {
        ...element,
        effects,
        inks: { ink: change(ink), pale: change(pale), accent: change(accent), tint: change(tint) },
      };
    }
    case 'picture':
    case 'page':
      return { ...element, effects };
  }
}

type Change = (paint: SolidPaint) => SolidPaint;

const repaintWords = (text: ElementOf<'text'>, book: StyleBook, change: Change): ElementOf<'text'> =>
  mapLooks(text, book, ({ paint }) => {
    const other = change(paint);
    return other === paint ? {} : { paint: other };
  });

/** Its tints and lines wherever they are said, and the words of its cells. */
function repaintTable(table: ElementOf<'table'>, book: StyleBook, change: Change): ElementOf<'table'> {
  const cells = (said: CellChanges): CellChanges => (said.fill ? { ...said, fill: change(said.fill) } : said);
  const line = (stroke: Stroke | null): Stroke | null => stroke && { ...stroke, paint: change(stroke.paint) };
  const { top, right, bottom, left, rows, columns, header, lines } = table.borders;
  const borders = {
    top: line(top),
    right: line(right),
    bottom: line(bottom),
    left: line(left),
    rows: line(rows),
    columns: line(columns),
    header: line(header),
    lines: lines.map((l) => ({ ...l, stroke: line(l.stroke) })),
  };
  // The words first: while the tints are still as they were, a cell’s own text is known by what it was.
  const words = mapTexts(table, book, (text) => repaintWords(text, book, change));
  return { ...mapSaid(words, cells), borders, tint: words.tint && { ...words.tint, fill: change(words.tint.fill) } };
}

const repaintArea = (paint: Paint, change: (paint: SolidPaint) => SolidPaint): Paint =>
  paint.kind === 'gradient'
    ? { ...paint, stops: paint.stops.map((stop) => ({ ...stop, paint: change(stop.paint) })) }
    : change(paint);

/** The paints of an element, of its words and cells too, each once for every place where it is said. */
export function paintsOf(element: Element, book: StyleBook): readonly SolidPaint[] {
  const found: SolidPaint[] = [];
  repaint(element, book, (paint) => {
    found.push(paint);
    return paint;
  });
  return found;
}
