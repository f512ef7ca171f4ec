import { ellipsePath, linePath, rectPath, type Item, type Path } from '../drawing';
import type { ImposedFace, ImposedSide } from '../job';
import { IDENTITY, grow, union, type Rect } from '../layout';
import { ptToMm, type Mm } from '../measure';
import { MARK_LENGTH } from '../rules';
import { noteItems, type Face } from '../type';
import { barPatches, type BarInks } from './colour-bar';

const REGISTRATION = { kind: 'registration', tint: 100 } as const;
const WEIGHT = ptToMm(0.25);
/** From what is printed to the marks, and the shortest mark that is worth drawing, mm [cp]. */
const [OFFSET, LEAST] = [1, 2];
/** Half of a register target, mm. */
const ARM = 2.5;
/** Longest side of a patch of the colour bar, mm [cp]. */
const PATCH = 5;
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
  const cuts = cutMarks(taken, room);
  const folds = foldMarks(taken, room, creases);
  const targets = targetMarks(taken, room);
  const above = Math.min(...taken.map(({ seen }) => seen.y)) - room.y;
  const bar = colourBar(room, above - MARK_LENGTH - 2 * OFFSET, inks);
  return [
    ...stroked('cut marks', cuts),
    ...stroked('fold marks', folds, [2, 1]),
    ...stroked('register targets', targets),
    ...bar,
    ...(collating ? [filled('collating mark', collating)] : []),
    ...slugLine(words, type, room, taken),
  ];
}

interface Taken {
  readonly side: ImposedSide;
  readonly seen: Rect;
}

function stroked(from: string, path: Path, dash: readonly Mm[] = []): readonly Item[] {
  if (path.length === 0) return [];
  const stroke = { ink: REGISTRATION, width: WEIGHT, dash, cap: 'butt' as const };
  return [{ kind: 'path', from, opacity: 1, matrix: IDENTITY, path, fill: null, stroke }];
}

const filled = (from: string, rect: Rect): Item => ({
  kind: 'path',
  from,
  opacity: 1,
  matrix: IDENTITY,
  path: rectPath(rect),
  fill: REGISTRATION,
  stroke: null,
});

const unique = (values: readonly number[]): readonly number[] =>
  [...values].sort((a, b) => a - b).filter((v, i, all) => i === 0 || v - (all[i - 1] ?? 0) > 1e-6);

/** A tick at both ends of each line along which trims end, outside everything. */
function cutMarks(taken: readonly Taken[], room: Rect): Path {
  const xs = unique(taken.flatMap(({ side: { trim } }) => [trim.x, trim.x + trim.width]));
  const ys = unique(taken.flatMap(({ side: { trim } }) => [trim.y, trim.y + trim.height]));
  return [...xs.flatMap((x) => tick(x, 'upright', taken, room)), ...ys.flatMap((y) => tick(y, 'level', taken, room))];
}

const foldMarks = (taken: readonly Taken[], room: Rect, { x, y }: SheetMarksRequest['creases']): Path => [
  ...x.flatMap((at) => tick(at, 'upright', taken, room)),
  ...y.flatMap((at) => tick(at, 'level', taken, room)),
];

function tick(at: Mm, way: 'upright' | 'level', taken: readonly Taken[], room: Rect): Path {
  const isUpright = way === 'upright';
  // Outside all that is printed, so that no mark lies among the pieces.
  const from = Math.min(...taken.map(({ seen }) => (isUpright ? seen.y : seen.x)));
  const to = Math.max(...taken.map(({ seen }) => (isUpright ? seen.y + seen.height : seen.x + seen.width)));
  const [start, end] = isUpright ? [room.y, room.y + room.height] : [room.x, room.x + room.width];
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
function targetMarks(taken: readonly Taken[], room: Rect): Path {
  const middle = { x: room.x + room.width / 2, y: room.y + room.height / 2 };
  const places = [
    { x: room.x + ARM, y: middle.y },
    { x: room.x + room.width - ARM, y: middle.y },
    { x: middle.x - 10, y: room.y + ARM },
    { x: middle.x - 10, y: room.y + room.height - ARM },
  ];
  const isFree = ({ x, y }: { x: Mm; y: Mm }) =>
    [union(taken.map(({ seen }) => seen))].every(
      (seen) =>
        x + ARM <= seen.x - OFFSET ||
        x - ARM >= seen.x + seen.width + OFFSET ||
        y + ARM <= seen.y - OFFSET ||
        y - ARM >= seen.y + seen.height + OFFSET,
    );
  return places
    .filter(isFree)
    .flatMap((c) => [
      ...linePath({ x: c.x - ARM, y: c.y }, { x: c.x + ARM, y: c.y }),
      ...linePath({ x: c.x, y: c.y - ARM }, { x: c.x, y: c.y + ARM }),
      ...ellipsePath({ x: c.x - ARM * 0.6, y: c.y - ARM * 0.6, width: ARM * 1.2, height: ARM * 1.2 }),
    ]);
}

/** Patches along the head, where the grippers do not hold the sheet; none where there is no room. */
function colourBar(room: Rect, high: Mm, inks: BarInks): readonly Item[] {
  const patches = barPatches(inks);
  const size = Math.min(PATCH, high, room.width / Math.max(1, patches.length));
  if (size < LEAST) return [];
  // Beside the middle, so that it leaves the register target free.
  const left = room.x + room.width / 2 + 2 * ARM;
  const wide = Math.min(size, (room.x + room.width - left) / patches.length);
  return patches.map((fill, i) => ({
    kind: 'path',
    from: 'colour bar',
    opacity: 1,
    matrix: IDENTITY,
    path: rectPath({ x: left + i * wide, y: room.y, width: wide, height: size }),
    fill,
    stroke: null,
  }));
}

/** Job, sheet, face and date along the head, before the middle. */
function slugLine(words: string, type: Face | undefined, room: Rect, taken: readonly Taken[]): readonly Item[] {
  if (!type) return [];
  const { items, height } = noteItems(
    {
      text: words,
      sizePt: SLUG_PT,
      at: { x: room.x, y: room.y },
      width: room.width / 2 - 15,
      ink: REGISTRATION,
      from: 'slug line',
    },
    type,
  );
  const above = Math.min(...taken.map(({ seen }) => seen.y)) - room.y;
  return height + OFFSET <= above ? items : [];
}
