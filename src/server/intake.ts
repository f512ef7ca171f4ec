import 'server-only';
import { House } from '@/core/shop';
import type { Reply } from '@/intake';
import { ask } from './ask';
import { listRecords } from './books';
import type { Incoming } from './incoming';
import { missing, refused } from './problems';

/**
 * What a printer of the books answers to a file that came in.
 * @param printer its name; empty for a house that says nothing of its own
 * @throws Problem when there is no such printer, or nothing to look at
 */
export async function answerIncoming(
  { path, sha }: Incoming,
  printer: string,
  signal?: AbortSignal,
): Promise<{ readonly reply: Reply }> {
  const house = await houseOf(printer);
  const key = `${sha} ${JSON.stringify(house)}`;
  const answered = await ask('answerFile', { path, house }, { key, apart: path, signal });
  if (!answered.ok) throw refused.file(answered.problem);
  return { reply: answered.reply };
}

async function houseOf(printer: string): Promise<House> {
  if (printer === '') return House.parse({});
  const records = (await listRecords('printers')).map((record) => House.parse(record));
  const found = records.find(({ name }) => name === printer);
  if (!found) throw missing.record('printer', printer);
  return found;
}
