import { facingOf, pageName } from '../../core/format';
import { readRows } from '../../core/data';
import { blankOf, withPiece } from '../../core/job';
import { picturesByName } from '../../core/records';
import { UsageError, wholeNumber, type Arguments } from '../arguments';
import { readText } from '../files';
import { openJobFile } from '../job-file';
import { jobText, print, writeWhole } from '../say';
import { fillPages } from '../../core/edit';

/** Lays rows onto pages: a cell goes into the text or picture frame that is named as its column. */
export async function run(args: Arguments): Promise<number> {
  const [path, file] = args.words;
  if (!path || !file)
    throw new UsageError('Name the job and the rows, for example: ys fill catalogue.ysjob.json rows.csv --page 4');
  const { job } = await openJobFile(path, args.flags.get('assets'));
  const [piece] = job.pieces;
  if (!piece) throw new UsageError('The job has no piece.');
  const read = readRows(await readText(file));
  if (!read.ok) throw new UsageError(`${file}: ${read.problem}`);
  const [head, ...rows] = read.rows;
  if (!head || rows.length === 0)
    throw new UsageError(`${file}: It needs a row that names the columns, and at least one below it.`);
  const sides = blankOf(job, piece).surfaces.map((s) => s.name);
  const first = wholeNumber(args, 'page', 1);
  const isSpread = args.flags.has('spreads');
  const step = isSpread ? 2 : 1;
  const start = isSpread && first % 2 === 1 ? first + 1 : first;
  const sets = rows
    .map((_, i) => pageName(start + i * step))
    .map((side) => (isSpread ? [side, facingOf(side) ?? side] : [side]))
    .filter((set) => set.every((side) => sides.includes(side)));
  if (sets.length === 0) throw new UsageError(`There is no page ${first}. Pages are counted from 1.`);
  const filled = fillPages(piece, sets, { head, rows }, picturesByName(job.assets));
  await writeWhole(args.flags.get('out') ?? path, jobText(withPiece(job, filled.piece)));
  const { sides: pages, unused, missing, left } = filled;
  print({ pages, columnsWithoutPlace: unused, picturesMissing: missing, rowsLeft: left });
  return 0;
}
