import { mkdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readAsset } from '../../bring-in/asset';
import { LAID_OUT, demoFile, filesOf, isDemoFile, laidOut, type BroughtIn, type Kept } from '../../demo';
import { shipped } from '../../output/home';
import { loadLittleCms } from '../../output/profiles';
import { UsageError, type Arguments } from '../arguments';
import { sha256 } from '../job-file';
import { jobText, print, say, writeWhole } from '../say';

/** The pieces of the demo world; one that is named is written as a job with its files. */
export async function run(args: Arguments): Promise<number> {
  const [name] = args.words;
  if (name === undefined) {
    print(LAID_OUT.map(({ file }) => file));
    return 0;
  }
  const out = args.flags.get('out');
  if (isDemoFile(name)) return writePicture(name, out);
  const piece = LAID_OUT.find((p) => p.file === name);
  if (!piece)
    throw new UsageError(`The demo has no piece called “${name}”. It has: ${LAID_OUT.map((p) => p.file).join(', ')}.`);
  if (out === undefined) throw new UsageError('--out names the folder for the job and its files.');
  await mkdir(join(out, 'assets'), { recursive: true });
  const kept = JSON.parse(await readFile(shipped('assets', 'demo', `${piece.file}.json`), 'utf8')) as Kept;
  const files = new Map<string, BroughtIn>();
  for (const file of filesOf(kept)) {
    const bytes = new Uint8Array((await demoFile(file, shipped())).bytes);
    const read = await readAsset(file, bytes, { littleCms: loadLittleCms });
    if (!read.ok) throw new UsageError(read.problem);
    const sha = sha256(bytes);
    files.set(file, { sha, asset: read.asset });
    await writeWhole(join(out, 'assets', sha), bytes);
  }
  const job = join(out, `${piece.file}.ysjob.json`);
  await writeWhole(job, jobText(laidOut(piece, kept, files)));
  say(`${job} written.`);
  return 0;
}

async function writePicture(name: string, out: string | undefined): Promise<number> {
  if (out === undefined) throw new UsageError('--out names the folder for the picture.');
  await mkdir(out, { recursive: true });
  await writeWhole(join(out, name), (await demoFile(name, shipped())).bytes);
  say(`${join(out, name)} written.`);
  return 0;
}
