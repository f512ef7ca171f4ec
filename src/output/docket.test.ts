/** Dockets: read as words by poppler, their codes by a decoder of another make from a rendered page. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { SHIPPED_PRINTERS } from '../core/shop';
import { begin, box, inMemory, makeJob } from '../testing/jobs';
import { inFolder, pageTexts, run } from '../testing/programs';
import { readBack, readyToRead } from '../testing/read-codes';
import type { Job } from '../core/job';
import { exportJob, gathered } from '.';

const AT = new Date('2027-03-01T09:00:00Z');
const house = SHIPPED_PRINTERS.find(({ name }) => name === 'Copperplate Yard');
if (!house) throw new Error('no printer');

beforeAll(readyToRead);

async function docket(job: Job): Promise<Uint8Array> {
  const [file] = await exportJob({ job, assets: inMemory(), kind: 'docket', at: AT, revision: 12 });
  if (!file) throw new Error('no file');
  return (await gathered(file)).bytes;
}

/** A grey picture as poppler writes it (PGM: its size, then a byte a pixel), as ink. */
function greyPicture(path: string) {
  const bytes = readFileSync(path);
  const [head = '', width, height] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.toString('latin1', 0, 100)) ?? [];
  const ink = Uint8Array.from(bytes.subarray(head.length), (grey) => 255 - grey);
  return { width: Number(width), height: Number(height), ink };
}

const folder: Job = {
  ...begin('brochure', { fold: 'z', size: 'A4' }),
  ...{ id: 'visitor-folder', name: 'Visitor folder', client: 'Quillrook', quantity: 4000, due: '2027-04-01' },
  ...{ house, notes: 'Box of 500 to the desk.' },
};

test('what, for whom, how many, the days, what is done in order, and what can hurt', async () => {
  const bytes = await docket(folder);
  await inFolder((at) => {
    const path = join(at, 'docket.pdf');
    writeFileSync(path, bytes);
    expect(run('qpdf', ['--check', path])).toMatch(/No syntax or stream/);
    const text = pageTexts(path).join('\n');
    for (const words of ['Visitor folder', 'Quillrook · state 12', '4,000', 'Copperplate Yard', 'Box of 500'])
      expect(text).toContain(words);
    // Over Easter, by hand: see core/schedule.
    for (const [step, day] of [
      ['Plates', '2027-03-24'],
      ['Deliver', '2027-04-01'],
    ])
      expect(text.replace(/\s+/g, ' ')).toContain(`${step} ${day}`);
    expect(text.indexOf('Rollers pull')).toBeGreaterThan(0);
    expect(text.indexOf('Rollers pull')).toBeLessThan(text.indexOf('A guillotine is for trained people'));
  });
});

test('its code leads back to the job and the state', async () => {
  const bytes = await docket(folder);
  await inFolder(async (at) => {
    writeFileSync(join(at, 'docket.pdf'), bytes);
    run('pdftoppm', ['-r', '200', '-gray', join(at, 'docket.pdf'), join(at, 'page')]);
    expect(await readBack(greyPicture(join(at, 'page-1.pgm')))).toContain('yellow-sheet:visitor-folder@12');
  });
});

test('a job of which little is known says what is open, and the same state gives the same bytes', async () => {
  const plain = makeJob([box('ground', [0, 0, 148, 210])]);
  const bytes = await docket(plain);
  await inFolder((at) => {
    writeFileSync(join(at, 'docket.pdf'), bytes);
    const text = pageTexts(join(at, 'docket.pdf')).join('\n');
    expect(text).toContain('not decided yet');
    expect(text).toContain('not chosen yet');
  });
  expect(Buffer.from(await docket(plain)).equals(bytes)).toBe(true);
});

test('figures that do not fit go on to a page of their own', async () => {
  const bytes = await docket({ ...begin('tuck-box'), name: 'Lamp box' });
  await inFolder((at) => {
    writeFileSync(join(at, 'docket.pdf'), bytes);
    expect(pageTexts(join(at, 'docket.pdf')).join('\n')).toContain('Smallest type');
  });
});
