import { linePath, type Path, type Point, type Rect } from '../geometry';
import type { Mm } from '../measure';
import type { Size } from '../paper';

/** From the trim to the marks where there is no bleed, mm [cp]. */
const OFFSET = 1;
/** Length of a mark, mm: as long as there is room, at least so long [cp]. */
const MOST_LONG = 5;
const LEAST_LONG = 2.5;

export interface DeskSheetRequest {
  readonly trim: Size;
  /** What the piece bleeds, at most, mm. */
  readonly bleed: Mm;
  /** Either way round. */
  readonly sheet: Size;
  /** Rim that the printer cannot print, mm. */
  readonly edge: Mm;
  /** Between pieces, mm; 0 where one cut parts two. */
  readonly gap: Mm;
  readonly marks: boolean;
  /** Left out, as many as fit. */
  readonly across?: number | undefined;
  readonly down?: number | undefined;
}

export interface DeskSheet {
  /** As it lies under the pieces. */
  readonly sheet: Size;
  readonly across: number;
  readonly down: number;
  /** Top left corners of the trimmed pieces, row by row, mm from the sheet’s corner. */
  readonly places: readonly Point[];
  /** How much of its bleed a piece keeps at each edge is half a gap, or this outside. */
  readonly bleedOutside: Mm;
  readonly bleedInside: Mm;
  /** Where to cut, outside the block of pieces. */
  readonly marks: readonly Path[];
  readonly working: readonly string[];
}

export type DeskSheetResult =
  { readonly ok: true; readonly sheet: DeskSheet } | { readonly ok: false; readonly message: string };

/**
 * Several of a piece on a desk printer’s sheet, in columns and rows, with marks to cut by; the sheet is turned where
 * more fit. @param write puts a length into words
 */
export function deskSheet(request: DeskSheetRequest, write: (mm: Mm) => string): DeskSheetResult {
  const { trim, sheet, edge, gap, marks } = request;
  const clear = marks ? offsetOf(request) + LEAST_LONG : 0;
  const most = (piece: Mm, room: Mm, rim: Mm) =>
    Math.max(0, Math.floor((room - 2 * (edge + rim) + gap + 1e-9) / (piece + gap)));
  const ways = [sheet, { width: sheet.height, height: sheet.width }].map((size) => {
    const [across, down] = [most(trim.width, size.width, clear), most(trim.height, size.height, clear)];
    return { size, across, down, up: across * down };
  });
  const asked = ({ across, down }: { readonly across: number; readonly down: number }) =>
    across >= (request.across ?? 1) && down >= (request.down ?? 1);
  const fitting = ways.filter(asked).sort((a, b) => b.up - a.up);
  const [best] = fitting;
  if (!best || best.up === 0)
    return {
      ok: false,
      message: whyNot(
        request,
        ways.some((w) => most(trim.width, w.size.width, 0) * most(trim.height, w.size.height, 0) > 0),
        write,
      ),
    };
  const [across, down] = [request.across ?? best.across, request.down ?? best.down];
  const { size } = best;
  const block: Rect = {
    width: across * (trim.width + gap) - gap,
    height: down * (trim.height + gap) - gap,
    x: 0,
    y: 0,
  };
  const at = { x: (size.width - block.width) / 2, y: (size.height - block.height) / 2 };
  const places = Array.from({ length: across * down }, (_, i): Point => ({
    x: at.x + (i % across) * (trim.width + gap),
    y: at.y + Math.floor(i / across) * (trim.height + gap),
  }));
  const room = Math.min(at.x, at.y) - edge;
  const bleedOutside = Math.max(0, Math.min(request.bleed, room));
  return {
    ok: true,
    sheet: {
      sheet: size,
      across,
      down,
      places,
      bleedOutside,
      bleedInside: Math.min(request.bleed, gap / 2),
      marks: marks
        ? cutMarks(request, { ...block, ...at }, { across, down, size, offset: Math.max(OFFSET, bleedOutside) })
        : [],
      working: [
        `across: floor((${write(size.width)} − 2 × ${write(edge + clear)} + ${write(gap)}) ÷ ` +
          `(${write(trim.width)} + ${write(gap)})) = ${best.across}`,
        `down: floor((${write(size.height)} − 2 × ${write(edge + clear)} + ${write(gap)}) ÷ ` +
          `(${write(trim.height)} + ${write(gap)})) = ${best.down}`,
        `${across} × ${down} = ${across * down} up; ${write(at.x)} left and right, ${write(at.y)} above and below`,
      ],
    },
  };
}

const offsetOf = ({ bleed }: DeskSheetRequest): Mm => Math.max(OFFSET, bleed);

function whyNot(
  { trim, sheet, across, down, gap }: DeskSheetRequest,
  fitsBare: boolean,
  write: (mm: Mm) => string,
): string {
  const piece = `${write(trim.width)} × ${write(trim.height)}`;
  if (across !== undefined || down !== undefined)
    return (
      `${across ?? 'any number'} across and ${down ?? 'any number'} down do not fit: ask for fewer, or make ` +
      `the gap of ${write(gap)} smaller.`
    );
  if (fitsBare)
    return `There is no room for marks beside a piece of ${piece}: print without marks, or on a larger sheet.`;
  return `A piece of ${piece} is larger than what the printer prints, ${write(sheet.width)} × ${write(sheet.height)}.`;
}

interface Laid {
  readonly across: number;
  readonly down: number;
  readonly size: Size;
  readonly offset: Mm;
}

/** A mark at both ends of every cut, none of it over a piece; as long as the printer prints. */
function cutMarks(
  { trim, gap, edge }: DeskSheetRequest,
  block: Rect,
  { across, down, size, offset }: Laid,
): readonly Path[] {
  const cuts = (n: number, piece: Mm) => {
    const found = Array.from({ length: n }, (_, i) => [i * (piece + gap), i * (piece + gap) + piece]).flat();
    return found.filter((c, i) => i === 0 || c - (found[i - 1] ?? 0) > 1e-6);
  };
  const [right, bottom] = [block.x + block.width, block.y + block.height];
  const long = (room: Mm) => Math.max(0, Math.min(MOST_LONG, room - edge - offset));
  const [aside, above] = [long(block.x), long(Math.min(block.y, size.height - bottom))];
  return [
    ...cuts(across, trim.width).flatMap((c) => {
      const x = block.x + c;
      return [
        linePath({ x, y: block.y - offset - above }, { x, y: block.y - offset }),
        linePath({ x, y: bottom + offset }, { x, y: bottom + offset + above }),
      ];
    }),
    ...cuts(down, trim.height).flatMap((c) => {
      const y = block.y + c;
      return [
        linePath({ x: block.x - offset - aside, y }, { x: block.x - offset, y }),
        linePath({ x: right + offset, y }, { x: right + offset + aside, y }),
      ];
    }),
  ];
}
