import type { Drawing, Item } from '../drawing';
import type { Element } from '../element';
import type { Point } from '../layout';
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
