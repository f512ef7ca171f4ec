/** A booklet for a desk printer: what lies on which half of which side, read by poppler. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { withSide, type Job } from '../core/job';
import { pageName } from '../core/format';
import { exported } from '../testing/exports';
import { begin, words } from '../testing/jobs';
import { inFolder, run } from '../testing/programs';

const PT = 72 / 25.4;

const booklet = (flip?: 'short' | 'long'): Job => {
  const job = begin('booklet', { size: '148 x 210 mm', pages: '8' });
  const numbers = Array.from({ length: 8 }, (_, i) => i + 1);
  const pieces = job.pieces.map((piece) =>
    numbers.reduce((p, n) => withSide(p, pageName(n), [words(`w${n}`, `P${n}`, [60, 20, 30, 10])]), piece),
  );
  const desk = {
    sheet: { width: 297, height: 420 },
    edge: 5,
    gap: 0,
    bleed: 0,
    fill: 'same',
    marks: true,
    overlap: 10,
  } as const;
  return { ...job, pieces, output: { ...job.output, desk: { ...desk, ...(flip && { flip }) } } };
};

/** The names of the pages on each side, from the left, with how far each is from the head, mm. */
async function sidesOf(job: Job) {
  const [file] = await exported(job, 'spreads');
  return inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, file?.bytes ?? new Uint8Array());
    expect(run('qpdf', ['--check', path])).toMatch(/No syntax or stream/);
    const [told = '', ...sides] = run('pdftotext', ['-bbox', path, '-']).split('<page ').slice(1);
    const read = sides.map((page) =>
      [...page.matchAll(/xMin="([\d.]+)" yMin="([\d.]+)"[^>]*>(P\d)</g)]
        .map(([, x, y, name]) => ({ x: Number(x) / PT, y: Number(y) / PT, name }))
        .sort((a, b) => a.x - b.x),
    );
    return { told, read };
  });
}

test('eight A5 pages lie on two sheets of A3 as they are folded, upright on both sides', async () => {
  const { read, told } = await sidesOf(booklet());
  expect(read.map((side) => side.map(({ name }) => name))).toEqual([
    ['P8', 'P1'],
    ['P2', 'P7'],
    ['P6', 'P3'],
    ['P4', 'P5'],
  ]);
  const heads = read.flat().map(({ y }) => y);
  expect(Math.max(...heads) - Math.min(...heads)).toBeLessThan(0.1);
  for (const word of ['short', 'edge', 'Fold', 'Stitch', 'blade']) expect(told).toContain(`>${word}`);
});

test('turned along the long edge, backs stand on their heads', async () => {
  const { read, told } = await sidesOf(booklet('long'));
  expect(read.map((side) => side.map(({ name }) => name))).toEqual([
    ['P8', 'P1'],
    ['P7', 'P2'],
    ['P6', 'P3'],
    ['P5', 'P4'],
  ]);
  expect((read[1]?.[0]?.y ?? 0) > (read[0]?.[0]?.y ?? 0) + 100).toBe(true);
  expect(told).toContain('>long');
});

test('what is no stitched booklet says so', async () => {
  await expect(exported(begin('brochure'), 'spreads')).rejects.toThrow(/stitched through its fold/);
});
