import { imposed, type ImposedSheet, type Piece } from '../core/job';
import { pdfParts, writePdf, type Form } from '../paint/pdf';
import { CannotExport } from './cannot-export';
import { cuttingFiles } from './cutting-files';
import type { Desk, DeskSide } from './desk';
import type { MadeFile, Progress } from './file';
import { fileStem } from './file-name';
import { gangFiles, type GuestDesk } from './gang';
import { requestOfCopies, told, type CopyPages } from './press-copies';
import { pressPictures, pressRequest } from './press-page';
import { RecordFaults, differing, drawnRecords, recordsOf, type DrawnRecord } from './records';
import { sheetPage, type DrawnForm } from './sheet-page';
import { artOfCopies, processParts, sideParts } from './side-parts';

/** Pieces on the sheets of the press, a page a form, and the programme of the knife for those that it parts. */
export async function pressSheetFiles(
  desk: Desk,
  at: Date,
  progress: Progress,
  guests: readonly GuestDesk[] = [],
): Promise<readonly MadeFile[]> {
  const { document } = desk;
  if (document.pieces.length === 0) throw new CannotExport('The job has no piece. Begin one under Size.');
  if (guests.length > 0) return gangFiles(desk, guests, at, progress);
  progress(0.05, 'Laying out the sheets');
  const laid = document.pieces.map((piece) => ({ piece, sheets: sheetsOf(desk, piece) }));
  const cutting = await cuttingFiles(
    desk,
    laid.flatMap(({ sheets }) => sheets),
    at,
  );
  const named = { name: `${fileStem(document.name)}-sheets.pdf`, type: 'application/pdf' } as const;
  if (document.records) {
    const pages = laid.flatMap(({ piece, sheets }) => runsOf(sheets).map((run) => ({ piece, run })));
    const request = await requestOfCopies(desk, at, 'press sheets', copySheets(desk, pages, at, progress));
    return [{ ...named, parts: pdfParts(request) }, ...cutting];
  }
  const shelf = pressPictures(desk);
  await shelf.take(desk.sides, (share, step) => progress(0.1 + 0.75 * share, step));
  progress(0.88, 'Writing the sheets');
  const forms = formsOf(desk);
  const pages = laid.flatMap(({ piece, sheets }) =>
    sheets.flatMap((sheet) =>
      sheet.faces.map((face) => {
        const placed = face.sides.map((side) => ({ side, ...forms(piece, side.surface) }));
        return sheetPage(desk, { sheet, face, placed, at, name: sheet.name });
      }),
    ),
  );
  const bytes = await writePdf({ ...(await pressRequest(desk, at, 'press sheets')), pages, picture: shelf.picture });
  progress(1, 'Done');
  return [{ ...named, bytes }, ...cutting];
}

/** Sheets that are printed one after the other before the next ones are: signatures of a book, or one kind of sheet. */
const runsOf = (sheets: readonly ImposedSheet[]): readonly (readonly ImposedSheet[])[] => {
  const signatures = sheets.filter(({ signature }) => signature);
  const cut = sheets.filter(({ signature }) => !signature).map((s) => [s]);
  return signatures.length > 0 ? [signatures, ...cut] : cut;
};

/** The place of each copy in the order of reading, from 0: rows from the head, each from its left. */
function readingOrder({ faces }: ImposedSheet): readonly number[] {
  const sides = faces[0]?.sides ?? [];
  const order = sides
    .map(({ trim }, i) => ({ i, trim }))
    .sort((a, b) => (Math.abs(a.trim.y - b.trim.y) > 1 ? a.trim.y - b.trim.y : a.trim.x - b.trim.x));
  const ranks = sides.map(() => 0);
  order.forEach(({ i }, rank) => (ranks[i] = rank));
  return ranks;
}

interface CopyRun {
  readonly piece: Piece;
  readonly run: readonly ImposedSheet[];
}

/** Sheets of copies that differ: across each sheet, or down through the pile so that what is cut lies in order. */
function* copySheets(desk: Desk, runs: readonly CopyRun[], at: Date, progress: Progress): Generator<CopyPages> {
  const { count } = recordsOf(desk);
  const faults = new RecordFaults(desk);
  const art = artOfCopies(differing(desk));
  const isPiled = desk.document.output.sheet?.order === 'piles';
  for (const { piece, run } of runs) {
    const [first] = run;
    if (!first) continue;
    const ranks = first.signature ? [0] : readingOrder(first);
    const up = ranks.length;
    const sheets = Math.ceil(count / up);
    const order = Array.from({ length: sheets * up }, (_, i) => {
      const [sheet, rank] = [Math.floor(i / up), i % up];
      return isPiled ? rank * sheets + sheet : sheet * up + rank;
    });
    const drawn = drawnRecords(
      desk,
      order.filter((index) => index < count),
    );
    for (let sheet = 0; sheet < sheets; sheet += 1) {
      told(progress, { done: sheet, of: sheets, what: 'sheet' });
      const copies = order.slice(sheet * up, (sheet + 1) * up).map((index): DrawnRecord | undefined => {
        const record = index < count ? (drawn.next().value ?? undefined) : undefined;
        if (record) faults.take(record);
        return record;
      });
      if (faults.any) continue;
      const own = copies.flatMap((copy) => copy?.sides ?? []).filter((side) => side.piece.id === piece.id);
      const forms = new Map(own.map((side) => [side, formOfCopy(side, art)] as const));
      yield {
        sides: own,
        pages: run.flatMap((imposedSheet) =>
          imposedSheet.faces.map((face) => {
            const placed = face.sides.flatMap((side, i) => {
              const copy = copies[imposedSheet.signature ? 0 : (ranks[i] ?? 0)];
              const drawnSide = copy?.sides.find((s) => s.piece.id === piece.id && s.surface.name === side.surface);
              const form = drawnSide && forms.get(drawnSide);
              return drawnSide && form ? [{ side, form, drawn: drawnSide }] : [];
            });
            const name = `${imposedSheet.name}, sheet ${sheet + 1} of ${sheets}`;
            return sheetPage(desk, { sheet: imposedSheet, face, placed, at, name });
          }),
        ),
      };
    }
  }
  faults.refuse();
  progress(1, 'Done');
}

const formOfCopy = (side: DeskSide, art: ReturnType<typeof artOfCopies>): Form => ({
  parts: [...art(side), ...processParts(side)],
  region: side.surface.boxes.bleed,
  isOnce: true,
});

function sheetsOf({ document }: Desk, piece: Piece): readonly ImposedSheet[] {
  const made = imposed(document, piece);
  if (!made.ok) throw new CannotExport(made.message);
  return made.sheets;
}

/** Every side as it is set down on sheets: artwork to the end of its bleed, and its layers; no marks. */
function formsOf({ sides }: Desk): (piece: Piece, surface: string) => DrawnForm {
  const made = new Map(
    sides.map((drawn) => {
      const form: Form = { parts: sideParts(drawn), region: drawn.surface.boxes.bleed };
      return [`${drawn.piece.id} ${drawn.surface.name}`, { form, drawn }] as const;
    }),
  );
  return (piece, surface) => {
    const found = made.get(`${piece.id} ${surface}`);
    if (!found) throw new Error(`There is no ${surface}.`);
    return found;
  };
}
