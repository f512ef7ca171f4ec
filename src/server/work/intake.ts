import { readFile } from 'node:fs/promises';
import { orderOf } from '@/core/job';
import type { House } from '@/core/shop';
import { NotReadable, replyTo, type Order, type Reply } from '@/intake';
import { CannotExport, exportJob, gathered, picturesOfRemarks, replyPdf } from '@/output';
import { unpack } from '../packed';
import { assets } from './kept';

interface ToAnswer {
  readonly path: string;
  readonly house: House;
  readonly order: Order;
}

/** What came back for a file: the reply, and of each remark that has a place a picture of it, as an address. */
export interface Seen {
  readonly reply: Reply;
  /** One for each remark; empty where it has no place. */
  readonly pictures: readonly string[];
}

/** What a house answers to a file, or why there is nothing to look at. */
export type Answered = ({ readonly ok: true } & Seen) | { readonly ok: false; readonly problem: string };

/** Has a file looked at by the print house at the other end. */
export async function answerFile({ path, house, order }: ToAnswer): Promise<Answered> {
  return answered(await readFile(path), house, order);
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
      ? await answered((await gathered(file)).bytes, job.house, orderOf(job))
      : { ok: false, problem: 'There is no press file.' };
  } catch (error) {
    if (error instanceof CannotExport) return { ok: false, problem: error.message };
    throw error;
  }
}

async function answered(bytes: Uint8Array, house: House, order?: Order): Promise<Answered> {
  try {
    const reply = await replyTo(bytes, house, order);
    return { ok: true, reply, pictures: await picturesOf(bytes, reply) };
  } catch (error) {
    if (error instanceof NotReadable) return { ok: false, problem: error.message };
    throw error;
  }
}

async function picturesOf(bytes: Uint8Array, { remarks, size }: Reply): Promise<readonly string[]> {
  const pngs = await picturesOfRemarks(bytes, remarks, size);
  return pngs.map((png) => (png ? `data:image/png;base64,${Buffer.from(png).toString('base64')}` : ''));
}

/** A reply in words, with the pictures of its places as addresses. */
export interface ToPrint {
  readonly house: string;
  readonly file: string;
  readonly answer: string;
  readonly facts: string;
  readonly day: string;
  readonly lines: readonly {
    readonly weight: string;
    readonly title: string;
    readonly found: string;
    readonly wish: string;
    readonly place: string;
    readonly picture: string;
  }[];
}

const HEAD = 'data:image/png;base64,';

/** A reply as a page. */
export const printReply = ({ lines, ...words }: ToPrint): Promise<Uint8Array> =>
  replyPdf(
    {
      ...words,
      lines: lines.map(({ picture, ...line }) => ({
        ...line,
        png: picture.startsWith(HEAD) ? Buffer.from(picture.slice(HEAD.length), 'base64') : undefined,
      })),
    },
    new Date(),
  );
