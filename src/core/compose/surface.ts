import type { Clip, Drawing, Item, Note } from '../drawing';
import type { Element } from '../element';
import {
  IDENTITY,
  mapPath,
  overlaps,
  pathBounds,
  pose,
  positive,
  settle,
  type Path,
  type PlacedBox,
  type Point,
  type SurfaceBoxes,
} from '../layout';
import type { Piece } from '../job';
import { contentReader } from './content-size';
import { composeElement, reachOf } from './element';
import { outlineOf } from './shape';
import type { Composed, Surroundings } from './surroundings';

/** What orders the elements of a side. */
export type SideOrder = Pick<Piece, 'grids' | 'groups' | 'guides' | 'layers'>;

/**
 * Composes surfaces again and again while a job is edited: an element that did not change is not laid out twice.
 * Make a new one when the surroundings change.
 */
export interface Composer {
  /** An element of a surface that was composed, by itself. */
  readonly element: (element: Element, boxes: SurfaceBoxes) => Composed;
  readonly surface: (name: string, elements: readonly Element[], order: SideOrder) => Drawing;
}

/** A composed element, and what it was composed against. */
interface Kept {
  readonly placed: PlacedBox;
  /** Boxes that copies look at beyond the element’s own. */
  readonly boxes: SurfaceBoxes;
  readonly composed: Composed;
}

export function createComposer(around: Surroundings): Composer {
  const known = new WeakMap<Element, Kept>();
  const sizes = new WeakMap<Element, Map<string, number>>();
  const reader = contentReader(around);
  // Set text is measured once for each width.
  const content = {
    ...reader,
    size: (element: Element, axis: 'x' | 'y', other: number | undefined) => {
      const mine = sizes.get(element) ?? new Map<string, number>();
      sizes.set(element, mine);
      const key = `${axis} ${other ?? ''}`;
      const size = mine.get(key) ?? reader.size(element, axis, other);
      mine.set(key, size);
      return size;
    },
  };
  const compose = (element: Element, boxes: SurfaceBoxes): Composed => {
    const placed = boxes.placed[element.id];
    if (!placed) throw new RangeError(`“${element.id}” is not on this side.`);
    const before = known.get(element);
    const isSame = before && sameBox(before.placed, placed) && (element.repeat.length === 0 || before.boxes === boxes);
    if (isSame) return before.composed;
    const composed = composeElement(element, placed, { ...around, boxes });
    known.set(element, { placed, boxes, composed });
    return composed;
  };
  return {
    element: compose,
    surface: (name, elements, order) => {
      const boxes = settle(around.boxes, { side: name, elements, ...order }, content);
      const shown = inPaintOrder(elements, order);
      const composed = shown.map(({ element, locked }) => {
        const made = compose(element, boxes);
        const clipped = element.clipTo === null ? made : withClip(made, element, elements, boxes);
        return locked ? { ...clipped, frame: { ...clipped.frame, locked } } : clipped;
      });
      return {
        surface: name,
        boxes,
        frames: composed.map((c) => c.frame),
        repeated: [],
        reserved: [],
        notes: composed.flatMap((c) => c.notes),
      };
    },
  };
}

const sameBox = (a: PlacedBox, b: PlacedBox): boolean =>
  a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height;

/** What is shown, lowest first: layer by layer, hidden ones left out. */
function inPaintOrder(elements: readonly Element[], { layers }: SideOrder): readonly { readonly element: Element; readonly locked: boolean }[] {
  const [only] = layers;
  if (layers.length === 1 && only && !only.hidden && !only.locked) return elements.map((element) => ({ element, locked: false }));
  return layers
    .filter((layer) => !layer.hidden)
    .flatMap((layer) => elements.filter((e) => e.layer === layer.id).map((element) => ({ element, locked: layer.locked })));
} // prettier-ignore

/** An element seen only inside a shape of the same side. */
function withClip(made: Composed, element: Element, elements: readonly Element[], boxes: SurfaceBoxes): Composed {
  const shape = elements.find((e) => e.id === element.clipTo);
  const placed = shape && boxes.placed[shape.id];
  if (shape?.kind !== 'shape' || !placed) {
    const note: Note = { kind: 'missing-clip', element: element.id };
    return { ...made, notes: [...made.notes, note] };
  }
  const rect = positive(placed);
  const { rotate, shear } = shape.placement;
  const reach = reachOf(shape, rect, IDENTITY, boxes);
  const path = mapPath(outlineOf(shape, { rect, reach, matrix: IDENTITY }, { boxes }), pose(rect, rotate, shear));
  const clip: Clip = { path, rule: shape.shape.form === 'path' ? shape.shape.rule : 'nonzero' };
  return { ...made, frame: { ...made.frame, items: made.frame.items.map((item) => ({ ...item, clip })) } };
}

/** The artwork of one surface set down at places of another. */
export const withRepeats = (drawing: Drawing, source: readonly Item[], places: readonly Point[]): Drawing => ({
  ...drawing,
  repeated: places.flatMap(({ x, y }) =>
    source.map((item): Item => {
      const [a, b, c, d, e, f] = item.matrix;
      const clip = item.clip && { ...item.clip, path: mapPath(item.clip.path, [1, 0, 0, 1, x, y]) };
      return { ...item, ...(clip && { clip }), matrix: [a, b, c, d, e + x, f + y] };
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
