import { leavesOf, type Coat, type DrawnLine, type Frame, type Item, type Leaf, type Note } from '../drawing';
import { mmOf, readPathData } from '../element';
import type { Course, Finishing, FinishingOf } from '../finish';
import {
  bandOf,
  boxRect,
  intersectionPath,
  isMissing,
  mapPath,
  multiply,
  offsetPath,
  pathBounds,
  rectPath,
  subPaths,
  unionOf,
  type Matrix,
  type Path,
  type Point,
  type Rect,
} from '../layout';
import { ptToMm } from '../measure';
import { solidInk } from './ink';
import type { ElementContext } from './context';

/** What is done to a side beyond printing, solved. */
export interface Finished {
  readonly lines: readonly DrawnLine[];
  readonly coats: readonly Coat[];
  readonly notes: readonly Note[];
}

type Around = Pick<ElementContext, 'boxes' | 'fonts' | 'colour'>;

/** Solves the lines and coatings of a side from what lies on it. */
export function composeFinish(finishings: readonly Finishing[], frames: readonly Frame[], around: Around): Finished {
  const found: { lines: DrawnLine[]; coats: Coat[]; notes: Note[] } = { lines: [], coats: [], notes: [] };
  for (const finishing of finishings) {
    const lost = (why: string) => found.notes.push({ kind: 'finish-lost', element: '', finishing: finishing.id, why });
    switch (finishing.does) {
      case 'line': {
        const lines = linesOf(finishing, frames, around);
        if (typeof lines === 'string') lost(lines);
        else found.lines.push(...lines);
        break;
      }
      case 'coat': {
        const outline = coatOutline(finishing, frames, around);
        if (typeof outline === 'string') lost(outline);
        else found.coats.push(coatOf(finishing, outline));
        break;
      }
      case 'flood':
        break;
    }
  }
  return found;
}

/** Path data as a path; what cannot be read has no outline, and a note says so. */
function pathFrom(data: string): Path {
  const read = readPathData(data);
  return read.ok ? read.path : [];
}

/** An area of a side: a path and the rule that tells its inside. */
interface Outline {
  readonly path: Path;
  readonly rule: 'nonzero' | 'evenodd';
}

const coatOf = ({ id, coating, knocksOut, tint, strokePt }: FinishingOf<'coat'>, outline: Outline): Coat => ({
  id,
  coating,
  ...outline,
  ...(knocksOut && { knocksOut }),
  ...(tint !== undefined && tint < 100 && { tint }),
  ...(strokePt !== undefined && { stroke: ptToMm(strokePt) }),
});

/** @returns in words why there is none */
function coatOutline({ of, spread }: FinishingOf<'coat'>, frames: readonly Frame[], around: Around): Outline | string {
  const by = mmOf(spread, around.boxes.measures);
  const grown = (outline: Outline | string): Outline | string => {
    if (typeof outline === 'string') return outline;
    const path =
      by === 0 ? outline.path : offsetPath(outline.rule === 'nonzero' ? outline.path : unionOf([outline]), by);
    return path.length > 0 ? { path, rule: by === 0 ? outline.rule : 'nonzero' } : 'nothing is left of it';
  };
  switch (of.from) {
    case 'elements':
      return grown(outlineOf(itemsNamed(of.elements, frames), around));
    case 'picture':
      return grown(tracedOutline(of, frames));
    case 'paint': {
      const meant = solidInk(of.paint, around.colour);
      const leaves = frames.flatMap((frame) => plainLeaves(frame.items)).filter((leaf) => isIn(leaf, meant));
      return leaves.length > 0 ? grown(outlineOf(leaves, around)) : 'nothing has that colour';
    }
    case 'artwork':
      return grown(
        outlineOf(
          frames.flatMap((f) => f.items),
          around,
        ),
      );
    case 'side':
      return grown({ path: rectPath(around.boxes.bleed), rule: 'nonzero' });
    case 'drawing':
      return grown({ path: pathFrom(of.path), rule: 'evenodd' });
  }
}

