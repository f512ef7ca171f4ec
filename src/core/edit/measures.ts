import { putRecord } from './records';
import { isMeasureRef, measuresOf, mmOf, type Job, type NamedMeasure } from '../job';

/** Puts a measure in the place of the one of its id, or adds it. */
export const putMeasure = (job: Job, measure: NamedMeasure): Job => ({
  ...job,
  measures: putRecord(job.measures, measure),
});

/** The job without a measure; whatever used it keeps the length that it had. */
export function withoutMeasure(job: Job, id: string): Job {
  const values = measuresOf(job);
  const settled = <T>(value: T): T => {
    if (isMeasureRef(value)) return value.measure === id ? (mmOf(value, values) as T) : value;
    if (Array.isArray(value)) {
      const next = value.map(settled);
      return next.some((v, i) => v !== value[i]) ? (next as T) : value;
    }
    if (typeof value !== 'object' || value === null) return value;
    const entries = Object.entries(value).map(([key, v]) => [key, settled(v as unknown)] as const);
    return entries.some(([key, v]) => v !== (value as Record<string, unknown>)[key])
      ? (Object.fromEntries(entries) as T)
      : value;
  };
  return { ...job, pieces: settled(job.pieces), measures: job.measures.filter((m) => m.id !== id) };
}
