import type { Build } from '../colour';
import { leavesOf, type Frame, type Ink } from '../drawing';
import type { Effect, Element, Paint, SolidPaint, Stroke } from '../job';

/** The inks that an element lays down. */
export const inksOf = (frame: Frame): readonly Extract<Ink, { kind: 'process' }>[] =>
  leavesOf(frame.items).flatMap((item) => {
    const inks = item.kind === 'path' ? [item.fill, item.stroke?.ink] : item.kind === 'glyphs' ? [item.ink] : [];
    return inks.flatMap((ink) => (ink ? processInks(ink) : []));
  });

/** The builds that an ink lays down; a gradient has one at each stop. */
const processInks = (ink: Ink): readonly Extract<Ink, { kind: 'process' }>[] =>
  ink.kind === 'process'
    ? [ink]
    : ink.kind === 'gradient'
      ? ink.stops.map(({ build }) => ({ kind: 'process', build, overprint: false }))
      : [];

/** The element with each of its paints replaced. */
export function repaint(element: Element, change: (paint: SolidPaint) => SolidPaint): Element {
  const effects = element.effects.map((effect): Effect => ('paint' in effect ? { ...effect, paint: change(effect.paint) } : effect));
  const stroke = (s: Stroke): Stroke => ({ ...s, paint: change(s.paint) });
  switch (element.kind) {
    case 'shape':
      return { ...element, effects, fill: element.fill && repaintArea(element.fill, change), stroke: element.stroke && stroke(element.stroke) };
    case 'line':
      return { ...element, effects, stroke: stroke(element.stroke) };
    case 'text':
      return { ...element, effects, style: { ...element.style, paint: change(element.style.paint) } };
    case 'vector':
      return { ...element, effects, recolour: element.recolour.map(({ from, to }) => ({ from, to: change(to) })) };
    case 'picture':
    case 'page':
      return { ...element, effects };
  }
} // prettier-ignore

const repaintArea = (paint: Paint, change: (paint: SolidPaint) => SolidPaint): Paint =>
  paint.kind === 'gradient'
    ? { ...paint, stops: paint.stops.map((stop) => ({ ...stop, paint: change(stop.paint) })) }
    : change(paint);

export const asPaint = (build: Build): SolidPaint => ({ kind: 'process', ...build });
