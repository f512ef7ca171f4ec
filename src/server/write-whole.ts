import 'server-only';
import { randomUUID } from 'node:crypto';
import { open, rename, rm } from 'node:fs/promises';

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
