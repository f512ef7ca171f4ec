import { createHash } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readAs, sortOf, type AssetReading } from '@/bring-in/asset';
import { isZip, readJobText, readWorkingFile } from '@/bring-in/working-file';
import type { Asset, Job } from '@/core/job';
import { loadLittleCms } from '@/output';

interface FromOutside {
  readonly path: string;
  readonly name: string;
  /** What it is said to be; left out, it is told by what is in it. */
  readonly kind?: Asset['kind'];
}

/** Reads a file from outside wholly, as what it is. */
export async function readAsset({ path, name, kind }: FromOutside): Promise<AssetReading> {
  const bytes = await readFile(path);
  return readAs(kind ?? sortOf(name, bytes), name, bytes, { littleCms: loadLittleCms });
}

/** A file that lay in a working file, and lies on disk now. */
export interface Unpacked {
  readonly path: string;
  readonly sha: string;
  readonly size: number;
}

export type Opened =
  | {
      readonly ok: true;
      readonly job: Job;
      readonly from: 'working file' | 'job file';
      readonly files: readonly Unpacked[];
    }
  | { readonly ok: false; readonly problems: readonly string[] };

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

interface ToOpen {
  readonly path: string;
  /** A folder that its files are laid in. */
  readonly folder: string;
}

/** Reads a working file or a job file; the files in it are laid beside each other in a folder. */
export async function openJobFile({ path, folder }: ToOpen): Promise<Opened> {
  const bytes = await readFile(path);
  if (!isZip(bytes)) {
    const read = readJobText(new TextDecoder().decode(bytes));
    return read.ok ? { ok: true, job: read.job, from: 'job file', files: [] } : read;
  }
  const read = readWorkingFile(bytes, sha256);
  if (!read.ok) return read;
  const files: Unpacked[] = [];
  for (const [sha, contents] of read.assets) {
    const place = join(folder, sha);
    await writeFile(place, contents);
    files.push({ path: place, sha, size: contents.length });
  }
  return { ok: true, job: read.job, from: 'working file', files };
}
