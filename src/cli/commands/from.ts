import { randomUUID } from 'node:crypto';
import { mkdir } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { beginFromDocument, kindsFor, recordNamed, UnknownName } from '../../core/edit';
import { Beyond } from '../../core/element';
import { takeHouse, unitThoughtIn } from '../../core/job';
import { SHIPPED_PRINTERS } from '../../core/shop';
import { UsageError, type Arguments } from '../arguments';
import { readBroughtFile } from '../brought-file';
import { jobText, say, writeWhole } from '../say';

/** Begins a job from somebody’s PDF. */
export async function run({ words: [path], flags }: Arguments): Promise<number> {
  const out = flags.get('out');
  if (!path || out === undefined)
    throw new UsageError('Name the PDF and the job, for example: ys from client.pdf --out flyer.ysjob.json');
  const read = await readBroughtFile(path);
  const { sha, asset } = read;
  if (asset.kind !== 'document') throw new UsageError(`“${path}” is not a PDF.`);
  const house = houseNamed(flags.get('printer'));
  const beyond = Beyond.optional().safeParse(flags.get('beyond'));
  if (!beyond.success) throw new UsageError(`--beyond is one of ${Beyond.options.join(', ')}.`);
  const size = flags.get('size');
  const started = beginFromDocument(
    { sha, asset },
    { kind: flags.get('kind') ?? kindsFor(asset.pages.length)[0]?.kind ?? 'flyer', size, beyond: beyond.data },
    {
      id: randomUUID(),
      name: flags.get('name') ?? basename(path).replace(/\.pdf$/i, ''),
      unit: unitThoughtIn(size === undefined ? [] : [size]),
    },
    house && { house },
  );
  if (!started.ok) throw new UsageError(`${started.parameter}: ${started.error.message}`);
  const folder = flags.get('assets') ?? join(dirname(out), 'assets');
  await mkdir(folder, { recursive: true });
  await writeWhole(join(folder, sha), read.bytes);
  await writeWhole(out, jobText(house ? takeHouse(started.job, house) : started.job));
  say(`${out} written.`);
  return 0;
}

function houseNamed(name: string | undefined) {
  if (name === undefined) return undefined;
  try {
    return recordNamed('printer', name, SHIPPED_PRINTERS);
  } catch (error) {
    if (error instanceof UnknownName) throw new UsageError(error.message);
    throw error;
  }
}
