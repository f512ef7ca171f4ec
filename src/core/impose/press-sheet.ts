import { grow, edges, insets, meetingBleeds, union, type EdgeLengths, type Matrix, type Rect } from '../geometry';
import type { Mm } from '../measure';
import type { Size } from '../paper';
import { SAME, movedLayout, piecesIn, tightened, type LaidPiece, type Layout, type Way } from './guillotine';
import { bestPatterns, joined } from './pattern';

/** How the back of a sheet is printed [cp]. */
export const WORK_STYLES = ['sheetwise', 'turn', 'tumble', 'perfecting'] as const;
export type WorkStyle = (typeof WORK_STYLES)[number];

/** A sheet as it goes through a press: its foot is held by the grippers. */
export interface SheetRoom {
  readonly sheet: Size;
  /** At the foot, mm. */
  readonly gripper: Mm;
  /** At the other edges, mm. */
  readonly rim: Mm;
}

/** A piece on a sheet, as one looks at that face of it. */
export interface Place {
  /** Which of those that were asked for. */
  readonly kind: number;
  readonly of: 'front' | 'back';
  /** Its trim, mm from the top left corner of the sheet. */
  readonly trim: Rect;
  /** Turned clockwise by so many quarters. */
  readonly quarters: 0 | 1 | 2 | 3;
  /** How much of its bleed it keeps at each edge of `trim`, mm. */
  readonly bleed: EdgeLengths;
}

/** What one set of plates prints. */
export interface Face {
  /** Of a sheet whose both sides are printed with one set, `both`. */
  readonly name: 'front' | 'back' | 'both';
  readonly places: readonly Place[];
}

/** A sheet with pieces on it. */
export interface PressSheet {
  readonly room: SheetRoom;
  readonly work: WorkStyle;
  readonly faces: readonly Face[];
  /** Copies of each kind that a sheet gives, both its sides printed. */
  readonly up: readonly number[];
  /** Of the trims, for the knife. */
  readonly layout: Layout;
  /** Share of the sheet that becomes pieces, 0 to 1. */
  readonly used: number;
}

/** How pieces lie: as far apart as two bleeds, or as far as one says; 0 where one cut parts two. */
export interface Spacing {
  readonly bleed: Mm;
  readonly gutter: Mm;
}

/** The matrix that sets a piece down, from mm of the piece to mm of the sheet. */
export function placeMatrix({ trim: { x, y, width, height }, quarters }: Pick<Place, 'trim' | 'quarters'>): Matrix {
  switch (quarters) {
    case 0:
      return [1, 0, 0, 1, x, y];
    case 1:
      return [0, 1, -1, 0, x + width, y];
    case 2:
      return [-1, 0, 0, -1, x + width, y + height];
    case 3:
      return [0, -1, 1, 0, x, y + height];
  }
}

/** What of a sheet can be printed: the grippers are at the foot, and at the head too of what is tumbled. */
export function printable({ sheet, gripper, rim }: SheetRoom, work: WorkStyle): Rect {
  const head = work === 'tumble' || work === 'perfecting' ? Math.max(gripper, rim) : rim;
  const foot = Math.max(gripper, rim);
  return { x: rim, y: head, width: sheet.width - 2 * rim, height: sheet.height - head - foot };
}

/** The part that is laid out; with one set of plates for both sides half of the sheet, the other half mirrors it. */
function laidPart(room: SheetRoom, work: WorkStyle): Rect {
  const whole = printable(room, work);
  switch (work) {
    case 'turn':
      return { ...whole, width: room.sheet.width / 2 - whole.x };
    case 'tumble':
      return { ...whole, height: room.sheet.height / 2 - whole.y };
    case 'sheetwise':
    case 'perfecting':
      return whole;
  }
}

/** Room for cells, each a piece with its gutter to its right and below, and where the first of them lies. */
export function cellRoom(room: SheetRoom, work: WorkStyle, { bleed, gutter }: Spacing): Rect {
  const { x, y, width, height } = grow(laidPart(room, work), edges(-bleed));
  return { x, y, width: width + gutter, height: height + gutter };
}

