// Everything that is done to the built program to lose something, to stop it, or to make it slow; prints a table. Takes
// about half an hour.
import { crowd } from './crowd';
import { disks } from './disk';
import { hostileAtServer } from './hostile';
import { kills } from './kills';
import { hostileInPage, offline } from './page';
import type { Found } from './watch';

/** What has to hold. */
const MOST = { others: 1_000, slowest: 30_000, memory: 100 };

const PARTS: Readonly<Record<string, () => Promise<Found>>> = {
  hostile: () => hostileAtServer(),
  page: () => hostileInPage(),
  kills: () => kills({ saving: 110, uploading: 40, exporting: 30, firstStart: 20 }),
  disks: () => disks(),
  crowd: () => crowd(200, 20, 50),
  offline: () => offline(500),
};

const isHeld = (f: Found): boolean =>
  f.lost + f.crashes + f.errors + f.left === 0 &&
  f.others <= MOST.others &&
  f.slowest <= MOST.slowest &&
  f.memory <= MOST.memory;

const wanted = process.argv.slice(2);
const found: Found[] = [];
for (const [name, part] of Object.entries(PARTS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  console.error(`── ${name}`);
  const result = await part();
  for (const note of result.notes) console.error(`   ${note}`);
  found.push(result);
}
const row = (cells: readonly (string | number)[]) => `| ${cells.join(' | ')} |`;
console.log(
  row([
    'part',
    'tried',
    'lost',
    'crashes',
    'errors',
    'slowest, ms',
    'somebody else, ms',
    'left behind',
    'memory, MB',
    'held',
  ]),
);
console.log(row(Array.from({ length: 10 }, () => '---')));
for (const f of found)
  console.log(
    row([
      f.part,
      f.tried,
      f.lost,
      f.crashes,
      f.errors,
      Math.round(f.slowest),
      Math.round(f.others),
      f.left,
      Math.round(f.memory),
      isHeld(f) ? 'yes' : 'no',
    ]),
  );
process.exitCode = found.every(isHeld) ? 0 : 1;
