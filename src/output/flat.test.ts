/** PDF/X-1a (ISO 15930-4:2003, clauses from memory): read by qpdf, Ghostscript’s plates beside those of PDF/X-4. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoPiece } from '../testing/demo';
import { pdfOf } from '../testing/exports';
import { box, inMemory, makeJob, shape, words } from '../testing/jobs';
import { inFolder, platesOf, run } from '../testing/programs';
import { process as inks, spot, INKS } from '../testing/plates';

const elements = [
  box('ground', [0, 0, 148, 210], { fill: inks(20, 0, 40, 0) }),
  shape('moon', [40, 40, 50, 50], { form: 'ellipse' }, { fill: spot(100) }),
  words('title', 'Clear skies over Quillrook', [20, 120, 100, 20], { sizePt: 24 }),
];
const job = makeJob(elements, { inks: INKS });

test('nothing in it is of a later PDF, and it says what it follows', async () => {
  const bytes = await pdfOf(job, inMemory(), 'press-x1a');
  const text = await inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, bytes);
    expect(run('qpdf', ['--check', path])).toMatch(/PDF Version: 1\.4[\s\S]*No syntax or stream/);
    return run('qpdf', ['--qdf', '--object-streams=disable', path, '-']);
  });
  expect(text).toContain('/GTS_PDFXVersion (PDF/X-1a:2003)');
  expect(text).toContain('/S /GTS_PDFX');
  for (const later of ['/OCProperties', '/SMask', '/Group', '/UserUnit', '/OpenType', '/ca ', '/BM ', 'ICCBased'])
    expect(text.includes(later) ? later : '').toBe('');
});

test('its plates are those of the press PDF', async () => {
  const [flat, mixed] = await Promise.all([
    platesOf(await pdfOf(job, inMemory(), 'press-x1a'), 1, 72),
    platesOf(await pdfOf(job), 1, 72),
  ]);
  expect([...flat.keys()].sort()).toEqual([...mixed.keys()].sort());
  for (const [name, plate] of mixed) expect([name, flat.get(name)?.ink]).toEqual([name, plate.ink]);
});

test('what would have to be mixed is refused, each thing by its name', async () => {
  const see = makeJob([box('veil', [10, 10, 40, 40], { opacity: 0.5 }), words('glow', 'Night', [10, 80, 60, 20])]);
  await expect(pdfOf(see, inMemory(), 'press-x1a')).rejects.toThrow(/“veil” on the front lets through/);
});

test('copies that differ, and documents of others, are refused with what to do', async () => {
  const { job: cards, assets } = await demoPiece('observer-cards');
  await expect(pdfOf(cards, assets, 'press-x1a')).rejects.toThrow(/PDF\/X-4 alone/);
});
