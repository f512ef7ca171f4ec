import { writePdf, type PdfPage } from '../paint/pdf';
import type { Desk } from './desk';
import type { OutputFile, Progress } from './file';
import { fileStem } from './file-name';
import { commonParts, encodePictures, fileId } from './pdf-request';
import { screenEncoding, screenPurpose } from './preview';
import { readSrgb } from './profiles';

/** Pictures are kept to what a desk printer shows. */
const PPI = 300;

interface DeskPages {
  /** What they are, as their file is called after it. */
  readonly what: string;
  /** Laid out once the pictures are ready. */
  readonly pages: () => readonly PdfPage[];
}

/** Pages for a desk printer: in sRGB, each with the size of its sheet. */
export async function deskPdf(
  desk: Desk,
  at: Date,
  progress: Progress,
  { what, pages }: DeskPages,
): Promise<OutputFile> {
  const { job } = desk;
  const picture = await encodePictures(
    desk,
    () => PPI,
    (bytes, use) => screenEncoding(desk, bytes, use),
    (share, step) => progress(0.8 * share, step),
  );
  progress(0.85, 'Laying out the sheets');
  const bytes = await writePdf({
    pages: pages(),
    purpose: screenPurpose(desk),
    metadata: { title: `${job.name}, ${what}`, at, id: fileId(job, at, what) },
    profile: { bytes: await readSrgb(), condition: 'sRGB', about: 'sRGB' },
    ...(await commonParts(desk)),
    picture,
  });
  progress(1, 'Done');
  return { name: `${fileStem(job.name)}-${what}.pdf`, type: 'application/pdf', bytes };
}
