import { writeWorkingFile } from '../bring-in/working-file';
import type { Job } from '../core/job';
import type { AssetSource } from './assets';
import { CannotExport } from './cannot-export';
import type { OutputFile } from './file';
import { fileStem } from './file-name';

/** The job with its pictures and fonts in one zip; fonts whose maker allows print only stay behind. */
export async function workingFile(job: Job, assets: AssetSource): Promise<OutputFile> {
  const found = new Map<string, Uint8Array>();
  for (const [sha, asset] of Object.entries(job.assets)) {
    if (asset.kind === 'font' && asset.embedding === 'print') continue;
    const bytes = await assets.get(sha);
    if (!bytes) throw new CannotExport(`“${asset.name}” is missing. Bring it in again, or take it out of the job.`);
    found.set(sha, bytes);
  }
  return {
    name: `${fileStem(job.name)}.yellowsheet.zip`,
    type: 'application/zip',
    bytes: writeWorkingFile(job, found),
  };
}
