import type { Mm } from '../measure';
import type { Size } from '../paper';
import type { SheetSize } from '../shop';
import type { SheetFit } from './blank';

export interface FitRequest {
  readonly trim: Size;
  readonly withBleed: Size;
  /** From the trim to the far end of the marks, mm. */
  readonly marks: Mm;
  /** Rim of the sheet that cannot be printed, mm. */
  readonly unprintable: Mm;
  readonly sheet: SheetSize;
}

/**
 * How a piece fits on a sheet: bleed within what can be printed, marks within the sheet, as plain rows and columns
 * whichever way round gives more; the piece is not turned where both give as many.
 */
export function fitOnSheet(request: FitRequest): SheetFit {
  const { trim, withBleed, marks, unprintable, sheet } = request;
  const many = (piece: Mm, bleed: Mm, room: Mm) => {
    const beyond = Math.max(0, marks - (bleed - piece) / 2);
    const inside = Math.min(room - 2 * unprintable, room - 2 * beyond);
    return Math.max(0, Math.floor(inside / bleed + 1e-9));
  };
  const ways = [false, true].map((turned) => {
    const [width, height] = turned ? [sheet.height, sheet.width] : [sheet.width, sheet.height];
    const across = many(trim.width, withBleed.width, width);
    const down = many(trim.height, withBleed.height, height);
    return { turned, width, height, across, down, up: across * down };
  });
  const [plain, quarter] = ways;
  if (!plain || !quarter) throw new RangeError('A sheet has two ways round.');
  // The sheet is turned under the piece, so that the piece keeps its own left and top.
  const isUpright = quarter.up > plain.up || (quarter.up === plain.up && isCloser(quarter, plain, trim));
  const best = isUpright ? quarter : plain;
  const { turned, width, height, across, down, up } = best;
  return {
    sheet: sheet.name,
    width,
    height,
    across,
    down,
    turned,
    up,
    used: (up * trim.width * trim.height) / (sheet.width * sheet.height),
    left: (width - trim.width) / 2,
    top: (height - trim.height) / 2,
    ...(up === 0 && { why: whyNot(request) }),
  };
}

/** Landscape pieces lie on landscape sheets. */
const isCloser = (a: Size, b: Size, trim: Size): boolean =>
  Math.sign(a.width - a.height) === Math.sign(trim.width - trim.height) &&
  Math.sign(b.width - b.height) !== Math.sign(trim.width - trim.height);

function whyNot({ withBleed, trim, marks, unprintable, sheet }: FitRequest): string {
  const [long, short] = [Math.max(sheet.width, sheet.height), Math.min(sheet.width, sheet.height)];
  const fits = (w: Mm, h: Mm, rim: Mm) => Math.max(w, h) <= long - 2 * rim && Math.min(w, h) <= short - 2 * rim;
  if (!fits(trim.width, trim.height, 0)) return 'the piece is larger than the sheet';
  if (!fits(withBleed.width, withBleed.height, 0)) return 'the bleed is larger than the sheet';
  if (!fits(withBleed.width, withBleed.height, unprintable)) return 'the bleed lies in the rim that cannot be printed';
  return fits(trim.width + 2 * marks, trim.height + 2 * marks, 0)
    ? 'it does not fit'
    : 'there is no room for the marks';
}
