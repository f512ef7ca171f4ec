import { randomUUID } from 'node:crypto';
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import { dirname } from 'node:path';
import { shipped } from './home';

/**
 * A font file that ships, as sfnt. The packages carry it as WOFF2; it is unpacked once, where the pages fetch it too.
 * Where that cannot be written it is unpacked each time.
 * @param key name of the file, without its ending
 */
export async function readShippedFont(key: string): Promise<Uint8Array> {
  const unpacked = shipped('public', 'fonts', `${key}.ttf`);
  const before = await readFile(unpacked).catch(() => undefined);
  if (before) return before;
  const [family = ''] = /^.+?(?=-latin)/.exec(key) ?? [];
  const packed = await readFile(shipped('node_modules', '@fontsource', family, 'files', `${key}.woff2`));
  const { default: decompress } = await import('woff2-encoder/decompress');
  const bytes = await decompress(packed);
  await keep(unpacked, bytes).catch(() => undefined);
  return bytes;
}

async function keep(path: string, bytes: Uint8Array): Promise<void> {
  await mkdir(dirname(path), { recursive: true });
  const part = `${path}.${randomUUID()}.part`;
  await writeFile(part, bytes);
  await rename(part, path);
}
