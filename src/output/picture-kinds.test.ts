import { mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pdfOf } from '../testing/exports';
import { inMemory } from '../testing/jobs';
import { inkAt, kindsJob, pictureKinds, worstOf, type KindsJob, type PictureKind } from '../testing/picture-kinds';
import { inFolder, platesOf } from '../testing/programs';
import { ys } from '../testing/ys';
import { openDesk, plateItems, sidePlates } from './index';

/** What a picture may differ from Little CMS’s own command line, percent of ink. */
const MOST = 1;

let kinds: readonly PictureKind[];
let made: KindsJob;

beforeAll(async () => {
  kinds = await pictureKinds();
  made = await kindsJob(kinds);
});

type InkAt = Parameters<typeof worstOf>[2];

/** Every kind that is off, by name; a list reads better than the first that failed. */
function expectWithin(at: InkAt): void {
  const off = kinds.flatMap((kind, i) => {
    const worst = worstOf(kind, i, at);
    return worst < MOST ? [] : [`${kind.name}: ${worst.toFixed(2)} %`];
  });
  expect(off).toEqual([]);
}

describe('every kind of picture has the inks that transicc gives it, within one percent', () => {
  test('in the press file', async () => {
    const pdf = await pdfOf(made.job, inMemory(made.files));
    expectWithin(inkAt(await platesOf(pdf, 1, 72)));
  });

  test('on the plates', async () => {
    const desk = await openDesk(made.job, inMemory(made.files));
    const [side] = desk.sides;
    if (!side) throw new Error('no side');
    const items = plateItems(desk, side, new Date(0), { marks: false });
    const plates = await sidePlates(desk, side, items, { box: side.surface.boxes.trim, scale: 72 / 25.4 });
    expectWithin((name, x, y) => {
      const plate = plates.pixels[plates.names.indexOf(name)];
      return (plate?.[Math.floor(y) * plates.width + Math.floor(x)] ?? 0) / 255;
    });
  });

  test('in the press file of the command line', () =>
    inFolder(async (folder) => {
      const assets = join(folder, 'assets');
      mkdirSync(assets);
      for (const [sha, bytes] of made.files) writeFileSync(join(assets, sha), bytes);
      const file = join(folder, 'kinds.ysjob.json');
      writeFileSync(file, JSON.stringify(made.job));
      const out = join(folder, 'out');
      // Their resolution is a fault, and beside the point.
      expect(ys('export', file, '--to', 'press', '--unchecked', '--out', out).stderr).toBe('');
      const [name = ''] = readdirSync(out);
      expectWithin(inkAt(await platesOf(readFileSync(join(out, name)), 1, 72)));
    }));
});
