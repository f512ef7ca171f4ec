import { readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';

/** How much of what can be made again is kept. */
export interface Keeping {
  readonly days: number;
  readonly megabytes: number;
}

const DAY = 86_400_000;

/** Everything in a folder, folders counted as one with all that is in them. */
export async function contentsOf(
  folder: string,
): Promise<readonly { readonly path: string; readonly bytes: number; readonly at: number }[]> {
  const names = await readdir(folder).catch(() => [] as string[]);
  const found = await Promise.all(
    names.map(async (name) => {
      const path = join(folder, name);
      const facts = await stat(path).catch(() => undefined);
      if (!facts) return [];
      const inside = facts.isDirectory() ? (await contentsOf(path)).reduce((sum, f) => sum + f.bytes, 0) : 0;
      return [{ path, bytes: facts.isDirectory() ? inside : facts.size, at: facts.mtimeMs }];
    }),
  );
  return found.flat();
}

/**
 * Removes from a folder what is older than may be, then the oldest until the rest fits.
 * @returns what was removed
 */
export async function prune(folder: string, { days, megabytes }: Keeping, now: number): Promise<readonly string[]> {
  const newestFirst = [...(await contentsOf(folder))].sort((a, b) => b.at - a.at);
  let bytes = 0;
  const gone: string[] = [];
  for (const file of newestFirst) {
    bytes += file.bytes;
    if (now - file.at <= days * DAY && bytes <= megabytes * 1024 * 1024) continue;
    await rm(file.path, { recursive: true, force: true });
    gone.push(file.path);
  }
  return gone;
}
