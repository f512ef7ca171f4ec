import type { Drawing, Item } from '../drawing';
import type { Element } from '../element';
import { IDENTITY, overlaps, pathBounds, type Path, type Point } from '../layout';
import { composeElement, type Composed, type Surroundings } from './element';

/**
 * Composes surfaces again and again while a job is edited: an element that did not change is not laid out twice.
 * Make a new one when the surroundings change.
 */
export interface Composer {
  readonly element: (element: Element) => Composed;
  readonly surface: (name: string, elements: readonly Element[]) => Drawing;
}

export function createComposer(around: Surroundings): Composer {
  const known = new WeakMap<Element, Composed>();
  const element = (el: Element): Composed => {
    const before = known.get(el);
    if (before) return before;
    const made = composeElement(el, around);
    known.set(el, made);
    return made;
  };
  return {
    element,
    surface: (name, elements) => {
      const composed = elements.map(element);
      return {
        surface: name,
        boxes: around.boxes,
        frames: composed.map((c) => c.frame),
        repeated: [],
        reserved: [],
        notes: composed.flatMap((c) => c.notes),
      };
    },
  };
}

/** The artwork of one surface set down at places of another. */
export const withRepeats = (drawing: Drawing, source: readonly Item[], places: readonly Point[]): Drawing => ({
  ...drawing,
  repeated: places.flatMap(({ x, y }) =>
    source.map((item): Item => {
      const [a, b, c, d, e, f] = item.matrix;
      return { ...item, matrix: [a, b, c, d, e + x, f + y] };
    }),
  ),
});

/** The drawing with the zones that stay unprinted left bare, where artwork reaches into them. */
export function withBarePaper(drawing: Drawing, zones: readonly { readonly kind: string; readonly name: string; readonly outline: Path }[]): Drawing {
  const bare = zones.filter((zone) => {
    const box = pathBounds(zone.outline);
    return zone.kind === 'no-ink' && drawing.frames.some((f) => f.items.length > 0 && overlaps(f.bounds, box));
  });
  const paper = { kind: 'process' as const, build: { c: 0, m: 0, y: 0, k: 0 }, overprint: false };
  return {
    ...drawing,
    reserved: bare.map((zone): Item => ({ kind: 'path', from: zone.name, opacity: 1, matrix: IDENTITY, path: zone.outline, fill: paper, stroke: null })),
  };
} // prettier-ignore
