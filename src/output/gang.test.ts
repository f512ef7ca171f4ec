/** Several jobs on one sheet: what lies where, read back from the file, and cut apart by the simulated guillotine. */
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { readDataFile } from '../bring-in/data';
import { runProgramme } from '../core/impose';
import { imposed, type Job } from '../core/job';
import { pieceOf } from '../core/edit';
import { box, element, inMemory, makeJob, words } from '../testing/jobs';
import { inFolder, pageTexts, platesOf, run } from '../testing/programs';
import { readBack, readyToRead } from '../testing/read-codes';
import { strictFaults } from '../testing/strict';
import { exportJob, gathered } from '.';

beforeAll(readyToRead);

const AT = new Date('2026-05-01T09:00:00Z');
const SRA3 = { width: 320, height: 450 };

const csv = new TextEncoder().encode('name,id\nAda,7\nBen,8\nCleo,9\n');
const sha = createHash('sha256').update(csv).digest('hex');
const assets = inMemory(new Map([[sha, csv]]));

const code = element<'code'>({
  kind: 'code',
  id: 'code',
  placement: { against: { box: 'trim' }, x: { start: 55, size: 25 }, y: { start: 5, size: 25 } },
  symbology: 'qr',
  content: 'https://quillrook.example/p/{id}',
} as never);

function jobs(sheet: Partial<Job['output']['sheet']> = {}): { readonly cards: Job; readonly bookmark: Job } {
  const read = readDataFile('people.csv', csv);
  if (!read.ok) throw new Error(read.problem);
  const bookmark = makeJob(
    [
      box('ground', [0, 0, 50, 160], { fill: { kind: 'process', c: 60, m: 0, y: 0, k: 0 } }),
      words('title', 'Bookmark', [5, 5, 40, 10]),
    ],
    { id: 'bookmark', name: 'Bookmark' },
    { size: { width: 50, height: 160 } },
  );
  const cards = makeJob(
    [words('name', '{name}', [5, 5, 45, 20]), code],
    {
      name: 'Cards',
      quantity: 300,
      assets: { [sha]: read.asset },
      records: { from: 'file', file: sha },
      output: {
        ...makeJob().output,
        sheet: {
          sheet: SRA3,
          work: 'sheetwise',
          stages: 3,
          turns: true,
          guests: [{ job: 'bookmark', revision: 4, name: 'Bookmark', quantity: 200 }],
          ...sheet,
        },
      },
    },
    { size: { width: 85, height: 55 } },
  );
  return { cards, bookmark };
}

const laid = () => {
  const { cards, bookmark } = jobs();
  const made = imposed(cards, pieceOf(cards), [{ job: bookmark, quantity: 200 }]);
  if (!made.ok) throw new Error(made.message);
  return made;
};

test('every record and every guest is printed as often as it is wanted, and no sheet more than it takes', () => {
  const [sheet] = laid().sheets;
  const counts = sheet?.counts ?? [];
  expect(counts.map(({ guest, record, wanted }) => [guest, record, wanted])).toEqual([
    [undefined, 0, 100],
    [undefined, 1, 100],
    [undefined, 2, 100],
    [0, undefined, 200],
  ]);
  for (const { printed, wanted } of counts) expect(printed).toBeGreaterThanOrEqual(wanted);
  const fewer = (sheet?.run ?? 0) - 1;
  expect(counts.some(({ up, wanted }) => up * fewer < wanted)).toBe(true);
});

test('the simulated guillotine parts the sheet into each of them at its size', () => {
  const [sheet] = laid().sheets;
  if (!sheet?.cutting) throw new Error('not cut');
  const piles = runProgramme(SRA3, sheet.cutting.programme.cuts);
  const sizes = [...piles.values()].map(({ width, height }) =>
    [Math.min(width, height), Math.max(width, height)].map(Math.round).join(' × '),
  );
  const many = (size: string) => sizes.filter((s) => s === size).length;
  const up = (guest: number | undefined) =>
    (sheet.counts ?? []).filter((c) => c.guest === guest).reduce((sum, c) => sum + c.up, 0);
  expect(many('55 × 85')).toBe(up(undefined));
  expect(many('50 × 160')).toBe(up(0));
});

test('the file shows each card and each bookmark where it lies, and is one for the press', async () => {
  const { cards, bookmark } = jobs();
  const files = await exportJob({ job: cards, assets, kind: 'sheets', at: AT, guest: () => Promise.resolve(bookmark) });
  const [pdf, programme] = await Promise.all(files.map(gathered));
  if (!pdf || !programme) throw new Error('no files');
  expect(await strictFaults(pdf.bytes)).toEqual([]);
  expect(programme.name).toBe('cards-cutting.csv');
  const text = await inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, pdf.bytes);
    expect(run('qpdf', ['--check', path])).toMatch(/No syntax or stream encoding errors/);
    return pageTexts(path).join(' ');
  });
  const [sheet] = laid().sheets;
  const up = (name: RegExp) => text.match(name)?.length;
  for (const [i, name] of [/\bAda\b/g, /\bBen\b/g, /\bCleo\b/g].entries())
    expect(up(name)).toBe(sheet?.counts?.[i]?.up);
  expect(up(/\bBookmark\b/g)).toBe(sheet?.counts?.[3]?.up);
  const black = (await platesOf(pdf.bytes, 1, 300)).get('Black');
  const read = black ? await readBack(black) : [];
  expect(new Set(read)).toEqual(new Set(['7', '8', '9'].map((id) => `https://quillrook.example/p/${id}`)));
});

test.each([
  ['another paper', (job: Job): Job => ({ ...job, stock: { ...job.stock, name: 'Felt 90', grammage: 90 } }), /Felt 90/],
  [
    'a book',
    (job: Job): Job => ({ ...job, pieces: makeJob([], {}, { kind: 'booklet', pages: 8 }).pieces }),
    /It is a book/,
  ],
])('a guest that cannot lie there says why: %s', (_, change, why) => {
  const { cards, bookmark } = jobs();
  const made = imposed(cards, pieceOf(cards), [{ job: change(bookmark), quantity: 200 }]);
  expect(made.ok ? '' : made.message).toMatch(why);
});

test('a guest that is not here is named', async () => {
  const { cards } = jobs();
  await expect(exportJob({ job: cards, assets, kind: 'sheets', at: AT })).rejects.toThrow(
    /“Bookmark” lies on the same sheets and is not here/,
  );
});
