import { itemsWithin, plateNames, spotsIn, itemsOf } from '../core/drawing';
import { imposed, rulesFor, type ImposedFace, type ImposedSheet, type ImposedSide, type Piece } from '../core/job';
import { placeMatrix, printable } from '../core/impose';
import { grow, multiply, translation, union, type Rect } from '../core/layout';
import { finishLayers, finishesOn, sheetMarks } from '../core/marks';
import { SLUG_FACE } from '../core/compose';
import { writePdf, type Form, type PdfPage, type PlacedForm } from '../paint/pdf';
import { CannotExport } from './cannot-export';
import { cuttingFiles } from './cutting-files';
import type { Desk, DeskSide } from './desk';
import type { OutputFile, Progress } from './file';
import { fileStem } from './file-name';
import { commonParts, encodePictures, fileId } from './pdf-request';
import { pressPicture } from './pictures';
import { outputProfile } from './profiles';
import { documentsInInks } from './request-parts';

/** Pieces on the sheets of the press, a page a form, and the programme of the knife for those that it parts. */
export async function pressSheetFiles(desk: Desk, at: Date, progress: Progress): Promise<readonly OutputFile[]> {
  const { job, profile } = desk;
  const [first] = job.pieces;
  if (!first) throw new CannotExport('The job has no piece. Begin one under Size.');
  progress(0.05, 'Laying out the sheets');
  const laid = job.pieces.map((piece) => ({ piece, sheets: sheetsOf(desk, piece) }));
  const converter = profile.pictures();
  const picture = await encodePictures(
    desk,
    (ppi) => ppi,
    (bytes, use) => pressPicture(bytes, use.asset, use.size, converter, use.treatment),
    (share, step) => progress(0.1 + 0.75 * share, step),
  );
  progress(0.88, 'Writing the sheets');
  const forms = formsOf(desk);
  const pages = laid.flatMap(({ piece, sheets }) =>
    sheets.flatMap((sheet) => sheet.faces.map((face) => sheetPage(desk, { piece, sheet, face, forms, at }))),
  );
  const bytes = await writePdf({
    pages,
    purpose: { kind: 'press' },
    metadata: { title: `${job.name}, press sheets`, at, id: fileId(job, at, 'sheets') },
    profile: await outputProfile(job, rulesFor(job, first).profile, desk.assets),
    ...(await commonParts(desk)),
    document: await documentsInInks(desk),
    picture,
  });
  const stem = fileStem(job.name);
  progress(0.95, 'Writing the programme of the knife');
  const cutting = cuttingFiles(
    desk,
    laid.flatMap(({ sheets }) => sheets),
  );
  progress(1, 'Done');
  return [{ name: `${stem}-sheets.pdf`, type: 'application/pdf', bytes }, ...cutting];
}

function sheetsOf({ job }: Desk, piece: Piece): readonly ImposedSheet[] {
  const made = imposed(job, piece);
  if (!made.ok) throw new CannotExport(made.message);
  return made.sheets;
}

/** Every side as it is set down on sheets: artwork to the end of its bleed, and its layers; no marks. */
function formsOf({ sides }: Desk): (piece: Piece, surface: string) => { readonly form: Form; readonly side: DeskSide } {
  const made = new Map(
    sides.map((side) => {
      const { piece, surface, drawing, rules } = side;
      const layers = finishLayers(finishesOn(piece, surface, drawing), rules);
      const form: Form = {
        parts: [{ items: itemsWithin(drawing, surface.boxes.bleed) }, ...layers.map((layer) => ({ layer }))],
        region: surface.boxes.bleed,
      };
      return [`${piece.id} ${surface.name}`, { form, side }] as const;
    }),
  );
  return (piece, surface) => {
    const found = made.get(`${piece.id} ${surface}`);
    if (!found) throw new Error(`There is no ${surface}.`);
    return found;
  };
}

interface SheetFace {
  readonly piece: Piece;
  readonly sheet: ImposedSheet;
  readonly face: ImposedFace;
  readonly forms: ReturnType<typeof formsOf>;
  readonly at: Date;
}

function sheetPage({ job, fonts }: Desk, { piece, sheet, face, forms, at }: SheetFace): PdfPage {
  const whole: Rect = { x: 0, y: 0, ...sheet.size };
  const placed = face.sides.map((side): PlacedForm => {
    const { form, side: drawn } = forms(piece, side.surface);
    return { form, matrix: sideMatrix(side, drawn), clip: grow(side.trim, side.bleed) };
  });
  const sides = [...new Set(face.sides.map(({ surface }) => surface))].map((surface) => forms(piece, surface).side);
  const items = sides.flatMap(({ drawing }) => itemsOf(drawing));
  const words = [job.name, sheet.name, face.name, at.toISOString().slice(0, 10)].join('   ·   ');
  const { creases } = sheet;
  const { width } = sheet.size;
  // The inner form is seen from behind.
  const onFace = creases && face.name === 'inner' ? { ...creases, x: creases.x.map((x) => width - x) } : creases;
  const marks = sheetMarks({
    face,
    room: printable(sheet.room, sheet.work),
    words,
    type: fonts.set.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic),
    inks: { plates: plateNames(items), spots: spotsIn(items) },
    creases: onFace ?? { x: [], y: [] },
  });
  return {
    parts: [{ placed }, { items: marks }],
    // What is cut or folded, all of it: marks lie outside.
    trim: union(face.sides.map(({ trim }) => trim)),
    bleed: union(placed.map(({ clip }) => clip)),
    sheet: whole,
    label: `${sheet.name}, ${face.name}`,
  };
}

/** From mm of a side to mm of its sheet. */
function sideMatrix(side: ImposedSide, { surface }: DeskSide) {
  const { trim } = surface.boxes;
  return multiply(placeMatrix(side), translation(side.shift - trim.x, -trim.y));
}
