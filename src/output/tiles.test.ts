/** A poster on small sheets: put together again as one glues them, it is the poster that poppler draws whole. */
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { tiling } from '../core/impose';
import { pdfOf } from '../testing/exports';
import { box, makeJob, shape, words } from '../testing/jobs';
import { process as inks } from '../testing/plates';
import { inFolder, pageTexts, run } from '../testing/programs';

const A2 = { width: 420, height: 594 };
const PPI = 40;
const px = (mm: number) => Math.round((mm / 25.4) * PPI);

const poster = () =>
  makeJob(
    [
      box('ground', [-3, -3, 426, 600], { fill: inks(20, 0, 40, 0) }),
      shape('moon', [80, 90, 260, 260], { form: 'ellipse' }, { fill: inks(0, 40, 90, 0) }),
      words('t', 'Open night', [60, 420, 300, 60], { sizePt: 90 }),
    ],
    {},
    { kind: 'poster', size: A2 },
  );

async function pagesOf(pdf: Uint8Array): Promise<readonly { data: Buffer; width: number }[]> {
  return inFolder(async (folder) => {
    writeFileSync(join(folder, 'f.pdf'), pdf);
    run('pdftoppm', ['-r', String(PPI), '-png', join(folder, 'f.pdf'), join(folder, 'p')]);
    const files = readdirSync(folder)
      .filter((name) => name.endsWith('.png'))
      .sort();
    return Promise.all(
      files.map(async (name) => {
        const { data, info } = await sharp(readFileSync(join(folder, name)))
          .greyscale()
          .raw()
          .toBuffer({ resolveWithObject: true });
        return { data, width: info.width };
      }),
    );
  });
}

test('the sheets, glued, are the poster', async () => {
  const job = poster();
  const made = tiling({ whole: { x: 0, y: 0, ...A2 }, sheet: { width: 210, height: 297 }, rim: 5, overlap: 10 });
  if (!made.ok) throw new Error(made.message);
  const { tiles } = made.tiling;
  const [, ...sheets] = await pagesOf(await pdfOf(job, undefined, 'tiles'));
  expect(sheets).toHaveLength(tiles.length);
  // Without marks the preview is the trimmed poster itself.
  const [whole] = await pagesOf(await pdfOf(job, undefined, 'preview'));
  if (!whole) throw new Error('no preview');
  let [sum, count] = [0, 0];
  for (const [i, { shows, at }] of tiles.entries()) {
    const sheet = sheets[i];
    // The middle of each: lines and names lie at its rim.
    for (let y = 15; y < shows.height - 15; y += 4)
      for (let x = 15; x < shows.width - 15; x += 4) {
        const ours = sheet?.data[px(at.y + y) * sheet.width + px(at.x + x)] ?? 0;
        const theirs = whole.data[px(shows.y + y) * whole.width + px(shows.x + x)] ?? 0;
        sum += Math.abs(ours - theirs);
        count += 1;
      }
  }
  expect(count).toBeGreaterThan(5000);
  // A pixel’s rounding at the edges of the moon and the letters is all that differs.
  expect(sum / count).toBeLessThan(3);
});

test('a plan comes first, with what to do, and each sheet has its name', async () => {
  const pdf = await pdfOf(poster(), undefined, 'tiles');
  const texts = await inFolder((folder) => {
    writeFileSync(join(folder, 'f.pdf'), pdf);
    return pageTexts(join(folder, 'f.pdf'));
  });
  expect(texts[0]).toMatch(/420 × 594 mm on \d+ sheets/);
  expect(texts[0]).toContain('metal rule');
  expect(texts[1]).toContain('A1');
});
