import { z } from 'zod';
import { LENGTHS, measureId, type Measures } from '../element';

/** A length with a name, used wherever a length could stand. */
export const NamedMeasure = z.strictObject({
  id: measureId,
  name: z.string().min(1).max(60),
  value: z.number().min(-20_000).max(20_000).register(LENGTHS, { per: 'mm' }).describe('mm'),
});
export type NamedMeasure = z.infer<typeof NamedMeasure>;

export const measuresOf = (job: { readonly measures: readonly NamedMeasure[] }): Measures =>
  Object.fromEntries(job.measures.map((m) => [m.id, m.value]));