/** A layout of cells, from the corner of their room, on its sheet: both its sides, for plates and knife. */
export function onSheet(
  cells: Layout,
  room: SheetRoom,
  { work, sides, spacing, kinds }: { work: WorkStyle; sides: 1 | 2; spacing: Spacing; kinds: number },
): PressSheet {
  const { gutter, bleed } = spacing;
  const at = cellRoom(room, work, spacing);
  const own = tightened(movedLayout(cells, at.x, at.y), ({ rect }) => ({
    ...rect,
    width: rect.width - gutter,
    height: rect.height - gutter,
  }));
  const half = centred(own, laidPart(room, work), bleed);
  const isOnePlate = sides === 2 && (work === 'turn' || work === 'tumble');
  const across: Way = work === 'tumble' || work === 'perfecting' ? 'level' : 'upright';
  const { sheet } = room;
  const other = mirroredLayout(half, across, sheet);
  const isDoubled = work === 'turn' || work === 'tumble';
  const layout: Layout = isDoubled
    ? joined({ rect: { x: 0, y: 0, ...sheet }, is: 'cut', way: across, parts: [half, other] })
    : half;
  const fronts = piecesIn(half).map((piece) => placeOf(piece, 'front', 0));
  const quarters = across === 'level' ? 2 : 0;
  // In the order of the fronts: the same copy has the same place in both lists.
  const backs = piecesIn(half).map((piece) =>
    placeOf({ ...piece, rect: mirroredRect(piece.rect, across, sheet) }, 'back', quarters),
  );
  const again = piecesIn(other).map((piece) => placeOf(piece, 'front', 0));
  const faces: Face[] = isOnePlate
    ? [{ name: 'both', places: [...fronts, ...backs] }]
    : [
        { name: 'front', places: isDoubled ? [...fronts, ...again] : fronts },
        ...(sides === 2 ? [{ name: 'back' as const, places: backs }] : []),
      ];
  const pieces = piecesIn(layout);
  return {
    room,
    work,
    faces: faces.map(({ name, places }) => ({ name, places: withBleed(places, bleed, printable(room, work)) })),
    up: Array.from({ length: kinds }, (_, kind) => pieces.filter((piece) => piece.kind === kind).length),
    layout,
    used: pieces.reduce((sum, { rect }) => sum + rect.width * rect.height, 0) / (sheet.width * sheet.height),
  };
}

/** One piece as often as it goes on a sheet. */
export function repeated(
  piece: Size,
  room: SheetRoom,
  how: { work: WorkStyle; sides: 1 | 2; spacing: Spacing; stages: number; turns: boolean },
): PressSheet | undefined {
  const { width, height } = cellRoom(room, how.work, how.spacing);
  const { gutter } = how.spacing;
  const kind = { width: piece.width + gutter, height: piece.height + gutter, value: 1, turns: how.turns };
  if (width <= 0 || height <= 0) return undefined;
  const sheets = bestPatterns({ width, height }, [kind], how.stages).flatMap(({ layout, value }) =>
    value > 0 ? [onSheet(layout, room, { ...how, kinds: 1 })] : [],
  );
  // Of those that hold as many, the one whose edges are most even.
  return sheets.reduce<PressSheet | undefined>(
    (best, sheet) =>
      best && unevenEdges(best, how.spacing.bleed) <= unevenEdges(sheet, how.spacing.bleed) ? best : sheet,
    undefined,
  );
}

/** How many pieces end so near to the edge of them all that their bleed crosses it: it is taken for one that is cut. */
function unevenEdges({ faces }: PressSheet, bleed: Mm): number {
  const trims = faces.flatMap(({ places }) => places.map(({ trim }) => trim));
  const all = union(trims);
  return trims.filter((trim) => Object.values(insets(trim, all)).some((mm) => mm > SAME && mm < bleed)).length;
}

/** On the back what was turned one way is turned the other. @param quarters by which the whole sheet is turned over */
const placeOf = ({ rect, kind, isTurned }: LaidPiece, of: Place['of'], quarters: 0 | 2): Place => ({
  kind,
  of,
  trim: rect,
  quarters: (of === 'front' ? (isTurned ? 1 : 0) : (quarters + (isTurned ? 3 : 0)) % 4) as Place['quarters'],
  bleed: edges(0),
});

/** The block of pieces in the middle of what it was laid into. */
function centred(layout: Layout, room: Rect, bleed: Mm): Layout {
  const inner = grow(room, edges(-bleed));
  const { rect } = layout;
  return movedLayout(
    layout,
    inner.x + (inner.width - rect.width) / 2 - rect.x,
    inner.y + (inner.height - rect.height) / 2 - rect.y,
  );
}

const mirroredRect = ({ x, y, width, height }: Rect, about: Way, sheet: Size): Rect =>
  about === 'upright'
    ? { x: sheet.width - x - width, y, width, height }
    : { x, y: sheet.height - y - height, width, height };

/** As one sees it through the sheet, turned over about its upright or its level middle. */
export function mirroredLayout(layout: Layout, about: Way, sheet: Size): Layout {
  const rect = mirroredRect(layout.rect, about, sheet);
  if (layout.is !== 'cut') return { ...layout, rect };
  const parts = layout.parts.map((part) => mirroredLayout(part, about, sheet));
  return { ...layout, rect, parts: layout.way === about ? parts.reverse() : parts };
}

/** Each with the bleed that its neighbours and the sheet leave it. */
function withBleed(places: readonly Place[], bleed: Mm, room: Rect): readonly Place[] {
  const kept = meetingBleeds(
    places.map(({ trim }) => trim),
    edges(bleed),
    room,
  );
  return places.map((place, i) => ({ ...place, bleed: kept[i] ?? place.bleed }));
}
