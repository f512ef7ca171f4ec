/** The plates as pictures, beside those that Ghostscript separates from the press file of the same job. */
import sharp from 'sharp';
import { exported, pdfOf } from '../../testing/exports';
import { box, makeJob, words } from '../../testing/jobs';
import { platesOf } from '../../testing/programs';

const BLUE = { kind: 'process', c: 80, m: 40, y: 0, k: 0 } as const;
const NONE = { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false };
const edge = { top: 0, right: 0, bottom: 0, left: 0 };

test('each plate that a side prints is a picture of its ink, in the share that Ghostscript finds', async () => {
  const front = [box('band', [20, 20, 100, 60], { fill: BLUE }), words('title', 'Clear skies', [20, 100, 100, 30])];
  const back = [box('band', [20, 20, 100, 60], { fill: { kind: 'process', c: 0, m: 0, y: 100, k: 0 } })];
  const job = makeJob(
    [],
    { output: { ...makeJob().output, marks: NONE } },
    { bleed: edge, sides: 2, surfaces: { front, back } },
  );
  const files = await exported(job, 'plates');
  expect(files.map((f) => f.name)).toEqual([
    ...['cyan', 'magenta', 'black'].map((ink, i) => `test-job-front-${i + 1}-${ink}.png`),
    'test-job-back-1-yellow.png',
  ]);
  const separated = await platesOf(await pdfOf(job), 1, 100);
  for (const [i, name] of ['Cyan', 'Magenta', 'Black'].entries()) {
    const { data, info } = await sharp(files[i]?.bytes).greyscale().raw().toBuffer({ resolveWithObject: true });
    // 148 mm at 300 ppi.
    expect(info.width).toBe(1748);
    const mean = 1 - data.reduce((sum, v) => sum + v, 0) / data.length / 255;
    expect(Math.abs(mean - (separated.get(name)?.mean ?? NaN))).toBeLessThan(0.002);
  }
});
