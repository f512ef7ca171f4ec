import { blankOf, imposedAlone, printRun, type ImposedSheet, type Job, type SheetOutput } from '../job';
import type { Size } from '../paper';
import type { FinishKind, House } from '../shop';

/** How many plates print a side: process inks and spot inks that are on it. */
export type InksOf = (surface: string) => number;

/** A kind of sheet of a way to print a job. */
export interface PrintedSheet {
  readonly name: string;
  readonly size: Size;
  /** Copies that a sheet gives; for a signature, one. */
  readonly up: number;
  /** Plates of each set. */
  readonly sets: readonly number[];
  /** Times through the press. */
  readonly passes: number;
  /** Sides that have ink, and whether more than black. */
  readonly sides: readonly { readonly isColour: boolean }[];
}

/** A way to print a job at a house: on which sheets, and what is done with them then. */
export interface Way {
  readonly house: House;
  /** As one says it: the size of the sheets. */
  readonly sheets: readonly PrintedSheet[];
  readonly finishes: readonly FinishKind[];
  /** Weight of its paper, g/m². */
  readonly grammage: number | null;
  /** Records that differ; 1 where all copies are alike. */
  readonly records: number;
  /** A finished copy, g; undefined while the weight of its paper is open. */
  readonly copyWeight: number | undefined;
}

export type FoundWay = { readonly ok: true; readonly way: Way } | { readonly ok: false; readonly message: string };

/**
 * How a job is printed at a house.
 * @param sheet left out, the one of the house that is used best
 */
export function wayOf(job: Job, house: House, inksOf: InksOf, sheet?: Size): FoundWay {
  const [piece] = job.pieces;
  if (!piece) return { ok: false, message: 'The job has no piece.' };
  const { guests: _guests, order: _order, sheet: _sheet, ...own } = job.output.sheet ?? USUAL;
  const asked: Job = { ...job, house, output: { ...job.output, sheet: { ...own, ...(sheet && { sheet }) } } };
  const made = imposedAlone(asked, piece);
  if (!made.ok) return made;
  const blank = blankOf(asked, piece);
  const print = printRun(job);
  const sheets = made.sheets.map((one) => printedSheet(one, inksOf));
  const { grammage } = job.stock;
  const { width, height } = blank.finished;
  const leaves = blank.surfaces.filter(({ repeats }) => !repeats).length / 2;
  const flat = blank.surfaces[0]?.boxes.trim ?? { width, height };
  const area = blank.bound ? width * height * leaves : flat.width * flat.height;
  return {
    ok: true,
    way: {
      house,
      sheets,
      finishes: finishesOf(job, made.sheets),
      grammage,
      records: job.records ? (print?.copies ?? 1) : 1,
      copyWeight: grammage === null ? undefined : (area / 1e6) * grammage,
    },
  };
}

const USUAL: SheetOutput = { work: 'sheetwise', stages: 3, turns: true };

function printedSheet({ name, size, up, faces, work, signature }: ImposedSheet, inksOf: InksOf): PrintedSheet {
  const inks = faces.map(({ sides }) => Math.max(0, ...sides.map(({ surface }) => inksOf(surface))));
  const printed = inks.filter((count) => count > 0);
  const isOneSet = work === 'turn' || work === 'tumble';
  return {
    name,
    size,
    up: signature ? 1 : up,
    sets: printed,
    passes: isOneSet ? 2 * printed.length : printed.length,
    sides: (isOneSet ? [...printed, ...printed] : printed).map((count) => ({ isColour: count > 1 })),
  };
}

/** What is done to it once it is printed. */
function finishesOf(job: Job, sheets: readonly ImposedSheet[]): readonly FinishKind[] {
  const blanks = job.pieces.map((piece) => blankOf(job, piece));
  const bound = blanks.flatMap(({ bound: b }) => (b ? [b] : []));
  const found = new Set<FinishKind>();
  if (sheets.some(({ cutting }) => cutting) || bound.length > 0) found.add('trim');
  for (const { surfaces } of blanks)
    for (const { processLines } of surfaces) for (const { process } of processLines) found.add(process);
  if (sheets.some(({ signature }) => signature)) found.add('fold');
  const does = job.pieces.flatMap(({ finish = {} }) => Object.values(finish).flat());
  for (const one of does) {
    if (one.does === 'line') found.add(one.process);
    else found.add('coating');
  }
  for (const binding of bound) found.add(binding);
  return [...found];
}
