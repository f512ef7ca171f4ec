import { basename } from 'node:path';
import { MAX_ASSET_BYTES, readAsset } from '../bring-in/asset';
import type { Asset } from '../core/job';
import { UsageError } from './arguments';
import { readBounded } from './files';
import { sha256 } from './job-file';

/** A file as it is brought into a job, and what of it is left out. */
export interface ReadFile {
  readonly sha: string;
  readonly bytes: Uint8Array;
  readonly asset: Asset;
  readonly left: readonly string[];
}

/** Reads a picture, drawing, PDF, font or profile: its hash, and what is in it. */
export async function readBroughtFile(path: string): Promise<ReadFile> {
  const bytes = await readBounded(path, MAX_ASSET_BYTES);
  const { loadLittleCms } = await import('../output/profiles');
  const read = await readAsset(basename(path), bytes, { littleCms: loadLittleCms });
  if (!read.ok) throw new UsageError(read.problem);
  return { sha: sha256(bytes), bytes, asset: read.asset, left: read.left };
}
