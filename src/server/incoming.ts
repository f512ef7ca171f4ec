import 'server-only';
import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { bodyParts } from './respond';
import { dataFolder } from './store/database';
import { halted } from './problems';

/** A file that came in, on disk and not yet looked at. */
export interface Incoming {
  readonly path: string;
  readonly sha: string;
  readonly size: number;
}

/** Where files lie while they come in. */
export const incomingFolder = (): string => dataFolder('incoming');

/**
 * Writes a body to disk as it comes, and lends the file to some work; it is gone when that is done, unless it was moved
 * away.
 * @param most bytes
 * @throws Problem when it is too large, does not come to its end, or is not what was sent
 */
export async function withIncoming<T>(
  request: Request,
  most: number,
  work: (file: Incoming) => Promise<T>,
): Promise<T> {
  await mkdir(incomingFolder(), { recursive: true });
  const path = join(incomingFolder(), randomUUID());
  try {
    return await work({ path, ...(await received(request, most, path)) });
  } finally {
    await rm(path, { force: true });
  }
}

async function received(request: Request, most: number, path: string): Promise<Omit<Incoming, 'path'>> {
  const hash = createHash('sha256');
  let size = 0;
  const file = await open(path, 'wx');
  try {
    for await (const part of bodyParts(request, most)) {
      hash.update(part);
      size += part.length;
      await file.writeFile(part);
    }
    await file.sync();
  } finally {
    await file.close();
  }
  const digest = hash.digest();
  const said = request.headers.get('content-length');
  if (said !== null && Number(said) !== size) throw cut();
  const sent = digestOf(request);
  if (sent !== undefined && sent !== digest.toString('base64')) throw cut();
  return { size, sha: digest.toString('hex') };
}

const cut = () => halted.spoilt();

/** What the sender says it sends (RFC 9530): the SHA-256 in base64. */
function digestOf({ headers }: Request): string | undefined {
  const said = headers.get('repr-digest');
  return said === null ? undefined : /sha-256=:([A-Za-z0-9+/=]+):/.exec(said)?.[1];
}
