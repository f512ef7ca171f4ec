import {
  scaled,
  type Element,
  Element as ElementSchema,
  Grid,
  NamedGrid,
  Guide,
  TypeStyle,
  CellStyle,
} from '../element';
import { Finishing } from '../finish';
import { Impossible, type Format } from '../format';
import type { z } from 'zod';
import type { PageLayout } from './base-layout';
import { blankOf } from './blank-of';
import { remade } from './remade';
import { NamedMeasure } from './named-measure';
import { BaselineGrid, type Job, type Piece } from './schema';
import { readDecisions, refusalOf, type Started } from './start';

export interface Copying {
  readonly id: string;
  readonly name: string;
  /** What type, gaps and other fixed lengths are multiplied by; 1 leaves them as they are. */
  readonly times: number;
}

/**
 * The job’s piece in another format, as a job of its own: what it stands against is what it stood against, and its
 * places are solved anew.
 * @param typed decisions of the new format as typed; the rest is kept where the new kind has it, or takes its default
 */
export function copiedTo(
  job: Job,
  format: Format,
  typed: Readonly<Record<string, string>>,
  { id, name, times }: Copying,
): Started {
  const [piece] = job.pieces;
  const read = readDecisions(format, typed, { unit: job.unit, ppi: 300 });
  if (!read.ok) return read;
  if (!piece) throw new RangeError('A job without a piece.');
  const made = remade(job, piece, format, read.values);
  const refused = refusalOf(job, made);
  if (refused) return { ok: false, ...refused };
  return {
    ok: true,
    job: {
      ...withLengths(job, made, times),
      id,
      name,
      stage: 'brief',
      due: null,
      previous: null,
      proofs: undefined,
      readingDistance: format.usual?.distance ?? job.readingDistance,
    },
  };
}

/**
 * How much larger a copy is: the lesser of the ratios of its sides, so that what is scaled with it has room both ways.
 * Undefined where the format cannot be made of what was typed.
 */
export function usualTimes(job: Job, format: Format, typed: Readonly<Record<string, string>>): number | undefined {
  const [piece] = job.pieces;
  const copy = copiedTo(job, format, typed, { id: job.id, name: job.name, times: 1 });
  const [made] = copy.ok ? copy.job.pieces : [];
  if (!copy.ok || !piece || !made) return undefined;
  const [was, is] = [firstTrim(job, piece), firstTrim(copy.job, made)];
  return was && is ? Math.round(Math.min(is.width / was.width, is.height / was.height) * 1000) / 1000 : undefined;
}

function firstTrim(job: Job, piece: Piece) {
  try {
    return blankOf(job, piece).surfaces[0]?.boxes.trim;
  } catch (error) {
    if (error instanceof Impossible) return undefined;
    throw error;
  }
}

/** The job with this piece, and every length that the designer gave times a factor. What the press asks for stays. */
function withLengths(job: Job, piece: Piece, times: number): Job {
  if (times === 1) return { ...job, pieces: [piece] };
  const all = <T>(schema: z.ZodType<T>, list: readonly T[]): T[] => list.map((one) => scaled(schema, one, times));
  const elements = (list: readonly Element[]) => all(ElementSchema, list);
  const bases = piece.bases.map((base) => ({
    ...base,
    elements: elements(base.elements),
    facts: scaledFacts(piece, base.facts, times),
  }));
  return {
    ...job,
    measures: all(NamedMeasure, job.measures),
    styles: all(TypeStyle, job.styles),
    cellStyles: all(CellStyle, job.cellStyles),
    pieces: [
      {
        ...piece,
        grid: scaled(Grid, piece.grid, times),
        grids: all(NamedGrid, piece.grids),
        guides: all(Guide, piece.guides),
        baselineGrid: piece.baselineGrid && scaled(BaselineGrid, piece.baselineGrid, times),
        surfaces: Object.fromEntries(Object.entries(piece.surfaces).map(([side, list]) => [side, elements(list)])),
        ...(piece.finish && {
          finish: Object.fromEntries(Object.entries(piece.finish).map(([side, list]) => [side, all(Finishing, list)])),
        }),
        bases,
        layouts: Object.fromEntries(
          Object.entries(piece.layouts).map(([side, layout]): [string, PageLayout] => [
            side,
            { ...layout, facts: scaledFacts(piece, layout.facts, times) },
          ]),
        ),
      },
    ],
  };
}

/** What a page says of the items of its layout, each fact by the schema that the item’s kind has for it. */
function scaledFacts(piece: Piece, facts: PageLayout['facts'], times: number): PageLayout['facts'] {
  const kinds = new Map(piece.bases.flatMap((base) => base.elements.map((e) => [e.id, e.kind])));
  return Object.fromEntries(
    Object.entries(facts).map(([item, said]) => {
      const kind = kinds.get(item.split('@')[0] ?? item);
      const option = ElementSchema.options.find((o) => o.shape.kind.value === kind);
      const shape: Readonly<Record<string, z.ZodType>> = option?.shape ?? {};
      return [
        item,
        Object.fromEntries(
          Object.entries(said).map(([name, fact]) => [name, shape[name] ? scaled(shape[name], fact, times) : fact]),
        ),
      ];
    }),
  );
}
