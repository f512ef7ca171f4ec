/** All files of a job in one: unpacked and checked by programs of others, and the same for the same state. */
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import { demoPiece } from '../testing/demo';
import { begin, inMemory, makeJob, words } from '../testing/jobs';
import { inFolder, pageTexts, run } from '../testing/programs';
import type { Job } from '../core/job';
import { exportJob, gathered, type AssetSource } from '.';

const AT = new Date('2026-05-01T09:00:00Z');

async function handedOver(job: Job, assets: AssetSource = inMemory()): Promise<Uint8Array> {
  const [file] = await exportJob({ job, assets, kind: 'hand-over', at: AT, revision: 7 });
  if (!file) throw new Error('no file');
  return (await gathered(file)).bytes;
}

const card = (names?: string): Job => {
  const front = [words('t', 'Clear skies', [10, 10, 60, 10])];
  const job = makeJob(
    [],
    { client: 'Quillrook Society', notes: 'Not for the house.' },
    { sides: 2, surfaces: { front, back: front } },
  );
  return { ...job, output: { ...job.output, names } };
};

test('whatever a house needs is in it, each file whole, named by the pattern', async () => {
  const bytes = await handedOver(card('{client}_{job}_{revision}_{what}_{date}'));
  await inFolder((folder) => {
    writeFileSync(join(folder, 'h.zip'), bytes);
    execFileSync('unzip', ['-q', 'h.zip'], { cwd: folder });
    execFileSync('sha256sum', ['--check', '--quiet', '--strict', 'SHA256SUMS'], { cwd: folder });
    const name = (what: string) => join(folder, `quillrook-society_test-job_7_${what}_2026-05-01`);
    for (const what of ['press', 'front-press', 'back-press', 'sheets'])
      expect(run('qpdf', ['--check', `${name(what)}.pdf`])).toMatch(/No syntax or stream/);
    const docket = pageTexts(`${name('docket')}.pdf`).join(' ');
    expect(docket).toContain('Test job');
    expect(docket).not.toContain('Not for the house');
    const letter = readFileSync(`${name('letter')}.txt`, 'utf8');
    expect(letter).toContain('From Quillrook Society');
    expect(letter).toContain('Nothing stands in the way by our own checks.');
    expect(letter).not.toContain('Not for the house');
    for (const line of readFileSync(join(folder, 'SHA256SUMS'), 'utf8').trim().split('\n'))
      expect(letter).toContain(line);
    expect(pageTexts(`${name('letter')}.pdf`).join(' ')).toContain('Test job: files for print');
    expect(readFileSync(`${name('figures')}.csv`, 'utf8')).toMatch(/^piece,group,figure,value,unit,rule\r\n/);
  });
});

test('of the same state it is the same, byte for byte', async () => {
  const [first, second] = [await handedOver(card()), await handedOver(card())];
  expect(Buffer.from(first).equals(second)).toBe(true);
});

test('a box comes with its lines for the die maker; a booklet without sheets that nobody could cut', async () => {
  const box = Object.keys(unzipSync(await handedOver(begin('tuck-box'))));
  expect(box.filter((name) => /\.(svg|dxf)$/.test(name)).length).toBeGreaterThanOrEqual(2);
  const booklet = Object.keys(unzipSync(await handedOver(begin('booklet', { pages: '8' }))));
  expect(booklet.some((name) => name.endsWith('-sheets.pdf'))).toBe(true);
  expect(booklet.some((name) => name.endsWith('-cutting.csv'))).toBe(false);
});

test('records go along: the file of the rows is in the package', async () => {
  const { job, assets } = await demoPiece('observer-cards');
  const files = unzipSync(await handedOver(job, assets));
  const inner = Object.entries(files).find(([name]) => name.endsWith('.yellowsheet.zip'))?.[1];
  expect(inner && Object.keys(unzipSync(inner)).length).toBeGreaterThanOrEqual(3);
});
