import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { UsageError, wholeNumber, type Arguments } from '../arguments';
import { openJob } from '../job-file';
import { print, writeWhole } from '../say';

/** Every plate of the sides of a job: its coverage in figures, and as a grey PNG where a folder is named. */
export async function run(args: Arguments): Promise<number> {
  const { job, assets } = await openJob(args);
  const ppi = wholeNumber(args, 'ppi', 72);
  if (ppi > 1200) throw new UsageError('--ppi is at most 1200.');
  const out = args.flags.get('out');
  const { openDesk, platePictures, sideStems } = await import('../../output');
  const desk = await openDesk(job, assets);
  const names = desk.sides.map(({ surface }) => surface.name);
  const wanted = args.flags.get('side');
  if (wanted !== undefined && !names.includes(wanted))
    throw new UsageError(`There is no side “${wanted}”. There are: ${names.join(', ')}.`);
  if (out !== undefined) await mkdir(out, { recursive: true });
  const stems = sideStems(job, desk.sides);
  const said = [];
  for (const [i, side] of desk.sides.entries()) {
    if (wanted !== undefined && side.surface.name !== wanted) continue;
    const plates = await platePictures(desk, side, ppi);
    const files = [];
    for (const [n, plate] of plates.pictures.entries()) {
      const file = `${stems[i] ?? side.surface.name}-${n + 1}-${plate.stem}.png`;
      if (out !== undefined) await writeWhole(join(out, file), plate.png);
      files.push({ plate: plate.name, coverage: plate.coverage, ...(out !== undefined && { file }) });
    }
    said.push({ piece: side.piece.id, side: side.surface.name, ppi, most: plates.most, plates: files });
  }
  print(said);
  return 0;
}
