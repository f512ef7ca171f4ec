import type { Drawing, Frame, Item } from '../drawing';
import type { Mm } from '../measure';
import {
  IDENTITY,
  TOUCH,
  mapPath,
  overlaps,
  pathBounds,
  shiftPath,
  turnedBounds,
  type Path,
  type Point,
} from '../layout';

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
