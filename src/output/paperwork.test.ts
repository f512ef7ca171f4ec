/** Pages that go along with a job, read by poppler: a proof for the client, and a house’s reply. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { demoPiece } from '../testing/demo';
import { box, inMemory, makeJob, words } from '../testing/jobs';
import { process, spot, INKS } from '../testing/plates';
import { inFolder, pageTexts, run } from '../testing/programs';
import { exportJob, gathered, replyPdf } from './index';

const AT = new Date('2026-05-01T09:00:00Z');

const read = (bytes: Uint8Array) =>
  inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, bytes);
    return {
      texts: pageTexts(path)
        .filter((text) => text.trim() !== '')
        .map((text) => text.replace(/\s+/g, ' ')),
      images: run('pdfimages', ['-list', path]).trim().split('\n').length - 2,
      check: run('qpdf', ['--check', path]),
      fonts: run('pdffonts', [path]).trim().split('\n').slice(2),
    };
  });

describe('a proof', () => {
  const proofOf = async (job: Parameters<typeof exportJob>[0]['job'], assets = inMemory()) => {
    const [made] = await exportJob({ job, assets, kind: 'proof', at: AT, revision: 12 });
    const file = made && (await gathered(made));
    return file ?? { name: '', bytes: new Uint8Array() };
  };

  test('has a page for each side, its version, day and figures, and boxes to tick', async () => {
    const { job, assets } = await demoPiece('business-card', 0.3);
    const { name, bytes } = await proofOf(job, assets);
    expect(name).toMatch(/-proof\.pdf$/);
    const { texts, check, fonts } = await read(bytes);
    expect(check).toContain('No syntax or stream encoding errors');
    expect(texts).toHaveLength(2);
    for (const words of [job.name, job.client, 'Proof of version 12', '2026-05-01', '85 × 55 mm', 'page 1 of 2'])
      expect(texts[0]).toContain(words);
    for (const words of ['approved as shown', 'changes wanted', 'name, date, signature', 'PROOF'])
      expect(texts[1]).toContain(words);
    for (const font of fonts) expect(font).toMatch(/yes yes yes/);
  });

  test('names the inks short, those of the job’s own by their names', async () => {
    const job = makeJob(
      [box('a', [0, 0, 50, 50], { fill: process(0, 40, 0, 10) }), box('b', [60, 0, 50, 50], { fill: spot(80) })],
      { inks: INKS, quantity: 250 },
    );
    const { texts } = await read((await proofOf(job)).bytes);
    expect(texts[0]).toMatch(/Inks .*M K .*Silver/);
    expect(texts[0]).toContain('250');
  });

  test('what is watermarked is seen on dark and on light, and so is the watermark', async () => {
    const dark = makeJob([box('night', [0, 0, 148, 210], { fill: process(100, 90, 40, 60) })]);
    const { bytes } = await proofOf(dark);
    const values = await inFolder(async (folder) => {
      writeFileSync(join(folder, 'f.pdf'), bytes);
      run('pdftocairo', ['-png', '-r', '50', '-singlefile', join(folder, 'f.pdf'), join(folder, 'f')]);
      const { data, info } = await sharp(join(folder, 'f.png')).greyscale().raw().toBuffer({ resolveWithObject: true });
      // Within the picture only: one flat colour, but for what is laid over it.
      const px = (mm: number) => Math.round((mm / 25.4) * 50);
      const found: number[] = [];
      for (let y = px(110); y < px(150); y += 1)
        found.push(...data.subarray(y * info.width + px(50), y * info.width + px(160)));
      return found;
    });
    expect(Math.max(...values) - Math.min(...values)).toBeGreaterThan(60);
  });

  test('the same moment gives the same bytes', async () => {
    const job = makeJob([words('w', 'Open night', [20, 20, 80, 12])]);
    expect(Buffer.from((await proofOf(job)).bytes).equals(Buffer.from((await proofOf(job)).bytes))).toBe(true);
  });
});

describe('a reply', () => {
  const line = (i: number) => ({
    weight: 'Fault',
    title: `Remark ${i}`,
    found: `It was found ${i} times.`,
    wish: 'Something else.',
    place: 'page 1',
  });
  const reply = {
    house: 'Copperplate Yard',
    file: 'client.pdf',
    answer: 'Sent back',
    facts: '1 page',
    day: '2026-05-01',
  };

  test('is one page however much is said, and counts what has no room', async () => {
    const png = new Uint8Array(
      await sharp({ create: { width: 320, height: 200, channels: 3, background: '#345' } })
        .png()
        .toBuffer(),
    );
    const lines = Array.from({ length: 10 }, (_, i) => ({ ...line(i + 1), ...(i < 2 && { png }) }));
    const { texts, images, check } = await read(await replyPdf({ ...reply, lines }, AT));
    expect(check).toContain('No syntax or stream encoding errors');
    expect(texts).toHaveLength(1);
    expect(texts[0]).toContain('Sent back');
    expect(texts[0]).toContain('Fault · Remark 7');
    expect(texts[0]).not.toContain('Remark 8');
    expect(texts[0]).toContain('and 3 further remarks');
    expect(images).toBe(2);
  });

  test('however long a remark is, all of it is there', async () => {
    const long = 'Something ends at the edge of the sheet and does not go on. '.repeat(6).trim();
    const { texts } = await read(await replyPdf({ ...reply, lines: [{ ...line(1), found: long, wish: long }] }, AT));
    expect(texts[0]?.split('Something ends').length).toBe(13);
  });

  test('says so where nothing stands in the way', async () => {
    const { texts } = await read(await replyPdf({ ...reply, answer: 'Taken', lines: [] }, AT));
    expect(texts[0]).toContain('It goes to press as it is.');
  });
});
