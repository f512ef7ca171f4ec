import { linePath, rectPath, type Item, type Path } from '../drawing';
import type { ImposedFace, ImposedSide } from '../job';
import { edges, grow, union, type EdgeLengths, type Point, type Rect } from '../layout';
import type { Mm } from '../measure';
import { MARK_LENGTH } from '../rules';
import { noteItems, type Face } from '../type';
import { barPatches, type BarInks } from './colour-bar';
import { PATCH, REGISTRATION, markArea, markLines, patchRow, targetPath } from './mark-shapes';

/** From what is printed to the marks, and the shortest mark that is worth drawing, mm [cp]. */
const [OFFSET, LEAST] = [1, 2];
/** Half of a register target, mm. */
const ARM = 2.5;
const SLUG_PT = 6;

export interface SheetMarksRequest {
  readonly face: ImposedFace;
  /** What can be printed, mm on the sheet. */
  readonly room: Rect;
  /** In the slug line. */
  readonly words: string;
  readonly type: Face | undefined;
  readonly inks: BarInks;
  /** Where a signature is folded, mm on this face; empty where it is cut. */
  readonly creases: { readonly x: readonly Mm[]; readonly y: readonly Mm[] };
  /** On the spine of a signature, mm on this face. */
  readonly collating?: Rect | undefined;
}

/** What is printed on a press sheet beside its pieces: where to cut and fold, targets, a colour bar, words. */
export function sheetMarks({ face, room, words, type, inks, creases, collating }: SheetMarksRequest): readonly Item[] {
  const taken = face.sides.map((side) => ({ side, seen: grow(side.trim, side.bleed) }));
  const whole = union(taken.map(({ seen }) => seen));
  const slug = type && slugLine(words, type, room, whole);
  // Where words stand no tick runs through them.
  const free = slug ? grow(room, edgesWith(slug.edge, -slug.depth - OFFSET)) : room;
  const above = whole.y - room.y;
  return [
    ...lines('cut marks', cutMarks(taken, whole, free)),
    ...lines('fold marks', foldMarks(whole, free, creases), [2, 1]),
    ...lines('register targets', targetMarks(whole, room)),
    ...colourBar(room, above - MARK_LENGTH - 2 * OFFSET, inks),
    ...(collating ? [markArea('collating mark', rectPath(collating), REGISTRATION)] : []),
    ...(slug?.items ?? []),
  ];
}

type Edge = keyof EdgeLengths;

const edgesWith = (edge: Edge, mm: Mm): EdgeLengths => ({ ...edges(0), [edge]: mm });

interface Taken {
  readonly side: ImposedSide;
  readonly seen: Rect;
}

const lines = (from: string, path: Path, dash?: readonly Mm[]): readonly Item[] =>
  path.length === 0 ? [] : [markLines(from, path, dash)];

const unique = (values: readonly number[]): readonly number[] =>
  [...values].sort((a, b) => a - b).filter((v, i, all) => i === 0 || v - (all[i - 1] ?? 0) > 1e-6);

/** A tick at both ends of each line along which trims end, outside everything. */
function cutMarks(taken: readonly Taken[], whole: Rect, free: Rect): Path {
  const xs = unique(taken.flatMap(({ side: { trim } }) => [trim.x, trim.x + trim.width]));
  const ys = unique(taken.flatMap(({ side: { trim } }) => [trim.y, trim.y + trim.height]));
  return [...xs.flatMap((x) => tick(x, 'upright', whole, free)), ...ys.flatMap((y) => tick(y, 'level', whole, free))];
}

const foldMarks = (whole: Rect, free: Rect, { x, y }: SheetMarksRequest['creases']): Path => [
  ...x.flatMap((at) => tick(at, 'upright', whole, free)),
  ...y.flatMap((at) => tick(at, 'level', whole, free)),
];

