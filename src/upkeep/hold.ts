import { join } from 'node:path';
import { DatabaseFile } from './database-file';

/**
 * How long somebody waits for who holds the data now to end, ms: a server that is started again overlaps with itself.
 */
const WAITS = 5_000;

export interface Hold {
  readonly letGo: () => Promise<void>;
}

const isBusy = (error: unknown): boolean => (error as { code?: unknown }).code === 'SQLITE_BUSY';

/**
 * Takes hold of a data folder for one program. The lock is one of the operating system, on a file beside the database:
 * it ends with the program, however that ends.
 * @returns undefined when another program holds it @throws where the folder cannot be written to
 */
export async function takeHold(folder: string, waits = WAITS): Promise<Hold | undefined> {
  const lock = await DatabaseFile.make(join(folder, 'in-use.lock'));
  lock.wait(waits);
  try {
    await lock.all('BEGIN EXCLUSIVE');
  } catch (error) {
    await lock.close();
    if (isBusy(error)) return undefined;
    throw error;
  }
  return { letGo: () => lock.close() };
}