/** What elements lay down, or would. */
const itemsNamed = (ids: readonly string[], frames: readonly Frame[]): readonly Item[] =>
  frames.filter((f) => ids.includes(f.element)).flatMap((f) => f.unprinted ?? f.items);

/** What is drawn, without shadows and glows. */
const plainLeaves = (items: readonly Item[]): readonly Leaf[] =>
  items.flatMap((item) =>
    item.kind !== 'group'
      ? [item]
      : item.mask && item.items.every((inner) => inner.kind === 'path')
        ? []
        : moved(plainLeaves(item.items), item.matrix),
  );

const moved = (leaves: readonly Leaf[], by: Matrix): readonly Leaf[] =>
  leaves.map((leaf) => ({ ...leaf, matrix: multiply(by, leaf.matrix) }));

function isIn(leaf: Leaf, meant: ReturnType<typeof solidInk>): boolean {
  const ink = leaf.kind === 'path' ? leaf.fill : leaf.kind === 'glyphs' ? leaf.ink : undefined;
  if (ink?.kind !== 'process') return false;
  return JSON.stringify([ink.build, ink.spots ?? []]) === JSON.stringify([meant.build, meant.spots ?? []]);
}

/** The silhouette of items, curves kept where it is one plain area. */
function outlineOf(items: readonly Item[], { fonts }: Pick<Around, 'fonts'>): Outline | string {
  const leaves = plainLeaves(items);
  const [only] = leaves;
  if (!only) return 'what it follows is not there';
  if (leaves.length === 1 && only.kind === 'path' && only.fill && !only.stroke && !only.clip)
    return { path: mapPath(only.path, only.matrix), rule: only.rule ?? 'nonzero' };
  const path = unionOf(leaves.flatMap((leaf) => areasOf(leaf, fonts)));
  return path.length > 0 ? { path, rule: 'nonzero' } : 'it has no outline';
}

function areasOf(leaf: Leaf, fonts: Around['fonts']): readonly Outline[] {
  const areas = plainAreas(leaf, fonts);
  const { clip } = leaf;
  if (!clip) return areas;
  const window = unionOf([clip]);
  return [{ path: intersectionPath(unionOf(areas), window), rule: 'nonzero' }];
}

function plainAreas(leaf: Leaf, fonts: Around['fonts']): readonly Outline[] {
  switch (leaf.kind) {
    case 'path': {
      const { stroke, matrix } = leaf;
      const filled: Outline[] = leaf.fill ? [{ path: mapPath(leaf.path, matrix), rule: leaf.rule ?? 'nonzero' }] : [];
      return stroke
        ? [...filled, { path: mapPath(bandOf(leaf.path, stroke.width, stroke.cap), matrix), rule: 'nonzero' }]
        : filled;
    }
    case 'glyphs': {
      const font = fonts.file(leaf.font);
      if (!font) return [];
      const k = leaf.size / font.unitsPerEm;
      return leaf.glyphs.map((g) => ({
        path: mapPath(font.outline(g.gid), multiply(leaf.matrix, [k, 0, 0, -k, g.x, g.y])),
        rule: 'nonzero',
      }));
    }
    case 'picture':
      return [{ path: mapPath(rectPath(leaf.frame), leaf.matrix), rule: 'nonzero' }];
    case 'page':
      return [{ path: mapPath(rectPath(leaf.image), leaf.matrix), rule: 'nonzero' }];
  }
}

