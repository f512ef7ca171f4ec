import 'server-only';
import { createHash, randomUUID } from 'node:crypto';
import { open, readFile, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { readAs, readAsset, type AssetReading, type HowToRead } from '@/bring-in/asset';
import type { Asset, Job } from '@/core/job';
import { Asset as AssetSchema } from '@/core/job';
import { loadLittleCms, type AssetSource } from '@/output';
import { documentReading } from './documents';
import type { Incoming } from './incoming';
import { Problem } from './problem';
import { dataFolder, store } from './store/database';

export const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

const assetPath = (sha: string): string => dataFolder('assets', sha);

/** Pictures and fonts of this installation. */
export const assetStore: AssetSource = {
  get: async (sha) => {
    if (!/^[0-9a-f]{64}$/.test(sha)) return undefined;
    return readFile(assetPath(sha)).catch(() => undefined);
  },
};

/** Writes a file whole: to a temporary name, forced to disk, then renamed. */
export async function writeWhole(path: string, bytes: Uint8Array): Promise<void> {
  const part = `${path}.${randomUUID()}.part`;
  try {
    const file = await open(part, 'wx');
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(part, path);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}

/** PDFs are read in a process of their own. */
const HOW: HowToRead = { littleCms: loadLittleCms, document: documentReading };

async function sound(reading: Promise<AssetReading>): Promise<Omit<Added, 'sha'>> {
  const read = await reading;
  if (!read.ok) throw new Problem(422, read.problem, 'Nothing was changed.');
  return read;
}

/**
 * Takes in a picture or a font from outside. It is read wholly before anything is written; the same bytes are kept once.
 * @throws Problem when it is not one that can be used
 */
export async function addAsset(name: string, bytes: Uint8Array): Promise<Added> {
  const { asset, left } = await sound(readAsset(name, bytes, HOW));
  const sha = sha256(bytes);
  await keep(sha, bytes.length, asset, (path) => writeWhole(path, bytes));
  return { sha, asset, left };
}

/** Takes in a file that came in and lies on disk already: it is moved to its place. @throws Problem likewise */
export async function addIncoming(name: string, { path, sha, size }: Incoming): Promise<Added> {
  const { asset, left } = await sound(readAsset(name, await readFile(path), HOW));
  await keep(sha, size, asset, (place) => rename(path, place));
  return { sha, asset, left };
}

export interface Added {
  readonly sha: string;
  readonly asset: Asset;
  /** What was in the file and cannot be used, in words. */
  readonly left: readonly string[];
}

async function keep(sha: string, size: number, asset: Asset, place: (path: string) => Promise<void>): Promise<void> {
  const present = await stat(assetPath(sha)).then(
    (facts) => facts.size === size,
    () => false,
  );
  if (!present) await place(assetPath(sha));
  const { models, write } = await store();
  await write((transaction) =>
    models.assets.upsert(
      { sha, kind: asset.kind, name: asset.name, bytes: size, facts: JSON.stringify(asset) },
      { transaction },
    ),
  );
}

/** Takes in every asset of a working file: each is read as if it came alone, and the job gets what was found. */
export async function addWorkingAssets(job: Job, assets: ReadonlyMap<string, Uint8Array>): Promise<Job> {
  const read = new Map<string, Asset>();
  for (const [sha, bytes] of assets) {
    const claimed = job.assets[sha];
    if (!claimed) continue;
    read.set(sha, (await sound(readAs(claimed.kind, claimed.name, bytes, HOW))).asset);
  }
  // Nothing is written before everything was read.
  for (const [sha, asset] of read) {
    const bytes = assets.get(sha) ?? new Uint8Array();
    await keep(sha, bytes.length, asset, (path) => writeWhole(path, bytes));
  }
  return { ...job, assets: { ...job.assets, ...Object.fromEntries(read) } };
}

/** Facts of an asset, as a job holds them. */
export async function assetFacts(sha: string): Promise<Asset> {
  const { models } = await store();
  const row = await models.assets.findByPk(sha);
  if (!row) throw new Problem(404, 'This picture or font is not here.', 'Bring it in again.');
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
