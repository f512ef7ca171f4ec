import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { jobJsonSchema, readJob } from '../core/job';
import { some } from '../testing/all';
import { inFolder } from '../testing/programs';
import { ys } from '../testing/ys';
import { GALLERY } from '../core/printable';
import { formatPictures, formatsMarkdown } from './format-docs';
import { glossaryMarkdown, glossaryPictures } from './glossary-docs';
import { printablesMarkdown } from './printable-docs';

test('new, describe, check and export, one after another', async () => {
  await inFolder((folder) => {
    const file = join(folder, 'flyer.ysjob.json');
    expect(
      ys('new', 'flyer', '--set', 'size=148x210mm', '--set', 'bleed=3mm', '--set', 'sides=1', '--out', file).status,
    ).toBe(0);
    expect(readJob(JSON.parse(readFileSync(file, 'utf8'))).ok).toBe(true);
    const [piece] = ys('describe', file, '--json').json() as Record<string, unknown>[];
    // The contract in docs/job-file.md.
    expect(Object.keys(piece ?? {})).toEqual([
      'id',
      'name',
      'kind',
      'finished',
      'flat',
      'withBleed',
      'bleed',
      'safe',
      'pixels',
      'problems',
      'sheets',
      'pressed',
      'scale',
      'surfaces',
      'figures',
      'folding',
    ]);
    expect(piece).toMatchObject({
      finished: { width: 148, height: 210 },
      withBleed: { width: 154, height: 216 },
      bleed: { top: 3, right: 3, bottom: 3, left: 3 },
      pixels: { ppi: 300, withBleed: { width: 1819, height: 2551 } },
      surfaces: [{ name: 'front', panels: [{ name: 'front', x: 0, y: 0, width: 148, height: 210 }], processLines: [] }],
    });
    const checked = ys('check', file, '--json');
    expect(checked.status).toBe(1);
    expect(checked.json()).toMatchObject([
      { rule: 'empty-page', severity: 'warning', surface: 'front', element: null, fix: [] },
    ]);
    const out = join(folder, 'out');
    const made = ys('export', file, '--to', 'press', '--out', out, '--at', '2026-05-01T09:00:00Z');
    expect(made.status).toBe(0);
    expect(readFileSync(join(out, 'flyer-press.pdf')).subarray(0, 8).toString()).toBe('%PDF-1.6');
    const zip = ys('export', file, '--to', 'working', '--out', out);
    expect(zip.status).toBe(0);
    expect(ys('describe', join(out, 'flyer.yellowsheet.zip')).json()).toEqual(ys('describe', file).json());
  });
});

test('formats names every parameter with its default', () => {
  const [flyer] = ys('formats', '--json').json() as { kind: string; parameters: { name: string; default: string }[] }[];
  expect(flyer?.kind).toBe('flyer');
  expect(flyer?.parameters.map((p) => p.name)).toContain('bleed');
});

test.each([
  [['new', 'banana'], 'no format'],
  [['new', 'flyer', '--set', 'size=148y210'], '^'],
  [['new', 'flyer', '--set', 'size'], 'name=value'],
  [['describe', 'nowhere.json'], 'no file'],
  [['describe'], 'Name the job file'],
  [['export', 'package.json', '--to', 'fax', '--out', 'x'], 'one of press'],
  [['describe', 'package.json'], 'format: '],
  [['dance'], 'no command'],
  [['check', '--loud'], 'no option'],
])('bad input %j: exit code 2, and a sentence', (args, words) => {
  const { status, stdout, stderr } = ys(...args);
  expect(status).toBe(2);
  expect(stdout).toBe('');
  expect(stderr).toContain(words);
});

test('docs/printables.md is what the registry says, and each entry has its picture (npm run formats)', () => {
  expect(readFileSync('docs/printables.md', 'utf8')).toBe(printablesMarkdown());
  const pictures = readdirSync('assets/printables').sort();
  expect(pictures).toEqual(GALLERY.map((e) => `${e.id}.png`).sort());
});

test('docs/glossary.md and its drawings are what the glossary says (npm run formats)', () => {
  expect(readFileSync('docs/glossary.md', 'utf8')).toBe(glossaryMarkdown());
  for (const { name, svg } of glossaryPictures()) expect(readFileSync(join('docs/glossary', name), 'utf8')).toBe(svg);
});

test('docs/formats.md and its pictures are what the registry says (npm run formats)', () => {
  expect(readFileSync('docs/formats.md', 'utf8')).toBe(formatsMarkdown());
  for (const { name, svg } of formatPictures()) expect(readFileSync(join('docs/formats', name), 'utf8')).toBe(svg);
});

test('a new format is one file, and the smallest of them are short', () => {
  const lines = (kind: string) => readFileSync(`src/core/format/${kind}.ts`, 'utf8').split('\n').length;
  for (const kind of ['flyer', 'poster', 'card', 'bookmark', 'business-card', 'wrap', 'book-cover'])
    expect(lines(kind)).toBeLessThan(60);
});

/** Every command of the handbook, as one types it. */
test.each(
  some(
    [
      ['brochure', 'size=letter landscape', 'fold=letter', 'allowance=shift:1mm'],
      ['brochure', 'size=A4 landscape', 'fold=letter', 'allowance=even'],
      ['brochure', 'size=A4 landscape', 'fold=letter', 'allowance=thickness:0.12mm'],
      ['map', 'size=24x36in', 'across=4', 'down=4'],
      ['wrap', 'panel=130x184mm', 'spine=13mm'],
      ['catalogue', 'size=170x240mm', 'pages=100', 'binding=perfect', 'thickness=0.13mm'],
      ['banner', 'size=5x3ft', 'scale=1:10', 'grommets=500mm'],
      ['folded-card', 'size=5x7in', 'fold=side', 'sheet=letter landscape'],
      ['labels', 'size=63.5x38.1mm', 'sheet=A4', 'across=3', 'down=7'],
    ],
    3,
  ),
)('ys new %s %s %s', async (kind, ...set) => {
  await inFolder((folder) => {
    const file = join(folder, 'job.ysjob.json');
    const made = ys('new', kind, ...set.flatMap((s) => ['--set', s]), '--out', file);
    expect([made.status, made.stderr]).toEqual([0, `${file} written.\n`]);
    const [piece] = ys('describe', file).json() as { surfaces: unknown[]; figures: unknown[] }[];
    expect(piece?.surfaces.length).toBeGreaterThan(0);
    expect(piece?.figures.length).toBeGreaterThan(5);
  });
});

test('docs/job.schema.json is what the program reads (npm run schema)', () => {
  expect(JSON.parse(readFileSync('docs/job.schema.json', 'utf8'))).toEqual(JSON.parse(JSON.stringify(jobJsonSchema())));
});
