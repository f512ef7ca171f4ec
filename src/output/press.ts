import { PROCESS, PROCESS_PLATES } from '../core/colour';
import { itemsOf } from '../core/drawing';
import { finishLayers, finishesOn, linesOn, marksFor } from '../core/marks';
import { rulesFor } from '../core/job';
import { writePdf, type PdfPage } from '../paint/pdf';
import { plateNames } from '../paint/plates';
import { SLUG_FACE } from '../core/compose';
import type { Desk, DeskSide } from './desk';
import type { OutputFile, Progress } from './export';
import { fileStem } from './file-name';
import { encodePictures, fileId, commonParts } from './pdf-request';
import { pressPicture } from './pictures';
import { outputProfile } from './profiles';

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
    picture,
  });
  progress(1, 'Done');
  return { name: `${fileStem(job.name)}-press.pdf`, type: 'application/pdf', bytes };
}

/** A side with its marks: artwork first, marks above everything. */
export function pressPage(desk: Desk, side: DeskSide, at: Date): PdfPage {
  const { job, fonts } = desk;
  const { boxes } = side.surface;
  const layers = finishLayers(finishesOn(side.piece, side.surface, side.drawing), side.rules);
  const artwork = itemsOf(side.drawing);
  const plates = plateNames([...artwork, ...layers.flatMap((layer) => layer.items)]);
  const { sheet, items } = marksFor({
    boxes,
    marks: job.output.marks,
    offset: side.rules.markOffset.value,
    slug: side.piece.slug,
    face: fonts.set.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic),
    words: {
      job: job.name,
      side: side.blank.scale === 1 ? side.surface.name : `${side.surface.name}, drawn 1:${side.blank.scale}`,
      date: at.toISOString().slice(0, 10),
      plates: [shortNames(plates), ...floodsOf(side)].join(' · '),
    },
    lines: linesOn(side.surface, side.drawing),
    codes: side.rules.lines,
  });
  return {
    parts: [{ items: artwork }, ...layers.map((layer) => ({ layer })), { items }],
    trim: boxes.trim,
    bleed: boxes.bleed,
    sheet,
  };
}

/** Coatings of a whole side, which need no plate. */
const floodsOf = ({ piece, surface, rules }: DeskSide): readonly string[] =>
  (piece.finish?.[surface.name] ?? []).flatMap((f) =>
    f.does === 'flood' ? [`${rules.coatings[f.coating].title} all over`] : [],
  );

/** Plates in printing order, process inks by their letters. */
const shortNames = (plates: readonly string[]): string =>
  plates.map((name) => PROCESS.find((ink) => PROCESS_PLATES[ink] === name)?.toUpperCase() ?? name).join(' ');
