import { basename } from 'node:path';
import { MAX_ASSET_BYTES } from '../../bring-in/asset';
import { orderOf } from '../../core/job';
import { counted } from '../../core/measure';
import { House, SHIPPED_PRINTERS } from '../../core/shop';
import { NotReadable, replyTo, replyWords, type Reply } from '../../intake';
import { UsageError, type Arguments } from '../arguments';
import { readBounded } from '../files';
import { openJobFile } from '../job-file';
import { print, say, writeWhole } from '../say';

/** What a print house answers to files, anybody’s. */
export async function run(args: Arguments): Promise<number> {
  if (args.words.length === 0) throw new UsageError('Name the files, for example: ys intake flyer.pdf');
  const of = args.flags.get('job');
  const job = of === undefined ? undefined : (await openJobFile(of)).job;
  const printer = args.flags.get('printer');
  const house = job && printer === undefined ? job.house : printerOf(printer);
  const order = job && orderOf(job);
  const replies: object[] = [];
  let isAnyBack = false;
  for (const path of args.words) {
    const file = basename(path);
    try {
      const bytes = await readBounded(path, MAX_ASSET_BYTES);
      const reply = await replyTo(bytes, house, order);
      isAnyBack ||= reply.answer === 'sent back';
      replies.push({ file, ...reply });
      const page = args.flags.get('reply');
      if (page !== undefined) await writeWhole(page, await pageOf(reply, bytes, { file, house: house.name }));
      say(`${file}: ${inWords(reply)}`);
    } catch (error) {
      if (!(error instanceof NotReadable)) throw error;
      isAnyBack = true;
      replies.push({ file, answer: 'sent back', problem: error.message });
      say(`${file}: sent back. ${error.message}`);
    }
  }
  print(replies);
  return isAnyBack ? 1 : 0;
}

/** The reply as a page, with a picture of each place. */
async function pageOf(reply: Reply, bytes: Uint8Array, of: { file: string; house: string }): Promise<Uint8Array> {
  const { picturesOfRemarks, replyPdf } = await import('../../output');
  const pngs = await picturesOfRemarks(bytes, reply.remarks, reply.size);
  const { lines, ...words } = replyWords(reply);
  const day = new Date().toISOString().slice(0, 10);
  const house = of.house || 'A print house';
  const pictured = lines.map((line, i) => ({ ...line, png: pngs[i] }));
  return replyPdf({ ...words, house, file: of.file, day, lines: pictured }, new Date());
}

/** A house that ships; without a name, one that says nothing of its own. */
function printerOf(name: string | undefined): House {
  if (name === undefined) return House.parse({});
  const found = SHIPPED_PRINTERS.find((house) => house.name.toLowerCase() === name.toLowerCase());
  if (found) return found;
  throw new UsageError(
    `There is no printer “${name}”. There are ${SHIPPED_PRINTERS.map((house) => house.name).join(', ')}.`,
  );
}

function inWords({ answer, remarks }: Reply): string {
  const count = (weight: string) => remarks.filter((remark) => remark.weight === weight).length;
  const parts = [
    ...(count('fault') > 0 ? [counted(count('fault'), 'fault')] : []),
    ...(count('warning') > 0 ? [counted(count('warning'), 'remark')] : []),
  ];
  return `${answer}${parts.length > 0 ? ` (${parts.join(', ')})` : ''}.`;
}
