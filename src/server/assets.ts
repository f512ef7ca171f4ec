import 'server-only';
import { createHash, randomUUID } from 'node:crypto';
import { mkdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { AssetReading } from '@/bring-in/asset';
import type { Asset, JobSummary } from '@/core/job';
import { Asset as AssetSchema } from '@/core/job';
import { folderAssets } from '@/output';
import { ask } from './ask';
import { incomingFolder, type Incoming } from './incoming';
import { createJob } from './jobs';
import { dataFolder, store } from './store/database';
import { writeWhole } from './write-whole';
import { missing, refused } from './problems';

export const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

const assetPath = (sha: string): string => dataFolder('assets', sha);

/** Bytes of a file of this installation; undefined when it is gone. */
export const assetBytes = (sha: string): Promise<Uint8Array | undefined> => folderAssets(dataFolder('assets')).get(sha);

async function sound(reading: Promise<AssetReading>): Promise<Omit<Added, 'sha'>> {
  const read = await reading;
  if (!read.ok) throw refused.file(read.problem);
  return read;
}

/** Takes in bytes that come from this program, as if they had come in. @throws Problem when they cannot be used */
export async function addAsset(name: string, bytes: Uint8Array): Promise<Added> {
  await mkdir(incomingFolder(), { recursive: true });
  const path = join(incomingFolder(), randomUUID());
  try {
    await writeFile(path, bytes, { flush: true });
    return await addIncoming(name, { path, sha: sha256(bytes), size: bytes.length });
  } finally {
    await rm(path, { force: true });
  }
}

/**
 * Takes in a picture or a font that came in and lies on disk: it is read wholly before anything else is written, then
 * moved to its place; the same bytes are kept once.
 * @throws Problem when it is not one that can be used
 */
export async function addIncoming(name: string, { path, sha, size }: Incoming, signal?: AbortSignal): Promise<Added> {
  const { asset, left } = await sound(ask('readAsset', { path, name }, { key: `${sha} ${name}`, apart: path, signal }));
  await keep(sha, size, asset, path);
  return { sha, asset, left };
}

export interface Added {
  readonly sha: string;
  readonly asset: Asset;
  /** What was in the file and cannot be used, in words. */
  readonly left: readonly string[];
}

/** Moves a file to where files are kept, and notes what it is. */
async function keep(sha: string, size: number, asset: Asset, path: string): Promise<void> {
  const present = await stat(assetPath(sha)).then(
    (facts) => facts.size === size,
    () => false,
  );
  if (!present) await rename(path, assetPath(sha));
  const { models, write } = await store();
  await write((transaction) =>
    models.assets.upsert(
      { sha, kind: asset.kind, name: asset.name, bytes: size, facts: JSON.stringify(asset) },
      { transaction },
    ),
  );
}

/**
 * Opens a working file or a job file that came in as a new job. Every file in it is read as if it came alone, and the
 * job gets what was found; nothing is kept before everything was read.
 * @throws Problem when it cannot be opened
 */
export async function openIncoming({ path, sha }: Incoming, signal?: AbortSignal): Promise<JobSummary> {
  const folder = join(incomingFolder(), randomUUID());
  await mkdir(folder);
  try {
    const opened = await ask('openJobFile', { path, folder }, { key: sha, apart: folder, signal });
    if (!opened.ok) throw refused.workingFile(opened.problems);
    const { job, from, files } = opened;
    const read = new Map<string, Asset>();
    for (const file of files) {
      const claimed = job.assets[file.sha];
      if (!claimed) continue;
      const { kind, name } = claimed;
      const key = `${file.sha} ${kind} ${name}`;
      read.set(
        file.sha,
        (await sound(ask('readAsset', { path: file.path, name, kind }, { key, apart: file.path, signal }))).asset,
      );
    }
    for (const file of files) {
      const asset = read.get(file.sha);
      if (asset) await keep(file.sha, file.size, asset, file.path);
    }
    const assets = { ...job.assets, ...Object.fromEntries(read) };
    return await createJob({ ...job, assets }, `Opened from a ${from}`);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** Facts of an asset, as a job holds them. */
export async function assetFacts(sha: string): Promise<Asset> {
  const { models } = await store();
  const row = await models.assets.findByPk(sha);
  if (!row) throw missing.asset();
  return AssetSchema.parse(JSON.parse(row.facts));
}

/** A file made once and kept: by a name that says everything it depends on. */
export async function cached(name: string, make: () => Promise<Uint8Array>): Promise<Uint8Array> {
  const path = join(dataFolder('cache'), name);
  const before = await readFile(path).catch(() => undefined);
  if (before) return before;
  const bytes = await make();
  await writeWhole(path, bytes);
  return bytes;
}
