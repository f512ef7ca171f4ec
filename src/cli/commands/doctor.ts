import { join } from 'node:path';
import { shipped } from '../../output/home';
import { examine, takeHold } from '../../upkeep';
import type { Arguments } from '../arguments';
import { say } from '../say';

/** Where the data lie that a server keeps when nothing else is said. */
export const dataFolderOf = (args: Arguments): string =>
  args.flags.get('data') ?? process.env['YS_DATA'] ?? join(shipped(), 'data');

/** Looks at everything that a server keeps, and mends what can be mended. */
export async function run(args: Arguments): Promise<number> {
  const folder = dataFolderOf(args);
  const wantsMending = args.flags.has('mend');
  const hold = wantsMending ? await takeHold(folder) : undefined;
  if (wantsMending && !hold) {
    say(`A server is working with ${folder}. Stop it first: nothing is mended under its hands.`);
    return 1;
  }
  const { seen, ills, end } = await examine(folder, new Date());
  for (const line of seen) say(`✓ ${line}`);
  let open = 0;
  for (const { message, cure, mend } of ills) {
    if (wantsMending && mend) {
      await mend();
      say(`✓ ${message} Mended: ${cure ?? ''}.`);
      continue;
    }
    open += 1;
    say(`✕ ${message}${cure === undefined ? '' : ` With --mend ${cure}.`}`);
  }
  await end();
  await hold?.letGo();
  if (ills.length === 0) say('Everything is as it should be.');
  return open > 0 ? 1 : 0;
}
