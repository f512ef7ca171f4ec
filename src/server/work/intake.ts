import { readFile } from 'node:fs/promises';
import { orderOf } from '@/core/job';
import type { Rect } from '@/core/layout';
import type { House } from '@/core/shop';
import { NotReadable, replyTo, type Order, type Reply } from '@/intake';
import { CannotExport, cutOuts, exportJob } from '@/output';
import { unpack } from '../packed';
import { assets } from './kept';

interface ToAnswer {
  readonly path: string;
  readonly house: House;
}

/** What came back for a file: the reply, and of each remark that has a place a picture of it, as an address. */
export interface Seen {
  readonly reply: Reply;
  /** One for each remark; empty where it has no place. */
  readonly pictures: readonly string[];
}

/** What a house answers to a file, or why there is nothing to look at. */
export type Answered = ({ readonly ok: true } & Seen) | { readonly ok: false; readonly problem: string };

/** So many remarks get a picture [own]. */
const PICTURED = 12;

/** Has a file looked at by the print house at the other end. */
export async function answerFile({ path, house }: ToAnswer): Promise<Answered> {
  return answered(await readFile(path), house);
}

interface JobToAnswer {
  /** A state of a job as it is kept. */
  readonly document: Uint8Array;
}

/** Makes the press file of a job and has its own house look at it, as if it had been sent. */
export async function answerJob({ document }: JobToAnswer): Promise<Answered> {
  const job = unpack(document);
  try {
    const [file] = await exportJob({ job, assets, kind: 'press', at: new Date() });
    return file
      ? await answered(file.bytes, job.house, orderOf(job))
      : { ok: false, problem: 'There is no press file.' };
  } catch (error) {
    if (error instanceof CannotExport) return { ok: false, problem: error.message };
    throw error;
  }
}

async function answered(bytes: Uint8Array, house: House, order: Order = {}): Promise<Answered> {
  try {
    const reply = await replyTo(bytes, house, order);
    return { ok: true, reply, pictures: await picturesOf(bytes, reply) };
  } catch (error) {
    if (error instanceof NotReadable) return { ok: false, problem: error.message };
    throw error;
  }
}

/** What is about the page as a whole has no place of its own. */
const isWhole = (where: Rect, { width, height }: Reply['size']): boolean =>
  where.width * where.height > 0.7 * width * height;

async function picturesOf(bytes: Uint8Array, { remarks, size }: Reply): Promise<readonly string[]> {
  const placed = remarks.flatMap(({ where, pages: [page] }, i) =>
    where && page !== undefined && !isWhole(where, size) ? [{ i, page, where }] : [],
  );
  const some = placed.slice(0, PICTURED);
  // A page that cannot be drawn has no pictures; what is said of it stands.
  const pngs = some.length > 0 ? await cutOuts(bytes, some, size).catch(() => []) : [];
  const byRemark = new Map(some.map(({ i }, n) => [i, pngs[n]]));
  return remarks.map((_, i) => {
    const png = byRemark.get(i);
    return png ? `data:image/png;base64,${Buffer.from(png).toString('base64')}` : '';
  });
}
