import { itemsWithin } from '../core/drawing';
import { finishLayers, finishesOn, pageLabel, sideMarks } from '../core/marks';
import { rulesFor } from '../core/job';
import { writePdf, type PdfPage } from '../paint/pdf';
import { SLUG_FACE } from '../core/compose';
import type { Desk, DeskSide } from './desk';
import type { Progress } from './file';
import type { OutputFile } from './file';
import { fileStem } from './file-name';
import { encodePictures, fileId, commonParts } from './pdf-request';
import { pressPicture } from './pictures';
import { outputProfile } from './profiles';
import { documentsInInks } from './request-parts';

/** The file that a press runs: one page a side, with bleed and marks, in ink. */
export async function pressFile(desk: Desk, at: Date, progress: Progress): Promise<OutputFile> {
  const { job, profile } = desk;
  const firstPiece = job.pieces[0];
  if (!firstPiece) throw new Error('The job has no piece.');
  const converter = profile.pictures();
  const picture = await encodePictures(
    desk,
    (ppi) => ppi,
    (bytes, use) => pressPicture(bytes, use.asset, use.size, converter, use.treatment),
    (share, step) => progress(0.1 + 0.8 * share, step),
  );
  progress(0.9, 'Writing the file');
  const bytes = await writePdf({
    pages: desk.sides.map((side) => pressPage(desk, side, at)),
    purpose: { kind: 'press' },
    metadata: { title: job.name, at, id: fileId(job, at, 'press') },
    profile: await outputProfile(job, rulesFor(job, firstPiece).profile, desk.assets),
    ...(await commonParts(desk)),
    document: await documentsInInks(desk),
    picture,
  });
  progress(1, 'Done');
  return { name: `${fileStem(job.name)}-press.pdf`, type: 'application/pdf', bytes };
}

/** A side with its marks: artwork first, cut where the bleed ends, marks above everything. */
export function pressPage({ job, fonts }: Desk, side: DeskSide, at: Date): PdfPage {
  const { piece, surface, drawing, rules, blank } = side;
  const { trim, bleed } = surface.boxes;
  const layers = finishLayers(finishesOn(piece, surface, drawing), rules);
  const face = fonts.set.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic);
  const marked = { piece, surface, drawing, rules, scale: blank.scale };
  const { sheet, items } = sideMarks(job, marked, face, at.toISOString().slice(0, 10));
  return {
    parts: [{ items: itemsWithin(drawing, bleed) }, ...layers.map((layer) => ({ layer })), { items }],
    trim,
    bleed,
    sheet,
    label: pageLabel(piece, surface),
  };
}
