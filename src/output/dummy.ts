import { SLUG_FACE } from '../core/compose';
import { dummyPage } from '../core/marks';
import { writePdf } from '../paint/pdf';
import type { Desk } from './desk';
import type { Progress } from './file';
import type { OutputFile } from './file';
import { fileStem } from './file-name';
import { fileId, commonParts } from './pdf-request';
import { screenPurpose } from './preview';
import { readSrgb } from './profiles';

/** Most faces of a dummy: the pages of a book are not folded by hand. */
const MOST = 4;

/** A folding dummy at true size for a desk printer: panel names, fold directions, the order of folding. */
export async function dummyFile(desk: Desk, at: Date, progress: Progress): Promise<OutputFile> {
  const { job, fonts } = desk;
  const face = fonts.set.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic);
  if (!face) throw new Error('The face for notes is missing.');
  progress(0.3, 'Drawing the dummy');
  const pages = desk.sides.slice(0, MOST).map(({ surface, blank }) => {
    const steps = blank.folding?.steps.map((s) => s.name) ?? [];
    const { sheet, items } = dummyPage(surface, job.name, steps, face);
    return { parts: [{ items }], trim: surface.boxes.trim, bleed: surface.boxes.trim, sheet };
  });
  const bytes = await writePdf({
    pages,
    purpose: screenPurpose(desk),
    metadata: { title: `${job.name}, dummy`, at, id: fileId(job, at, 'dummy') },
    profile: { bytes: await readSrgb(), condition: 'sRGB', about: 'sRGB' },
    ...(await commonParts(desk)),
    picture: () => {
      throw new Error('A dummy has no pictures.');
    },
  });
  progress(1, 'Done');
  return { name: `${fileStem(job.name)}-dummy.pdf`, type: 'application/pdf', bytes };
}
