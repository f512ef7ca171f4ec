import { basename } from 'node:path';
import { MAX_ASSET_BYTES } from '../../bring-in/asset';
import { readDocument } from '../../bring-in/document';
import { UsageError, type Arguments } from '../arguments';
import { readBounded } from '../files';
import { print } from '../say';

/** The pages of a PDF and their sizes. */
export async function run(args: Arguments): Promise<number> {
  const [file] = args.words;
  if (!file) throw new UsageError('Name the PDF, for example: ys pages map.pdf');
  const read = await readDocument(args.flags.get('name') ?? basename(file), await readBounded(file, MAX_ASSET_BYTES));
  if (!read.ok) throw new UsageError(read.problem);
  print(read.document);
  return 0;
}
