import { itemsWithin, type Drawing, type Frame, type Item } from '../drawing';
import type { Mm } from '../measure';
import {
  IDENTITY,
  TOUCH,
  edges,
  grow,
  insets,
  mapPath,
  meetingBleeds,
  overlaps,
  pathBounds,
  shiftPath,
  turnedBounds,
  type Path,
  type Point,
  type Rect,
  type SurfaceBoxes,
} from '../layout';

/** Items as they lie somewhere else. */
function moved(items: readonly Item[], { x, y }: Point): readonly Item[] {
  return items.map((item): Item => {
    const [a, b, c, d, e, f] = item.matrix;
    const clip = item.clip && { ...item.clip, path: mapPath(item.clip.path, [1, 0, 0, 1, x, y]) };
    return { ...item, ...(clip && { clip }), matrix: [a, b, c, d, e + x, f + y] };
  });
}

/** Items of another surface that go on here. */
export const withMoved = (drawing: Drawing, items: readonly Item[], by: Point): Drawing => ({
  ...drawing,
  repeated: moved(items, by),
});

/** A place where the artwork of another surface lies, and what of it is seen there, mm of that surface. */
export interface RepeatPlace {
  readonly at: Point;
  readonly seen: Rect;
}

/** Where a surface shows another again: out to its bleed, or half way to what lies beside. */
export function repeatPlaces(
  source: SurfaceBoxes,
  places: readonly Point[],
  sheet: SurfaceBoxes,
): readonly RepeatPlace[] {
  const { trim, bleed } = source;
  const trims = places.map(({ x, y }) => ({ ...trim, x: trim.x + x, y: trim.y + y }));
  const kept = meetingBleeds(trims, insets(trim, bleed), sheet.bleed);
  return places.map((at, i) => ({ at, seen: grow(trim, kept[i] ?? edges(0)) }));
}

/** The artwork of one surface set down at places of another. */
export function withRepeats(drawing: Drawing, source: Drawing, places: readonly Point[]): Drawing {
  const known = new Map<string, readonly Item[]>();
  const within = (seen: Rect): readonly Item[] => {
    const key = JSON.stringify(seen);
    const items = known.get(key) ?? itemsWithin(source, seen);
    known.set(key, items);
    return items;
  };
  return {
    ...drawing,
    repeated: repeatPlaces(source.boxes, places, drawing.boxes).flatMap(({ at, seen }) => moved(within(seen), at)),
  };
}

/** Lines and coatings of another surface as they lie at each place where its artwork stands. */
export const finishRepeated = (
  { lines, coats }: Drawing,
  places: readonly Point[],
): Pick<Drawing, 'lines' | 'coats'> => ({
  lines: places.flatMap(({ x, y }) =>
    lines.map((line) => {
      const there = ({ x: px, y: py }: Point) => ({ x: px + x, y: py + y });
      return {
        ...line,
        from: there(line.from),
        to: there(line.to),
        ...(line.path && { path: shiftPath(line.path, x, y) }),
      };
    }),
  ),
  coats: places.flatMap(({ x, y }) => coats.map((coat) => ({ ...coat, path: shiftPath(coat.path, x, y) }))),
});

/**
 * What crosses the spine from the page beside: it goes on here, so that both pages, trimmed, join at the spine, and
 * each has its bleed from the other.
 */
export function crossing(here: Drawing, beside: Drawing): { readonly items: readonly Item[]; readonly dx: Mm } {
  const { trim, spread } = beside.boxes;
  const isToTheRight = spread.x + spread.width > trim.x + trim.width;
  const spine = isToTheRight ? trim.x + trim.width : trim.x;
  const crosses = ({ rect, rotate }: Frame): boolean => {
    const box = turnedBounds(rect, rotate);
    return isToTheRight ? box.x + box.width > spine + TOUCH : box.x < spine - TOUCH;
  };
  const dx = isToTheRight ? -trim.width : here.boxes.trim.width;
  return { items: beside.frames.filter(crosses).flatMap((f) => f.items), dx };
}

/** The drawing with the zones that stay unprinted left bare, where artwork reaches into them. */
export function withBarePaper(
  drawing: Drawing,
  zones: readonly { readonly kind: string; readonly name: string; readonly outline: Path }[],
): Drawing {
  const bare = zones.filter((zone) => {
    const box = pathBounds(zone.outline);
    return zone.kind === 'no-ink' && drawing.frames.some((f) => f.items.length > 0 && overlaps(f.bounds, box));
  });
  const paper = { kind: 'process' as const, build: { c: 0, m: 0, y: 0, k: 0 }, overprint: false };
  return {
    ...drawing,
    reserved: bare.map((zone): Item => ({
      kind: 'path',
      from: zone.name,
      opacity: 1,
      matrix: IDENTITY,
      path: zone.outline,
      fill: paper,
      stroke: null,
    })),
  };
}
