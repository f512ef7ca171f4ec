import { readFile, stat } from 'node:fs/promises';
import { UsageError } from './arguments';

/** The bytes of a file. @throws UsageError when there is none, or it is larger than `most` */
export async function readBounded(path: string, most: number): Promise<Uint8Array> {
  const facts = await stat(path).catch(() => undefined);
  if (!facts) throw new UsageError(`There is no file “${path}”.`);
  if (!facts.isFile()) throw new UsageError(`“${path}” is a folder. Name a file.`);
  if (facts.size > most) throw new UsageError(`“${path}” is larger than this program opens.`);
  return readFile(path);
}

const MOST_TEXT = 50 * 1024 * 1024;

export const readText = async (path: string): Promise<string> =>
  new TextDecoder().decode(await readBounded(path, MOST_TEXT));
