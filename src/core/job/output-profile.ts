import type { ProfileKey } from '../shop';
import type { ProfileAsset } from './asset';
import type { Job } from './schema';

/** Takes an output profile into a job, and prints through it. @param sha of its file */
export const withProfile = (job: Job, sha: string, asset: ProfileAsset): Job => ({
  ...job,
  assets: { ...job.assets, [sha]: asset },
  output: { ...job.output, profile: `icc-${sha}` },
});

/** The output profiles that were brought into a job. */
export const profilesOf = (job: Job): readonly { readonly key: ProfileKey; readonly about: string }[] =>
  Object.entries(job.assets).flatMap(([sha, asset]) =>
    asset.kind === 'profile' ? [{ key: `icc-${sha}` as const, about: asset.about }] : [],
  );
