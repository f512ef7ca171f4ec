import { itemsOf, type GroupItem, type Item } from '../core/drawing';
import { deskSheet, type DeskSheet } from '../core/impose';
import { deskRequest, type DeskOutput } from '../core/job';
import { grow, rectPath, translation, type Rect } from '../core/layout';
import { formatLength, ptToMm } from '../core/measure';
import type { PdfPage } from '../paint/pdf';
import { CannotExport } from './cannot-export';
import type { Desk, DeskSide } from './desk';
import { deskPdf } from './desk-pdf';
import type { Progress } from './file';
import type { OutputFile } from './file';

/** Several of the piece, or its sides one after another, on a desk printer’s sheets with marks to cut by. */
export const deskSheetFile = (desk: Desk, at: Date, progress: Progress): Promise<OutputFile> =>
  deskPdf(desk, at, progress, { what: 'desk', pages: () => sheetsOf(desk, desk.job.output.desk) });

/** Sides of one size go together; each fills sheets alone, or all of them fill sheets in their order. */
function sheetsOf(desk: Desk, settings: DeskOutput | undefined): readonly PdfPage[] {
  const groups = new Map<string, DeskSide[]>();
  for (const side of desk.sides) {
    const { width, height } = side.surface.boxes.trim;
    const key = `${side.piece.id} ${width} ${height}`;
    groups.set(key, [...(groups.get(key) ?? []), side]);
  }
  return [...groups.values()].flatMap((sides) => {
    const [first] = sides;
    if (!first) return [];
    const write = (mm: number) => formatLength(mm, desk.job.unit);
    const laid = deskSheet(deskRequest(desk.job, first.surface.boxes.trim), write);
    if (!laid.ok) throw new CannotExport(laid.message);
    const { sheet } = laid;
    const up = sheet.places.length;
    if (settings?.fill !== 'each')
      return sides.map((side) =>
        pageOf(
          sheet,
          Array.from({ length: up }, () => side),
        ),
      );
    return Array.from({ length: Math.ceil(sides.length / up) }, (_, n) =>
      pageOf(sheet, sides.slice(n * up, (n + 1) * up)),
    );
  });
}

function pageOf(laid: DeskSheet, sides: readonly DeskSide[]): PdfPage {
  const whole: Rect = { x: 0, y: 0, ...laid.sheet };
  const pieces = sides.flatMap((side, i): readonly Item[] => {
    const place = laid.places[i];
    return place ? [pieceAt(laid, side, i, place)] : [];
  });
  const marks: Item = {
    kind: 'path',
    from: 'cut marks',
    opacity: 1,
    matrix: [1, 0, 0, 1, 0, 0],
    path: laid.marks.flat(),
    fill: null,
    stroke: {
      ink: { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: false },
      width: ptToMm(0.25),
      dash: [],
      cap: 'butt',
    },
  };
  return {
    parts: [{ items: pieces }, ...(laid.marks.length > 0 ? [{ items: [marks] }] : [])],
    trim: whole,
    bleed: whole,
    sheet: whole,
  };
}

/** A piece on its place; of its bleed it keeps what its neighbours and the sheet leave. */
function pieceAt(
  laid: DeskSheet,
  side: DeskSide,
  i: number,
  { x, y }: { readonly x: number; readonly y: number },
): GroupItem {
  const { trim } = side.surface.boxes;
  const [column, row] = [i % laid.across, Math.floor(i / laid.across)];
  const edge = (isOuter: boolean) => (isOuter ? laid.bleedOutside : laid.bleedInside);
  const seen = grow(
    { x, y, width: trim.width, height: trim.height },
    {
      left: edge(column === 0),
      right: edge(column === laid.across - 1),
      top: edge(row === 0),
      bottom: edge(row === laid.down - 1),
    },
  );
  return {
    kind: 'group',
    from: side.surface.name,
    opacity: 1,
    matrix: translation(x - trim.x, y - trim.y),
    items: itemsOf(side.drawing),
    region: side.surface.boxes.bleed,
    clip: { path: rectPath(seen), rule: 'nonzero' },
  };
}
