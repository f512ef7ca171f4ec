import { copyDays, putBack, takeHold } from '../../upkeep';
import { UsageError, type Arguments } from '../arguments';
import { say } from '../say';
import { dataFolderOf } from './doctor';

/** Puts a copy of the database back. */
export async function run(args: Arguments): Promise<number> {
  const folder = dataFolderOf(args);
  const days = await copyDays(folder);
  const [newest] = days;
  if (newest === undefined) throw new UsageError(`There is no copy of a database in ${folder}.`);
  const day = args.flags.get('of') ?? newest;
  if (!days.includes(day)) throw new UsageError(`There is no copy of ${day}. There are those of ${days.join(', ')}.`);
  const hold = await takeHold(folder);
  if (!hold) throw new UsageError(`A server is working with ${folder}. Stop it first.`);
  const aside = await putBack(folder, day, new Date());
  await hold.letGo();
  say(
    `The copy of ${day} is the database now.${aside === undefined ? '' : ` The one from before is kept as ${aside}.`}`,
  );
  return 0;
}
