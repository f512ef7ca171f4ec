import { folderAssets } from '@/output';
import { missing } from '../problems';

/** Files of this installation. Who starts the process says where they lie. */
export const assets = folderAssets(process.env['YS_ASSETS'] ?? '');

/** Bytes of a file that is kept. @throws Problem when it is gone */
export async function fileOf(sha: string, what: string): Promise<Uint8Array> {
  const bytes = await assets.get(sha);
  if (!bytes) throw missing.bytes(what);
  return bytes;
}
