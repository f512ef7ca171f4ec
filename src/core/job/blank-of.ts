import { completeBlank, formatOf, type Blank, type FormatContext } from '../format';
import { formatLength } from '../measure';
import { resolveRules, type Rules } from '../rules';
import { measuresOf } from './named-measure';
import type { Job, Piece } from './schema';

/** The rules a piece is held to. */
export function rulesFor(job: Job, piece: Piece): Rules {
  return resolveRules({
    unit: job.unit,
    house: job.house,
    stock: job.stock,
    readingDistance: job.readingDistance,
    ppi: job.ppi,
    bleed: piece.bleed,
    safe: piece.safe,
    markOffset: job.output.markOffset,
    profile: job.output.profile,
    intent: job.output.intent,
    ownBlack: job.output.ownBlack,
    usual: formatOf(piece.kind)?.usual,
  });
}

/** Whether the house rules are its own or the common ones. */
export const isHouseKnown = (job: Job): boolean => job.house.name.trim() !== '';

/**
 * The flat piece of paper that a piece of a job is.
 * @throws Impossible when the decisions of its kind cannot be; a job that was read has none of those
 */
export function blankOf(job: Job, piece: Piece): Blank {
  const format = formatOf(piece.kind);
  if (!format) throw new RangeError(`There is no format “${piece.kind}”.`);
  const rules = rulesFor(job, piece);
  const context: FormatContext = {
    unit: job.unit,
    rules,
    stock: job.stock,
    write: (mm) => formatLength(mm, job.unit, rules.ppi.value),
  };
  const { id, name, grid } = piece;
  return completeBlank(
    format.plan(piece.decisions, context),
    { id, name, grid, measures: measuresOf(job), readingDistance: job.readingDistance },
    context,
  );
}

/** The sides or pages a piece has, in reading order. */
export const sidesOf = (job: Job, piece: Piece): readonly string[] => blankOf(job, piece).surfaces.map((s) => s.name);
