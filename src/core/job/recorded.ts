import type { Job } from './schema';

/** The column of records that are counted. */
export const COUNTED = 'number';

/** The columns that a job’s records have, known without their rows. */
export function columnsOf({ records, assets }: Pick<Job, 'records' | 'assets'>): readonly string[] {
  if (!records) return [];
  if (records.from === 'count') return [COUNTED];
  const asset = assets[records.file];
  return asset?.kind === 'data' ? asset.columns : [];
}

/** How many records a job has, known without their rows; 1 where all copies are alike. */
export function countOf({ records, assets }: Pick<Job, 'records' | 'assets'>): number {
  if (!records) return 1;
  if (records.from === 'count') return records.count;
  const asset = assets[records.file];
  return asset?.kind === 'data' ? asset.rows : 1;
}

/** How many copies are printed: one of each record, or the quantity; null where none is set. */
export const copiesOf = (job: Pick<Job, 'records' | 'assets' | 'quantity'>): number | null =>
  job.records ? countOf(job) : job.quantity;