/** The shapes traced in a picture, where it lies now, as far as its frame shows them. */
function tracedOutline(
  { element, shapes }: Extract<FinishingOf<'coat'>['of'], { from: 'picture' }>,
  frames: readonly Frame[],
): Outline | string {
  const picture = leavesOf(itemsNamed([element], frames)).find((leaf) => leaf.kind === 'picture');
  if (picture?.kind !== 'picture') return 'its picture is not there';
  const { image, frame, content, matrix } = picture;
  const set: Matrix = [image.width, 0, 0, image.height, image.x, image.y];
  const whole = mapPath(pathFrom(shapes), content ? multiply(content, set) : set);
  const within = pathBounds(whole);
  const isShown =
    within.x >= frame.x &&
    within.y >= frame.y &&
    within.x + within.width <= frame.x + frame.width &&
    within.y + within.height <= frame.y + frame.height;
  const path = isShown ? whole : intersectionPath(unionOf([{ path: whole, rule: 'evenodd' }]), rectPath(frame));
  return path.length > 0
    ? { path: mapPath(path, matrix), rule: isShown ? 'evenodd' : 'nonzero' }
    : 'none of its shapes is seen';
}

/** @returns in words why there is none */
function linesOf(
  { id, process, course, past }: FinishingOf<'line'>,
  frames: readonly Frame[],
  around: Around,
): readonly DrawnLine[] | string {
  switch (course.course) {
    case 'straight':
    case 'divide': {
      if (isMissing(course.against, around.boxes)) return 'the box it stands against is not there';
      const box = boxRect(course.against, around.boxes);
      return placesOf(course, box, around).map((at) => ({ id, process, ...across(box, course.way, at, past) }));
    }
    case 'outline': {
      const items = itemsNamed(course.elements, frames);
      const by = mmOf(course.offset, around.boxes.measures);
      const open = leavesOf(items).flatMap((leaf) =>
        leaf.kind === 'path' && !leaf.fill ? [mapPath(leaf.path, leaf.matrix)] : [],
      );
      if (by === 0 && open.length > 0 && open.length === leavesOf(items).length)
        return open.flatMap((path) => asLines(id, process, path));
      const outline = outlineOf(items, around);
      if (typeof outline === 'string') return outline;
      const path = by === 0 ? outline.path : offsetPath(unionOf([outline]), by);
      return path.length > 0 ? asLines(id, process, path) : 'nothing is left of it';
    }
    case 'drawing':
      return asLines(id, process, pathFrom(course.path));
  }
}

type Straight = Extract<Course, { course: 'straight' | 'divide' }>;

/** Where straight lines stand along the box, mm from the trim’s corner. */
function placesOf(course: Straight, box: Rect, { boxes }: Pick<Around, 'boxes'>): readonly number[] {
  const [start, size] = course.way === 'upright' ? [box.x, box.width] : [box.y, box.height];
  if (course.course === 'divide')
    return Array.from({ length: course.into - 1 }, (_, i) => start + (size * (i + 1)) / course.into);
  const at = mmOf(course.at, boxes.measures);
  return [at < 0 ? start + size + at : start + at];
}

function across(
  box: Rect,
  way: Straight['way'],
  at: number,
  past: number,
): { readonly from: Point; readonly to: Point } {
  return way === 'upright'
    ? { from: { x: at, y: box.y - past }, to: { x: at, y: box.y + box.height + past } }
    : { from: { x: box.x - past, y: at }, to: { x: box.x + box.width + past, y: at } };
}

/** Each part of a path as a line of its own; its ends are told, for ticks and fields. */
const asLines = (id: string, process: DrawnLine['process'], path: Path): readonly DrawnLine[] =>
  subPaths(path).map((part) => {
    const [first, last] = [part[0], part.findLast((s) => s[0] !== 'Z')];
    const start = first && first[0] !== 'Z' ? { x: first[1], y: first[2] } : { x: 0, y: 0 };
    const end = last ? endOf(last) : start;
    return { id, process, from: start, to: end, path: part };
  });

function endOf(segment: Path[number]): Point {
  switch (segment[0]) {
    case 'M':
    case 'L':
      return { x: segment[1], y: segment[2] };
    case 'C':
      return { x: segment[5], y: segment[6] };
    case 'Z':
      return { x: 0, y: 0 };
  }
}
