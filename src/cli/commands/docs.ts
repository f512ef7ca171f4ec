import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { Arguments } from '../arguments';
import { changesMarkdown } from '../changes-docs';
import { PICTURE_FILES, drawnPicture } from '../../demo';
import { glossaryMarkdown, glossaryPictures } from '../glossary-docs';
import { formatPictures, formatsMarkdown } from '../format-docs';
import { printablePictures, printablesMarkdown } from '../printable-docs';
import { say, writeWhole } from '../say';

/** The tables of formats and printables with a picture of each, for docs/, and the pictures of the demo. */
export async function run(args: Arguments): Promise<number> {
  const out = args.flags.get('out') ?? 'docs';
  await mkdir(join(out, 'formats'), { recursive: true });
  await writeWhole(join(out, 'formats.md'), formatsMarkdown());
  for (const { name, svg } of formatPictures()) await writeWhole(join(out, 'formats', name), svg);
  await writeWhole(join(out, 'printables.md'), printablesMarkdown());
  await writeWhole(join(out, 'changes.md'), changesMarkdown());
  await writeWhole(join(out, 'glossary.md'), glossaryMarkdown());
  await mkdir(join(out, 'glossary'), { recursive: true });
  for (const { name, svg } of glossaryPictures()) await writeWhole(join(out, 'glossary', name), svg);
  // The pages show the same pictures.
  const pictures = join(out, '..', 'assets', 'printables');
  await mkdir(pictures, { recursive: true });
  for await (const { name, png } of printablePictures()) await writeWhole(join(pictures, name), png);
  const demo = join(out, '..', 'assets', 'demo', 'pictures');
  await mkdir(demo, { recursive: true });
  for (const name of PICTURE_FILES) await writeWhole(join(demo, name), await drawnPicture(name));
  say(`${['formats', 'printables', 'changes', 'glossary'].map((page) => join(out, `${page}.md`)).join(', ')} written.`);
  return 0;
}
