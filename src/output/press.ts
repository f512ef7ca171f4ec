import { inksIn } from '../core/colour';
import { itemsOf, leavesOf, type Drawing, type Ink } from '../core/drawing';
import { marksFor, processLayers, processPlates } from '../core/marks';
import { rulesFor } from '../core/job';
import { writePdf, type PdfPage } from '../paint/pdf';
import { SLUG_FACE } from '../core/compose';
import type { Desk, DeskSide } from './desk';
import type { OutputFile, Progress } from './export';
import { fileStem } from './file-name';
import { encodePictures, fileId, commonParts } from './pdf-request';
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
    (bytes, use) => pressPicture(bytes, use.asset, use.size, converter, use.treatment),
    (share, step) => progress(0.1 + 0.8 * share, step),
  );
  progress(0.9, 'Writing the file');
  const name = rulesFor(job, firstPiece).profile;
  const bytes = await writePdf({
    pages: desk.sides.map((side) => pressPage(desk, side, at)),
    purpose: { kind: 'press' },
    metadata: { title: job.name, at, id: fileId(job, at, 'press') },
    profile: { bytes: await readProfile(name), ...PROFILE_FACTS[name] },
    ...(await commonParts(desk)),
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

/** The plates that a side needs, in printing order. A picture or a page of a document counts as all four. */
export function platesOf(drawing: Drawing): readonly string[] {
  const used = new Set<string>();
  const note = (ink: Ink | undefined | null) => {
    if (ink?.kind === 'process') for (const name of inksIn(ink.build)) used.add(name);
    if (ink?.kind === 'gradient') for (const { build } of ink.stops) for (const name of inksIn(build)) used.add(name);
  };
  for (const item of leavesOf(itemsOf(drawing))) {
    switch (item.kind) {
      case 'path':
        note(item.fill);
        note(item.stroke?.ink);
        break;
      case 'glyphs':
        note(item.ink);
        note(item.stroke?.ink);
        break;
      case 'picture':
      case 'page':
        for (const ink of ['c', 'm', 'y', 'k']) used.add(ink);
    }
  }
  return ['c', 'm', 'y', 'k'].filter((ink) => used.has(ink)).map((ink) => ink.toUpperCase());
}
