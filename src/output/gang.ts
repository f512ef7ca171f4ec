import { itemsOf, leavesOf } from '../core/drawing';
import { imposed } from '../core/job';
import type { PdfRequest } from '../paint/pdf';
import { pdfParts } from '../paint/pdf';
import { CannotExport } from './cannot-export';
import { cuttingFiles } from './cutting-files';
import type { Desk, DeskSide } from './desk';
import type { MadeFile, Progress } from './file';
import { fileStem } from './file-name';
import { pressPictures, pressRequest } from './press-page';
import { RecordFaults, drawnRecords } from './records';
import { MaskShelf } from './request-parts';
import { sheetPage, type DrawnForm } from './sheet-page';
import { sideParts } from './side-parts';

/** Another job on the same sheets, opened. */
export interface GuestDesk {
  readonly desk: Desk;
  readonly quantity: number;
}

/** Several jobs on the same sheets, and the programme of the knife. */
export async function gangFiles(
  desk: Desk,
  guests: readonly GuestDesk[],
  at: Date,
  progress: Progress,
): Promise<readonly MadeFile[]> {
  const { document } = desk;
  const [piece] = document.pieces;
  if (!piece) throw new CannotExport('The job has no piece. Begin one under Size.');
  progress(0.05, 'Laying out the sheets');
  const made = imposed(
    document,
    piece,
    guests.map((guest) => ({ job: guest.desk.document, quantity: guest.quantity })),
  );
  if (!made.ok) throw new CannotExport(made.message);
  const { sheets } = made;
  const desks = [desk, ...guests.map((guest) => guest.desk)];
  progress(0.2, 'Drawing what lies on them');
  const jobs = desks.map(drawnArticles);
  progress(0.5, 'Converting pictures');
  const request = await joinedRequest(jobs, at);
  progress(0.85, 'Writing the sheets');
  const pages = sheets.flatMap((sheet) =>
    sheet.faces.map((face) => {
      const placed = face.sides.flatMap((side) => {
        const of = side.article?.guest === undefined ? 0 : side.article.guest + 1;
        const form = jobs[of]?.forms.get(keyOf(side.article?.record, side.surface));
        return form ? [{ side, ...form }] : [];
      });
      const name = sheet.run === undefined ? sheet.name : `${sheet.name}, ${sheet.run} ×`;
      return sheetPage(desk, { sheet, face, placed, at, name });
    }),
  );
  const named = { name: `${fileStem(document.name)}-sheets.pdf`, type: 'application/pdf' } as const;
  return [{ ...named, parts: pdfParts({ ...request, pages }) }, ...(await cuttingFiles(desk, sheets, at))];
}

const keyOf = (record: number | undefined, surface: string): string => `${record ?? 'all'} ${surface}`;

/** A job on the sheets, with every side of it that may lie there: of each record, where it has records. */
interface DrawnJob {
  readonly desk: Desk;
  readonly forms: ReadonlyMap<string, DrawnForm>;
}

/** @throws CannotExport where something is wrong with a record */
function drawnArticles(desk: Desk): DrawnJob {
  const forms = new Map<string, DrawnForm>();
  const piece = desk.document.pieces[0]?.id;
  const put = (side: DeskSide, record: number | undefined) => {
    if (side.piece.id !== piece) return;
    const form = { parts: sideParts(side), region: side.surface.boxes.bleed };
    forms.set(keyOf(record, side.surface.name), { form, drawn: side });
  };
  if (!desk.document.records) {
    for (const side of desk.sides) put(side, undefined);
    return { desk, forms };
  }
  const faults = new RecordFaults(desk);
  for (const copy of drawnRecords(desk)) {
    faults.take(copy);
    for (const side of copy.sides) put(side, copy.index);
  }
  faults.refuse();
  return { desk, forms };
}

/** What the file needs of all jobs on it: each asks the one that it is of. */
async function joinedRequest(jobs: readonly DrawnJob[], at: Date): Promise<Omit<PdfRequest, 'pages'>> {
  const parts = await Promise.all(
    jobs.map(async ({ desk, forms }) => {
      const own = [...forms.values()].map(({ drawn }) => drawn);
      const shelf = pressPictures(desk);
      await shelf.take(own);
      const masks = new MaskShelf(desk);
      await masks.take(own);
      return { desk, shelf, masks, request: await pressRequest(desk, at, 'press sheets') };
    }),
  );
  const [host] = parts;
  if (!host) throw new CannotExport('There is no job.');
  const withFont = (key: string) => parts.find(({ desk }) => desk.fonts.set.file(key))?.request ?? host.request;
  const firstOf = <T>(ask: (part: (typeof parts)[number]) => T | undefined, what: string): T => {
    for (const part of parts) {
      const found = ask(part);
      if (found !== undefined) return found;
    }
    throw new Error(`${what} was not made ready.`);
  };
  return {
    ...host.request,
    font: (key) => withFont(key).font(key),
    fontName: (key) => withFont(key).fontName(key),
    subset: (key, gids) => withFont(key).subset(key, gids),
    picture: (item) => firstOf(({ shelf }) => shelf.find(item), 'A picture'),
    softMask: (mask) => firstOf(({ masks }) => masks.find(mask), 'A soft mask'),
    document: (sha) =>
      firstOf(({ desk, request }) => (shows(desk, sha) ? request.document(sha) : undefined), 'A document'),
  };
}

const shows = ({ sides }: Desk, sha: string): boolean =>
  sides.some(({ drawing }) => leavesOf(itemsOf(drawing)).some((item) => item.kind === 'page' && item.document === sha));
