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

/** What is printed: so many copies, each sheet of them so many times; undefined while that is open. */
export function printRun(job: Pick<Job, 'records' | 'assets' | 'quantity'>) {
  if (!job.records) return job.quantity === null ? undefined : { copies: job.quantity, each: 1 };
  const copies = countOf(job);
  return { copies, each: Math.max(1, Math.ceil((job.quantity ?? copies) / copies)) };
}
