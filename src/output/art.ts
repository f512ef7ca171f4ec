import { readSvg } from '../bring-in/svg';
import { drawingsNeeded } from '../core/compose';
import type { Job } from '../core/job';
import type { VectorArt } from '../core/shape';
import type { AssetSource } from './assets';

/** Opens every drawing that a job shows. One that is missing or broken is left out: a check says so. */
export async function loadArt(job: Job, assets: AssetSource): Promise<ReadonlyMap<string, VectorArt>> {
  const opened = new Map<string, VectorArt>();
  for (const sha of drawingsNeeded(job)) {
    const bytes = await assets.get(sha);
    const read = bytes && readSvg(new TextDecoder().decode(bytes));
    if (read?.ok) opened.set(sha, read.art);
  }
  return opened;
}
