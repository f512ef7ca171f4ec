import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

/** Bytes of pictures and fonts by their SHA-256. */
export interface AssetSource {
  readonly get: (sha: string) => Promise<Uint8Array | undefined>;
}

/** Pictures and fonts lying in a folder under the SHA-256 of their bytes. */
export const folderAssets = (folder: string): AssetSource => ({
  get: async (sha) => {
    if (!/^[0-9a-f]{64}$/.test(sha)) return undefined;
    return readFile(join(folder, sha)).catch(() => undefined);
  },
});

/** Files that are at hand. */
export const inMemoryAssets = (files: ReadonlyMap<string, Uint8Array>): AssetSource => ({
  get: (sha) => Promise.resolve(files.get(sha)),
});
