import { inksIn } from '../core/colour';
import { itemsOf, type Drawing } from '../core/drawing';
import { marksFor, processLayers, processPlates } from '../core/marks';
import { rulesFor } from '../core/job';
import { writePdf, type PdfPage } from '../paint/pdf';
import { SLUG_FACE } from '../core/compose';
import type { Desk, DeskSide } from './desk';
import type { OutputFile, Progress } from './export';
import { fileStem } from './file-name';
import { encodePictures, fileId, fontsFor } from './pdf-request';
import { pressPicture } from './pictures';
import { PROFILE_FACTS, readProfile } from './profiles';

/** The file that a press runs: one page a side, with bleed and marks, in ink. */
export async function pressFile(desk: Desk, at: Date, progress: Progress): Promise<OutputFile> {
  const { job, profile } = desk;
  const firstPiece = job.pieces[0];
  if (!firstPiece) throw new Error('The job has no piece.');
  const converter = profile.pictures();
  const picture = await encodePictures(
    desk,
    (ppi) => ppi,
    (bytes, use) => pressPicture(bytes, use.asset, use.size, converter),
    (share, step) => progress(0.1 + 0.8 * share, step),
  );
  progress(0.9, 'Writing the file');
  const name = rulesFor(job, firstPiece).profile;
  const bytes = await writePdf({
    pages: desk.sides.map((side) => pressPage(desk, side, at)),
    purpose: { kind: 'press' },
    metadata: { title: job.name, at, id: fileId(job, at, 'press') },
    profile: { bytes: await readProfile(name), ...PROFILE_FACTS[name] },
    ...(await fontsFor(desk)),
    picture,
  });
  progress(1, 'Done');
  return { name: `${fileStem(job.name)}-press.pdf`, type: 'application/pdf', bytes };
}

/** A side with its marks: artwork first, marks above everything. */
export function pressPage(desk: Desk, side: DeskSide, at: Date): PdfPage {
  const { job, fonts } = desk;
  const { boxes, processLines } = side.surface;
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
      plates: [...platesOf(side.drawing), ...processPlates(processLines, side.rules)].join(' '),
    },
    lines: processLines,
    codes: side.rules.lines,
  });
  const layers = processLayers(processLines, side.rules);
  return {
    parts: [{ items: itemsOf(side.drawing) }, ...layers.map((layer) => ({ layer })), { items }],
    trim: boxes.trim,
    bleed: boxes.bleed,
    sheet,
  };
}

/** The plates that a side needs, in printing order. A picture counts as all four. */
export function platesOf(drawing: Drawing): readonly string[] {
  const used = new Set<string>();
  for (const item of itemsOf(drawing)) {
    const inks = item.kind === 'path' ? [item.fill, item.stroke?.ink] : item.kind === 'glyphs' ? [item.ink] : [];
    if (item.kind === 'picture') for (const ink of ['c', 'm', 'y', 'k']) used.add(ink);
    for (const ink of inks) {
      if (ink?.kind === 'process') for (const name of inksIn(ink.build)) used.add(name);
    }
  }
  return ['c', 'm', 'y', 'k'].filter((ink) => used.has(ink)).map((ink) => ink.toUpperCase());
}
