import {
  blankOf,
  countOf,
  finishesOf,
  imposedAlone,
  paperOf,
  type ImposedSheet,
  type Job,
  type SheetOutput,
} from '../job';
import type { Size } from '../paper';
import type { FinishKind, House } from '../shop';

/** How many plates print a side: process inks and spot inks that are on it. */
export type InksOf = (surface: string) => number;

/** A kind of sheet of a way to print a job. */
export interface PrintedSheet {
  readonly name: string;
  /** So many are printed alike, such as most signatures of a book. */
  readonly kinds: number;
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
  const { guests: _guests, order: _order, sheet: _sheet, ...own } = job.output.sheet ?? USUAL;
  const asked: Job = { ...job, house, output: { ...job.output, sheet: { ...own, ...(sheet && { sheet }) } } };
  const sheets: PrintedSheet[] = [];
  for (const piece of asked.pieces) {
    const made = imposedAlone(asked, piece);
    if (!made.ok) return made;
    sheets.push(...made.sheets.map((one) => printedSheet(one, inksOf)));
  }
  const { grammage } = job.stock;
  const area = job.pieces.reduce((sum, piece) => sum + paperOf(blankOf(asked, piece)), 0);
  return {
    ok: true,
    way: {
      house,
      sheets: alike(sheets),
      finishes: [...finishesOf(asked)],
      grammage,
      records: countOf(job),
      copyWeight: grammage === null ? undefined : (area / 1e6) * grammage,
    },
  };
}

/** Sheets that are printed alike, as one. */
function alike(sheets: readonly PrintedSheet[]): readonly PrintedSheet[] {
  const groups = new Map<string, PrintedSheet[]>();
  for (const sheet of sheets) {
    const { name: _, ...facts } = sheet;
    const key = JSON.stringify(facts);
    groups.set(key, [...(groups.get(key) ?? []), sheet]);
  }
  return [...groups.values()].flatMap((group) => {
    const [first, last] = [group[0], group.at(-1)];
    if (!first || !last) return [];
    return [{ ...first, name: first === last ? first.name : `${first.name} to ${last.name}`, kinds: group.length }];
  });
}

const USUAL: SheetOutput = { work: 'sheetwise', stages: 3, turns: true };

function printedSheet({ name, size, up, faces, work, signature }: ImposedSheet, inksOf: InksOf): PrintedSheet {
  const inks = faces.map(({ sides }) => Math.max(0, ...sides.map(({ surface }) => inksOf(surface))));
  const printed = inks.filter((count) => count > 0);
  const isOneSet = work === 'turn' || work === 'tumble';
  return {
    name,
    kinds: 1,
    size,
    up: signature ? 1 : up,
    sets: printed,
    // A perfecting press prints both sides in one pass.
    passes: isOneSet ? 2 * printed.length : work === 'perfecting' ? Math.min(1, printed.length) : printed.length,
    sides: (isOneSet ? [...printed, ...printed] : printed).map((count) => ({ isColour: count > 1 })),
  };
}
