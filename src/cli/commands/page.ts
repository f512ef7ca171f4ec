import { MAX_ASSET_BYTES } from '../../bring-in/asset';
import { counted } from '../../core/measure';
import { documentPage } from '../../output/document-page';
import { UsageError, wholeNumber, type Arguments } from '../arguments';
import { readBounded } from '../files';
import { writeWhole } from '../say';

/** A page of a PDF as a PNG. */
export async function run(args: Arguments): Promise<number> {
  const [file] = args.words;
  if (!file) throw new UsageError('Name the PDF, for example: ys page map.pdf --out map.png');
  const out = args.flags.get('out');
  if (!out) throw new UsageError('Name the file to write: --out page.png');
  const [page, wide] = [wholeNumber(args, 'page', 1), wholeNumber(args, 'wide', 1600)];
  const bytes = await readBounded(file, MAX_ASSET_BYTES);
  const { readDocument } = await import('../../bring-in/document');
  const read = await readDocument(file, bytes);
  if (!read.ok) throw new UsageError(read.problem);
  const count = read.document.pages.length;
  if (page > count) throw new UsageError(`“${file}” has ${counted(count, 'page')}; there is no page ${page}.`);
  await writeWhole(out, await documentPage(bytes, { page }, wide));
  return 0;
}