/** Outside all that is printed, so that no mark lies among the pieces; none where too little room is free. */
function tick(at: Mm, way: 'upright' | 'level', whole: Rect, free: Rect): Path {
  const isUpright = way === 'upright';
  const [from, to] = isUpright ? [whole.y, whole.y + whole.height] : [whole.x, whole.x + whole.width];
  const [start, end] = isUpright ? [free.y, free.y + free.height] : [free.x, free.x + free.width];
  const before = Math.min(MARK_LENGTH, from - OFFSET - start);
  const after = Math.min(MARK_LENGTH, end - to - OFFSET);
  const line = (a: Mm, b: Mm) =>
    isUpright ? linePath({ x: at, y: a }, { x: at, y: b }) : linePath({ x: a, y: at }, { x: b, y: at });
  return [
    ...(before >= LEAST ? line(from - OFFSET - before, from - OFFSET) : []),
    ...(after >= LEAST ? line(to + OFFSET, to + OFFSET + after) : []),
  ];
}

/** A circle and a cross at the middle of each side of the sheet, where nothing lies. */
function targetMarks(whole: Rect, room: Rect): Path {
  const middle = { x: room.x + room.width / 2, y: room.y + room.height / 2 };
  const places = [
    { x: room.x + ARM, y: middle.y },
    { x: room.x + room.width - ARM, y: middle.y },
    { x: middle.x - 10, y: room.y + ARM },
    { x: middle.x - 10, y: room.y + room.height - ARM },
  ];
  return places
    .filter(
      ({ x, y }) =>
        x + ARM <= whole.x - OFFSET ||
        x - ARM >= whole.x + whole.width + OFFSET ||
        y + ARM <= whole.y - OFFSET ||
        y - ARM >= whole.y + whole.height + OFFSET,
    )
    .flatMap((at) => targetPath(at, ARM));
}

/** Patches along the head, where the grippers do not hold the sheet; none where there is no room. */
function colourBar(room: Rect, high: Mm, inks: BarInks): readonly Item[] {
  const patches = barPatches(inks);
  const size = Math.min(PATCH, high, room.width / Math.max(1, patches.length));
  if (size < LEAST) return [];
  // Beside the middle, so that it leaves the register target free.
  const left = room.x + room.width / 2 + 2 * ARM;
  const wide = Math.min(size, (room.x + room.width - left) / patches.length);
  return patchRow(patches, { x: left, y: room.y }, { width: wide, height: size });
}

/** From the middle of an edge, where a target may be, to the words beside it, mm. */
const BESIDE = 15;

/** Words on an edge of the sheet, and how far they reach into it, mm. */
interface Slug {
  readonly edge: Edge;
  readonly depth: Mm;
  readonly items: readonly Item[];
}

/**
 * Job, sheet, face and date: along the first edge that has room for them and for ticks, the head before the foot and
 * the sides.
 * @returns undefined where no edge has
 */
function slugLine(words: string, type: Face, room: Rect, whole: Rect): Slug | undefined {
  const [right, bottom] = [room.x + room.width, room.y + room.height];
  const level = room.width / 2 - BESIDE;
  const upright = room.height / 2 - BESIDE;
  const set = (at: Point, width: Mm, turn = 0) =>
    noteItems({ text: words, sizePt: SLUG_PT, at, width, ink: REGISTRATION, from: 'slug line', turn }, type);
  const deep = set(room, level).height;
  // On a side they are turned about their middle, which lies in its lower half.
  const aside = set(room, upright).height;
  const turned = (x: Mm) => set({ x: x - upright / 2, y: bottom - upright / 2 - aside / 2 }, upright, -90).items;
  const places: readonly (Omit<Slug, 'items'> & { readonly free: Mm; readonly items: () => readonly Item[] })[] = [
    { edge: 'top', depth: deep, free: whole.y - room.y, items: () => set(room, level).items },
    {
      edge: 'bottom',
      depth: deep,
      free: bottom - whole.y - whole.height,
      items: () => set({ x: room.x, y: bottom - deep }, level).items,
    },
    { edge: 'left', depth: aside, free: whole.x - room.x, items: () => turned(room.x + aside / 2) },
    { edge: 'right', depth: aside, free: right - whole.x - whole.width, items: () => turned(right - aside / 2) },
  ];
  const found = places.find(({ depth, free }) => depth + OFFSET + LEAST + OFFSET <= free);
  return found && { ...found, items: found.items() };
}
