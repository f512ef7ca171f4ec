import type { Asset, JobSummary } from '@/core/job';
import { upload } from './upload';

/** A file that a job can use now: what it is, and what was in it that cannot be used. */
export interface Added {
  readonly sha: string;
  readonly asset: Asset;
  readonly left: readonly string[];
}

/** Brings in a picture, a drawing, a PDF, a font or a profile. */
export const addAsset = (file: File): Promise<Added> =>
  upload(`/api/assets?name=${encodeURIComponent(file.name)}`, file);

/** Opens a working file or a job file as a new job. */
export const openFile = (file: File): Promise<JobSummary> => upload('/api/import', file);
