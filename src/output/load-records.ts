import { rowsOfFile } from '../bring-in/data';
import type { Job } from '../core/job';
import { recordSet, type RecordSet, type Rows } from '../core/records';
import type { AssetSource } from './assets';

/** The records of a job; undefined where all copies are alike, and where their file is gone or damaged. */
export async function loadRecords(job: Job, assets: AssetSource): Promise<RecordSet | undefined> {
  const { records } = job;
  if (records?.from !== 'file') return recordSet(job, () => undefined);
  const bytes = await assets.get(records.file);
  const read = bytes && rowsOfFile(bytes);
  const rows: Rows | undefined = read?.ok ? read.rows : undefined;
  return recordSet(job, () => rows);
}
