import { finishRepeated, repeatPlaces } from '../core/compose';
import type { Drawing } from '../core/drawing';
import type { Repeats } from '../core/format';
import { translation } from '../core/layout';
import { counted, formatNumber } from '../core/measure';
import type { Form, PagePart, PdfPage, PdfRequest, PlacedForm } from '../paint/pdf';
import { collectGarbage } from './collect-garbage';
import type { Desk, DeskSide } from './desk';
import type { Progress } from './file';
import { markedSheet, pageOf, pressPage, pressPictures, pressRequest } from './press-page';
import { RecordFaults, differing, drawnRecords, recordsOf, type DrawnRecord } from './records';
import { MaskShelf } from './request-parts';
import { artOfCopies, processParts } from './side-parts';

/** Pages that some copies make, and the sides that are drawn for them. */
export interface CopyPages {
  readonly sides: readonly DeskSide[];
  readonly pages: readonly PdfPage[];
}

/** A file whose pages are made one after the other, from copies that differ. */
export async function requestOfCopies(
  desk: Desk,
  at: Date,
  kind: string,
  made: Iterable<CopyPages>,
): Promise<PdfRequest> {
  const shelf = pressPictures(desk);
  const masks = new MaskShelf(desk);
  await shelf.hold(desk.sides);
  await masks.take(desk.sides);
  async function* further(): AsyncGenerator<PdfPage> {
    for (const { sides, pages } of made) {
      await shelf.take(sides);
      await masks.take(sides);
      yield* pages;
    }
  }
  return {
    ...(await pressRequest(desk, at, kind)),
    pages: [],
    further: { pages: further(), like: desk.sides.map((side) => pressPage(desk, side, at)) },
    picture: shelf.picture,
    softMask: masks.mask,
  };
}

/** The press file of copies that differ: a page a side of each, or sheets of labels with a record on each label. */
export const copiesRequest = (desk: Desk, at: Date, progress: Progress): Promise<PdfRequest> =>
  requestOfCopies(desk, at, 'press', copyPages(desk, at, progress));

/** After so many it is told how far it is, and memory is given back. */
const STEP = { record: 1000, sheet: 50 } as const;

/** Tells now and then how far it is. */
export function told(
  progress: Progress,
  { done, of, what }: { readonly done: number; readonly of: number; readonly what: keyof typeof STEP },
): void {
  if (done % STEP[what] !== 0) return;
  collectGarbage();
  progress(done / of, `${what === 'record' ? 'Record' : 'Sheet'} ${formatNumber(done + 1, 0)} of ${counted(of, what)}`);
}

function* copyPages(desk: Desk, at: Date, progress: Progress): Generator<CopyPages> {
  const { count } = recordsOf(desk);
  const faults = new RecordFaults(desk);
  const art = artOfCopies(differing(desk));
  const around = new Map(desk.sides.map((side) => [side.surface, marksOnce(desk, side, at)]));
  const sheets = desk.sides.flatMap((side) => labelSheet(desk, side, art, around.get(side.surface)));
  const onSheets = new Set(sheets.flatMap(({ names }) => names));
  for (const record of drawnRecords(desk)) {
    faults.take(record);
    told(progress, { done: record.index, of: count, what: 'record' });
    // Once something is wrong there is no file: the others are looked through, so that all of it is told at once.
    if (faults.any) continue;
    for (const sheet of sheets) yield* sheet.take(record, record.index + 1 === count);
    const own = record.sides.filter(({ surface }) => !onSheets.has(surface.name));
    if (own.length > 0)
      yield {
        sides: own,
        pages: own.map((side) => {
          const marks = around.get(side.surface);
          const page = pageOf(side, [...art(side), ...processParts(side), ...(marks?.parts ?? [])], {
            sheet: marks?.sheet ?? side.surface.boxes.trim,
            items: [],
          });
          return { ...page, label: `${record.index + 1} ${side.surface.name}` };
        }),
      };
  }
  faults.refuse();
  progress(1, 'Done');
}

/** What lies around a side, as a form that lies in the file once. */
function marksOnce(desk: Desk, side: DeskSide, at: Date) {
  const { sheet, items } = markedSheet(desk, side, at);
  const form: Form = { parts: [{ items }], region: sheet };
  const parts: readonly PagePart[] = [{ placed: [{ form, matrix: translation(0, 0), clip: sheet }] }];
  return { sheet, parts };
}

/** A side that shows another again, and fills with one record after the other. */
interface LabelSheet {
  /** The sides that it takes. */
  readonly names: readonly string[];
  readonly take: (record: DrawnRecord, isLast: boolean) => Generator<CopyPages>;
}

function labelSheet(
  desk: Desk,
  sheet: DeskSide,
  art: ReturnType<typeof artOfCopies>,
  around: ReturnType<typeof marksOnce> | undefined,
): readonly LabelSheet[] {
  const { repeats } = sheet.surface;
  const source =
    repeats && desk.sides.find(({ surface, piece }) => surface.name === repeats.surface && piece === sheet.piece);
  if (!repeats || !source) return [];
  const places = repeatPlaces(source.surface.boxes, repeats.at, sheet.surface.boxes);
  let waiting: DeskSide[] = [];
  let first = 1;
  const page = (): PdfPage => {
    const placed = waiting.flatMap((side, i): readonly PlacedForm[] => {
      const place = places[i];
      if (!place) return [];
      const { x, y } = place.at;
      const { seen } = place;
      const form: Form = { parts: art(side), region: side.surface.boxes.bleed, isOnce: true };
      return [{ form, matrix: translation(x, y), clip: { ...seen, x: seen.x + x, y: seen.y + y } }];
    });
    const own = { ...sheet, drawing: withFinishOf(sheet.drawing, source.drawing, repeats, waiting) };
    const parts = [{ placed }, { items: sheet.drawing.frames.flatMap(({ items }) => items) }, ...processParts(own)];
    const made = pageOf(sheet, [...parts, ...(around?.parts ?? [])], {
      sheet: around?.sheet ?? sheet.surface.boxes.trim,
      items: [],
    });
    return { ...made, label: `${first} to ${first + waiting.length - 1}` };
  };
  const take = function* (record: DrawnRecord, isLast: boolean): Generator<CopyPages> {
    const side = record.sides.find(({ surface }) => surface === source.surface);
    if (side) waiting.push(side);
    if (waiting.length < places.length && !isLast) return;
    yield { sides: waiting, pages: [page()] };
    first += waiting.length;
    waiting = [];
  };
  return [{ names: [sheet.surface.name, source.surface.name], take }];
}

/** A sheet with the drawn lines and coatings of the copies on it in place of those that all have in common. */
function withFinishOf(sheet: Drawing, like: Drawing, { at }: Repeats, copies: readonly DeskSide[]): Drawing {
  const own = <T>(all: readonly T[], each: readonly T[]): readonly T[] =>
    all.slice(0, all.length - each.length * at.length);
  const there = copies.flatMap(({ drawing }, i) => {
    const place = at[i];
    return place ? [finishRepeated(drawing, [place])] : [];
  });
  return {
    ...sheet,
    lines: [...own(sheet.lines, like.lines), ...there.flatMap(({ lines }) => lines)],
    coats: [...own(sheet.coats, like.coats), ...there.flatMap(({ coats }) => coats)],
  };
}
