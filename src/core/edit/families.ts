import { jobFonts, type Job } from '../job';
import type { ParagraphChanges, ParagraphLook, TypeSpec } from '../job';
import { SHIPPED } from '../type';

/** Families that can be set, the job’s own first. */
export function familiesOf(job: Job): readonly string[] {
  const own = [...new Set(jobFonts(job).map((f) => f.family))];
  return [...own, ...SHIPPED.map((f) => f.family).filter((f) => !own.includes(f))];
}

export function weightsOf(family: string, job: Job): readonly number[] {
  const own = jobFonts(job)
    .filter((f) => f.family === family)
    .map((f) => f.weight);
  const shipped = SHIPPED.find((f) => f.family === family)?.weights ?? [];
  const all = [...new Set([...own, ...shipped])].sort((a, b) => a - b);
  return all.length > 0 ? all : [400];
}

export const nearestWeight = (weights: readonly number[], to: number): number =>
  [...weights].sort((a, b) => Math.abs(a - to) - Math.abs(b - to))[0] ?? to;

/** Families with their weights, as a line of type is read. */
export const settableOf = (job: Job) => familiesOf(job).map((family) => ({ family, weights: weightsOf(family, job) }));

/** What a line of type changes of a look: a face that lacks the weight is taken in its nearest. */
export function changesOfSpec(
  job: Job,
  spec: TypeSpec,
  look: Pick<ParagraphLook, 'family' | 'weight'>,
): ParagraphChanges {
  const saysFace = spec.family !== undefined || spec.weight !== undefined;
  const weight = nearestWeight(weightsOf(spec.family ?? look.family, job), spec.weight ?? look.weight);
  return { ...spec, ...(saysFace && weight !== look.weight && { weight }) };
}
