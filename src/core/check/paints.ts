import type { Build } from '../colour';
import type { Frame, Ink } from '../drawing';
import type { Element, Paint } from '../job';

/** The inks that an element lays down. */
export const inksOf = (frame: Frame): readonly Extract<Ink, { kind: 'process' }>[] =>
  frame.items.flatMap((item) => {
    const inks = item.kind === 'path' ? [item.fill, item.stroke?.ink] : item.kind === 'glyphs' ? [item.ink] : [];
    return inks.flatMap((ink) => (ink?.kind === 'process' ? [ink] : []));
  });

/** The element with each of its paints replaced. */
export function repaint(element: Element, change: (paint: Paint) => Paint): Element {
  switch (element.kind) {
    case 'rectangle':
    case 'ellipse':
      return {
        ...element,
        fill: element.fill && change(element.fill),
        stroke: element.stroke && { ...element.stroke, paint: change(element.stroke.paint) },
      };
    case 'line':
      return { ...element, stroke: { ...element.stroke, paint: change(element.stroke.paint) } };
    case 'text':
      return { ...element, style: { ...element.style, paint: change(element.style.paint) } };
    case 'picture':
      return element;
  }
}

export const asPaint = (build: Build): Paint => ({ kind: 'process', ...build });
