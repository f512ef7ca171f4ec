import 'server-only';
import { House } from '@/core/shop';
import { ask } from './ask';
import { sha256 } from './assets';
import { listRecords } from './books';
import type { Incoming } from './incoming';
import { packedRevision } from './jobs';
import { missing, refused } from './problems';
import type { Order } from '@/intake';
import type { By } from './views';
import type { Answered, Seen, ToPrint } from './work/intake';

/**
 * What a printer of the books answers to a file that came in.
 * @param printer its name; empty for a house that says nothing of its own
 * @param order   what the file is held to beside the book
 * @throws Problem when there is no such printer, or nothing to look at
 */
export async function answerIncoming(
  { path, sha }: Incoming,
  printer: string,
  order: Order,
  signal?: AbortSignal,
): Promise<Seen> {
  const house = await houseOf(printer);
  const key = `${sha} ${JSON.stringify([house, order])}`;
  const answered = await ask('answerFile', { path, house, order }, { key, apart: path, signal });
  return seen(answered);
}

/**
 * What the house of a job answers to its press file, as if it had been sent.
 * @throws Problem when the file cannot be made
 */
export async function answerRevision(id: string, number: number, by: By): Promise<Seen> {
  const document = await packedRevision(id, number);
  return seen(await ask('answerJob', { document }, { ...by, key: `house ${sha256(document)}` }));
}

/** A reply as a page. */
export const printedReply = (reply: ToPrint, signal: AbortSignal): Promise<Uint8Array> =>
  ask('printReply', reply, { key: `reply ${sha256(Buffer.from(JSON.stringify(reply)))}`, signal });

function seen(answered: Answered): Seen {
  if (!answered.ok) throw refused.file(answered.problem);
  const { reply, pictures } = answered;
  return { reply, pictures };
}

async function houseOf(printer: string): Promise<House> {
  if (printer === '') return House.parse({});
  const records = (await listRecords('printers')).map((record) => House.parse(record));
  const found = records.find(({ name }) => name === printer);
  if (!found) throw missing.record('printer', printer);
  return found;
}
