import { pdfParts, writePdf } from '../paint/pdf';
import type { Desk } from './desk';
import type { MadeFile, Progress } from './file';
import { fileStem } from './file-name';
import { copiesRequest } from './press-copies';
import { pressPage, pressPictures, pressRequest } from './press-page';

/** The file that a press runs: one page a side, with bleed and marks, in ink; of records, their pages one by one. */
export async function pressFile(desk: Desk, at: Date, progress: Progress): Promise<MadeFile> {
  const named = { name: `${fileStem(desk.job.name)}-press.pdf`, type: 'application/pdf' } as const;
  if (desk.document.records) return { ...named, parts: pdfParts(await copiesRequest(desk, at, progress)) };
  const shelf = pressPictures(desk);
  await shelf.take(desk.sides, (share, step) => progress(0.1 + 0.8 * share, step));
  progress(0.9, 'Writing the file');
  const bytes = await writePdf({
    ...(await pressRequest(desk, at, 'press')),
    pages: desk.sides.map((side) => pressPage(desk, side, at)),
    picture: shelf.picture,
  });
  progress(1, 'Done');
  return { ...named, bytes };
}
