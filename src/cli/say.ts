import { rename, rm, writeFile } from 'node:fs/promises';

/** JSON on standard output. */
export const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);

/** Words on standard error. */
export const say = (text: string): void => void process.stderr.write(`${text}\n`);

/** A file appears whole or not at all. */
export async function writeWhole(
  path: string,
  contents: Uint8Array | string | AsyncIterable<Uint8Array>,
): Promise<void> {
  const part = `${path}.part`;
  try {
    await writeFile(part, contents);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
  await rename(part, path);
}

/** A job as it is kept in a file. */
export const jobText = (job: object): string => `${JSON.stringify(job, null, 2)}\n`;
